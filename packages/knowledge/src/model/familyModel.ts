import {
  type AccessState,
  buildNetwork,
  type DutyRule,
  type Network,
  type Requirement,
  type TrialQuestion,
} from '@nodo/core';
import type { Finding, Knowledge } from '../compile/compile.ts';
import {
  type ActionSource,
  type CauseSource,
  type CheckSource,
  type DutySource,
  type Family,
  type PlanPolicy,
  STRENGTHS,
  type StrengthWord,
} from '../schema/schema.ts';
import { parseRequirement } from '../schema/tokens.ts';

/** A check as one family knows it: only the findings that this machine can show. */
export interface FamilyCheck extends Omit<CheckSource, 'findings' | 'accessFrontLoading'> {
  readonly findings: readonly Finding[];
}

/** What the tables say about one family of machines. */
export interface FamilyModel {
  readonly family: Family;
  readonly network: Network;
  readonly causes: ReadonlyMap<string, CauseSource>;
  readonly checks: ReadonlyMap<string, FamilyCheck>;
  readonly findings: ReadonlyMap<string, Finding>;
  readonly actions: ReadonlyMap<string, ActionSource>;
  /** Trials by check; what they are compared with comes from the ticket. */
  readonly trials: ReadonlyMap<string, Omit<TrialQuestion, 'complaints'>>;
  readonly access: readonly (AccessState & {
    readonly title: string;
    readonly means: string;
    readonly safety: string;
  })[];
  readonly duties: ReadonlyMap<string, DutySource>;
  /** Debts under this plan; duties that only gate a step are not among them. */
  dutyRules(plan: PlanPolicy): readonly DutyRule[];
}

function appliesTo(family: Family, applies: string | undefined): boolean {
  return applies === undefined || applies === family.id || family.traits.includes(applies);
}

/**
 * Cuts the tables down to one family. Undefined for a family the tables do not have.
 * @param traits of one machine, where they are others than its family's
 */
export function familyModel(
  knowledge: Knowledge,
  familyId: string,
  traits?: readonly string[],
): FamilyModel | undefined {
  const known = knowledge.families.get(familyId);
  if (!known) return undefined;
  const family = traits ? { ...known, traits } : known;
  const has = (item: { readonly applies?: string }): boolean => appliesTo(family, item.applies);

  const causes = new Map([...knowledge.causes].filter(([, cause]) => has(cause)));
  const checks = new Map<string, FamilyCheck>();
  for (const check of knowledge.checks.values()) {
    if (!has(check)) continue;
    const familyCheck = checkFor(family, knowledge, check);
    if (familyCheck.findings.length > 0) checks.set(check.id, familyCheck);
  }
  const findings = new Map(
    [...checks.values()].flatMap((check) => check.findings.map((finding) => [finding.id, finding])),
  );
  const trials = new Map(
    [...checks.values()].flatMap(({ id, trialTreats, findings: [finding] }) =>
      trialTreats && finding
        ? [
            [
              id,
              {
                finding: finding.id,
                leak: finding.leak,
                treats: trialTreats.filter((cause) => causes.has(cause)),
              },
            ],
          ]
        : [],
    ),
  );
  // An action without anything to treat here (a knife on a machine without one) is not offered.
  const actions = new Map(
    [...knowledge.actions].filter(
      ([, { treats }]) => treats.length === 0 || treats.some((cause) => causes.has(cause)),
    ),
  );

  return {
    family,
    causes,
    checks,
    findings,
    actions,
    trials,
    duties: knowledge.duties,
    network: networkOf(causes, findings, trials),
    access: knowledge.access
      .filter(has)
      .map(({ id, title, from, openMinutes, closeMinutes, means, safety }) => ({
        id,
        title,
        from,
        openMinutes,
        closeMinutes,
        means,
        safety,
      })),
    dutyRules: (plan) =>
      [...knowledge.duties.values()].flatMap((duty) => {
        const rule = dutyRule(duty, family, plan, { checks, actions, findings });
        return rule ? [rule] : [];
      }),
  };
}

function checkFor(family: Family, knowledge: Knowledge, check: CheckSource): FamilyCheck {
  const { accessFrontLoading, findings, ...rest } = check;
  const frontLoading = family.traits.includes('front-loading');
  return {
    ...rest,
    access: frontLoading && accessFrontLoading !== undefined ? accessFrontLoading : check.access,
    findings: findings
      .filter(({ applies }) => appliesTo(family, applies))
      .flatMap(({ id }) => knowledge.findings.get(id) ?? [])
      .filter(
        ({ defines }) =>
          defines === undefined || appliesTo(family, knowledge.causes.get(defines)?.applies),
      ),
  };
}

/** Causes and findings as a network; a trial stands outside of it. */
export function networkOf(
  causes: ReadonlyMap<string, CauseSource>,
  findings: ReadonlyMap<string, Finding>,
  trials: FamilyModel['trials'],
): Network {
  const looked = [...findings.values()].filter(({ check }) => !trials.has(check));
  const known = new Set(looked.map(({ id }) => id));
  const links = [...causes.values()].flatMap((cause) =>
    (Object.keys(cause.shows) as StrengthWord[]).flatMap((word) =>
      (cause.shows[word] ?? [])
        .filter((finding) => known.has(finding))
        .map((finding) => ({ cause: cause.id, finding, strength: STRENGTHS[word] })),
    ),
  );
  return buildNetwork(
    [...causes.values()].map(({ id, perMille }) => ({ id, prior: perMille / 1000 })),
    looked.map(({ id, leak }) => ({ id, leak })),
    links,
  );
}

interface Askable {
  readonly checks: ReadonlyMap<string, unknown>;
  readonly actions: ReadonlyMap<string, unknown>;
  readonly findings: ReadonlyMap<string, unknown>;
}

function dutyRule(
  duty: DutySource,
  family: Family,
  plan: PlanPolicy,
  askable: Askable,
): DutyRule | undefined {
  if (duty.underPlan !== undefined && duty.underPlan !== plan) return undefined;
  const here = (texts: readonly string[] | undefined): readonly Requirement[] =>
    (texts ?? []).flatMap((text) => {
      const requirement = parseRequirement(text);
      if (!requirement) return [];
      const table = { check: askable.checks, action: askable.actions, finding: askable.findings };
      return table[requirement.kind].has(requirement.id) ? [requirement] : [];
    });
  const special = duty.clearedAllWhere?.find((where) =>
    'family' in where ? where.family === family.id : family.traits.includes(where.trait),
  );
  const clearedAll = special ? special.clearedAll : duty.clearedAll;
  const onlyGates =
    clearedAll === undefined && duty.clearedAny === undefined && duty.clearedByRaiser === undefined;
  if (onlyGates) return undefined;
  return {
    id: duty.id,
    raisedBy: duty.raisedBy,
    clearedAll: here(clearedAll),
    clearedAny: here(duty.clearedAny),
    clearedByRaiser: Object.fromEntries(
      Object.entries(duty.clearedByRaiser ?? {}).map(([token, texts]) => [token, here(texts)]),
    ),
  };
}

/** By cause the check whose finding it is: there it is seen, and there it is put right. */
export function decisiveChecks(model: FamilyModel): ReadonlyMap<string, FamilyCheck> {
  return new Map(
    [...model.findings.values()].flatMap(({ defines, check }) => {
      const telling = model.checks.get(check);
      return defines === undefined || !telling ? [] : [[defines, telling] as const];
    }),
  );
}
