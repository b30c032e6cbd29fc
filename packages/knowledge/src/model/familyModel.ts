import {
  type AccessState,
  buildNetwork,
  type DutyRule,
  machineMinutes,
  type Network,
  type Requirement,
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
import { parseCheckCondition, parseRequirement } from '../schema/tokens.ts';

/** A check as one family knows it: only the findings that this machine can show. */
export interface FamilyCheck
  extends Omit<
    CheckSource,
    'findings' | 'accessFrontLoading' | 'notWhile' | 'notWhileFrontLoading'
  > {
  readonly findings: readonly Finding[];
  /** States of this machine in which a part that it asks about is off. */
  readonly notWhile: readonly string[];
}

/** How a check sews, and what it watches. */
export interface SewingCheck {
  /** By finding, the symptom that it observes, or `reported` for any of those. */
  readonly observes: ReadonlyMap<string, string>;
  /** Its one finding is "the fault is gone". */
  readonly isTrial: boolean;
  /** Causes that are not in play in it. */
  readonly exchanged: ReadonlySet<string>;
}

/** What the tables say about one family of machines. */
export interface FamilyModel {
  readonly family: Family;
  readonly network: Network;
  readonly causes: ReadonlyMap<string, CauseSource>;
  readonly checks: ReadonlyMap<string, FamilyCheck>;
  readonly findings: ReadonlyMap<string, Finding>;
  readonly actions: ReadonlyMap<string, ActionSource>;
  /** What is seen while sewing, by check. */
  readonly sewing: ReadonlyMap<string, SewingCheck>;
  readonly access: readonly (AccessState & {
    readonly title: string;
    readonly means: string;
    readonly safety: string;
    readonly firstLooks: readonly string[];
  })[];
  readonly duties: ReadonlyMap<string, DutySource>;
  /** The comeback risk with which a machine is given back. */
  readonly riskLimit: number;
  /** Debts under this plan; duties that only gate a step are not among them. */
  dutyRules(plan: PlanPolicy): readonly DutyRule[];
  /** By cause the check whose finding it is: there it is seen, and there it is put right. */
  readonly decisive: ReadonlyMap<string, FamilyCheck>;
  /** By action, where the hand must get to: the nearest place at which a cause that it treats is seen. */
  readonly actionAccess: ReadonlyMap<string, string>;
  /** By action, minutes of what it owes before the next stitch: looks, and turning by hand. */
  readonly owedAfter: ReadonlyMap<string, number>;
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
  const own = [...knowledge.checks.values()]
    .filter(has)
    .map((check) => checkFor(family, knowledge, check))
    .filter(({ findings: shown }) => shown.length > 0);
  const ids = new Set(own.map(({ id }) => id));
  const checks = new Map<string, FamilyCheck>(
    own.map((check) => [check.id, { ...check, requires: conditionsOf(check, knowledge, ids) }]),
  );
  const findings = new Map(
    [...checks.values()].flatMap((check) => check.findings.map((finding) => [finding.id, finding])),
  );
  // An action without anything to treat here (a knife on a machine without one) is not offered.
  const actions = new Map<string, ActionSource>(
    [...knowledge.actions].flatMap(([id, action]) => {
      const treats = action.treats.filter((cause) => causes.has(cause));
      return action.treats.length === 0 || treats.length > 0
        ? [[id, { ...action, treats }] as const]
        : [];
    }),
  );

  const sewing = new Map(
    [...checks.values()].flatMap((check) => {
      const sewn = sewingOf(check, actions, causes);
      return sewn ? [[check.id, sewn] as const] : [];
    }),
  );

  const dutyRules = (plan: PlanPolicy): readonly DutyRule[] =>
    [...knowledge.duties.values()].flatMap(
      (duty) => dutyRule(duty, family, plan, { checks, actions, findings }) ?? [],
    );

  const access = knowledge.access
    .filter(has)
    .map(({ id, title, from, openMinutes, closeMinutes, means, safety, firstLooks = [] }) => ({
      id,
      title,
      from,
      openMinutes,
      closeMinutes,
      means,
      safety,
      firstLooks: firstLooks.filter((check) => checks.has(check)),
    }));
  const decisive = decisiveChecks(findings, checks);

  return {
    family,
    causes,
    checks,
    findings,
    actions,
    sewing,
    duties: knowledge.duties,
    riskLimit: knowledge.riskLimit,
    network: networkOf(causes, findings, sewing),
    access,
    decisive,
    actionAccess: accessOfActions(actions, decisive, access),
    dutyRules,
    owedAfter: owedMinutes(dutyRules('per-minute'), checks, actions),
  };
}

function checkFor(family: Family, knowledge: Knowledge, check: CheckSource): FamilyCheck {
  const { accessFrontLoading, findings, notWhile, notWhileFrontLoading, ...rest } = check;
  const frontLoading = family.traits.includes('front-loading');
  const off = frontLoading ? (notWhileFrontLoading ?? notWhile) : notWhile;
  const states = knowledge.access.filter(({ applies }) => appliesTo(family, applies));
  return {
    ...rest,
    notWhile: off === 'open' ? states.map(({ id }) => id) : (off ?? []),
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

/** What must have been looked at before a check: by its own conditions, and by the gates of duties. */
function conditionsOf(
  { id, requires = [] }: FamilyCheck,
  { duties }: Knowledge,
  known: ReadonlySet<string>,
): readonly string[] {
  const gates = [...duties.values()]
    .filter(({ raisedBy }) => raisedBy.some((token) => token === `check:${id}`))
    .flatMap(({ gate = [] }) => gate)
    .flatMap((text) => {
      const requirement = parseRequirement(text);
      return requirement?.kind === 'check'
        ? [requirement.normal ? `${requirement.id}=normal` : requirement.id]
        : [];
    });
  return [...new Set([...requires, ...gates])].filter((text) =>
    known.has(parseCheckCondition(text).id),
  );
}

/** Undefined for a check that watches no symptom. */
function sewingOf(
  { findings, trialTreats, sewnAsAfter = [] }: FamilyCheck,
  actions: ReadonlyMap<string, ActionSource>,
  causes: ReadonlyMap<string, CauseSource>,
): SewingCheck | undefined {
  const observes = new Map(
    findings.flatMap(({ id, observes: symptom }) => {
      const watched = trialTreats ? 'reported' : symptom;
      return watched === undefined ? [] : [[id, watched] as const];
    }),
  );
  if (observes.size === 0) return undefined;
  return {
    observes,
    isTrial: trialTreats !== undefined,
    exchanged: new Set([
      ...(trialTreats ?? []).filter((cause) => causes.has(cause)),
      ...sewnAsAfter.flatMap((action) => actions.get(action)?.treats ?? []),
    ]),
  };
}

/** Causes and findings as a network. What observes a symptom while sewing is no finding of its own. */
export function networkOf(
  causes: ReadonlyMap<string, CauseSource>,
  findings: ReadonlyMap<string, Finding>,
  sewing: FamilyModel['sewing'],
): Network {
  const known = [...findings.values()].filter(
    ({ id, check }) => !sewing.get(check)?.observes.has(id),
  );
  const ids = new Set(known.map(({ id }) => id));
  const links = [...causes.values()].flatMap((cause) =>
    (Object.keys(cause.shows) as StrengthWord[]).flatMap((word) =>
      (cause.shows[word] ?? [])
        .filter((finding) => ids.has(finding))
        .map((finding) => ({ cause: cause.id, finding, strength: STRENGTHS[word] })),
    ),
  );
  return buildNetwork(
    [...causes.values()].map(({ id, perMille }) => ({ id, prior: perMille / 1000 })),
    known.map(({ id, leak, symptom }) =>
      symptom
        ? { id, leak: 1 - (1 - leak) / (1 - symptom.unknown), unknownFault: symptom.unknown }
        : { id, leak },
    ),
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
    doneBefore: duty.doneBefore,
  };
}

/** What a repair of any kind owes (the sew-outs) is owed alike, and not among it. */
function owedMinutes(
  rules: readonly DutyRule[],
  checks: FamilyModel['checks'],
  actions: FamilyModel['actions'],
): ReadonlyMap<string, number> {
  const minutesOf = ({ kind, id }: Requirement): number => {
    if (kind === 'action') return actions.get(id)?.minutes ?? 0;
    const check = kind === 'check' ? checks.get(id) : undefined;
    return check && check.needs !== 'sews' ? check.minutes : 0;
  };
  const owed = new Map<string, number>();
  for (const { raisedBy, clearedAll } of rules) {
    const cost = clearedAll.reduce((sum, requirement) => sum + minutesOf(requirement), 0);
    for (const token of raisedBy) {
      const [kind, id = ''] = token.split(':');
      if (kind === 'action') owed.set(id, (owed.get(id) ?? 0) + cost);
    }
  }
  return owed;
}

function decisiveChecks(
  findings: FamilyModel['findings'],
  checks: FamilyModel['checks'],
): ReadonlyMap<string, FamilyCheck> {
  return new Map(
    [...findings.values()].flatMap(({ defines, check }) => {
      const telling = checks.get(check);
      return defines === undefined || !telling ? [] : [[defines, telling] as const];
    }),
  );
}

function accessOfActions(
  actions: FamilyModel['actions'],
  decisive: FamilyModel['decisive'],
  states: FamilyModel['access'],
): ReadonlyMap<string, string> {
  const cost = (access: string): number =>
    machineMinutes(states, new Set(), { minutes: 0, access, sews: false });
  return new Map(
    [...actions.values()].map(({ id, treats }) => {
      const reached = treats.flatMap((cause) => decisive.get(cause)?.access ?? []);
      return [id, reached.sort((a, b) => cost(a) - cost(b))[0] ?? 'closed'];
    }),
  );
}
