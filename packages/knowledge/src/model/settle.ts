import { type DutyStatus, MOST_PROOF_MINUTES, type Requirement } from '@nodo/core';
import { parseRequirement } from '../schema/tokens.ts';
import { epochOf, type FamilyEvidence, reportedOf, SEWN_AS_FOUND } from './evidence.ts';
import type { FamilyCheck, FamilyModel } from './familyModel.ts';
import { checkMinutes, firstOnTheWay, isPartOff, type MachineNow } from './machineNow.ts';

/** What brings an owed duty nearer. */
export type DutyStep =
  | { readonly kind: 'check'; readonly check: string; readonly duty: string }
  | { readonly kind: 'action'; readonly actions: readonly string[]; readonly duty: string }
  /** The check asks for parts that are off. */
  | { readonly kind: 'close-machine'; readonly check: string; readonly duty: string }
  /** Nothing on this machine clears it: only a person can. */
  | { readonly kind: 'waive'; readonly duty: string };

export interface DutyWays extends MachineNow {
  /** Put off by whoever works there, or looked at already and not as it should be. */
  readonly isPutOff: (check: string) => boolean;
  readonly barred: (step: string) => boolean;
}

/** The cheapest thing that brings an owed duty nearer, given what stands open. */
export function nextDuty(
  model: FamilyModel,
  duties: readonly DutyStatus[],
  ways: DutyWays,
): DutyStep | undefined {
  const { open, standing, isPutOff, barred } = ways;
  const owed = duties.filter(({ state }) => state === 'owed');
  const asked = owed
    .flatMap(({ duty, missing }) =>
      [...missing.all, ...missing.any].flatMap(({ kind, id }) => {
        const check = askedCheck(model, { kind, id });
        // Good news that was looked for and not seen is not looked for again.
        if (!check || (kind === 'finding' && standing(check.id).done)) return [];
        return [{ check: firstOnTheWay(model, check, ways), duty }];
      }),
    )
    .filter(({ check }) => !isPutOff(check.id) && !barred(`check:${check.id}`));
  const checks = asked
    .filter(({ check }) => !isPartOff(check, open))
    .sort((a, b) => checkMinutes(model, open, a.check) - checkMinutes(model, open, b.check));
  for (const { duty, missing } of owed) {
    const possible = [...missing.all, ...missing.any];
    const actions = possible.filter(({ kind }) => kind === 'action');
    if (actions.length > 0 && (possible.length === actions.length || asked.length === 0)) {
      return { kind: 'action', actions: actions.map(({ id }) => id), duty };
    }
  }
  const [first] = checks;
  if (first) return { kind: 'check', check: first.check.id, duty: first.duty };
  const [together] = asked;
  if (together) {
    return { kind: 'close-machine', check: together.check.id, duty: together.duty };
  }
  const [left] = owed;
  return left && { kind: 'waive', duty: left.duty };
}

type Asked = Pick<Requirement, 'kind' | 'id'>;

/** The check that a requirement asks for, itself or for one of its findings; undefined for an action. */
function askedCheck(model: FamilyModel, { kind, id }: Asked): FamilyCheck | undefined {
  if (kind === 'action') return undefined;
  return model.checks.get(kind === 'check' ? id : (model.findings.get(id)?.check ?? ''));
}

/** The same without what is sewn, and without waiving: what comes before the proof. */
export function nextLook(
  model: FamilyModel,
  duties: readonly DutyStatus[],
  ways: DutyWays,
): DutyStep | undefined {
  const isLook = (requirement: Asked): boolean => askedCheck(model, requirement)?.needs !== 'sews';
  const asked = duties.map((duty) => ({
    ...duty,
    missing: {
      all: duty.missing.all.filter(isLook),
      any: duty.missing.any.filter(isLook),
    },
  }));
  const step = nextDuty(model, asked, ways);
  return step?.kind === 'waive' ? undefined : step;
}

/**
 * What has to be done before the machine is turned or sewn: of the duties that hold a step up, in their
 * order, the first thing that is still missing. While parts are off, what needs them waits until the
 * machine is put together for something else.
 */
export function nextBeforePower(
  model: FamilyModel,
  duties: readonly DutyStatus[],
  ways: DutyWays,
): DutyStep | undefined {
  for (const duty of duties) {
    if (duty.state !== 'owed' || !model.duties.get(duty.duty)?.before) continue;
    const step = nextDuty(model, [duty], ways);
    if (step?.kind === 'check' || step?.kind === 'action') return step;
  }
  return undefined;
}

/**
 * What is done by hand between putting together what stands open and the first stitch: the check on the
 * closed machine that clears what the closing will raise. Undefined when nothing of the kind is open.
 */
export function handBeforeSewing(
  model: FamilyModel,
  open: ReadonlySet<string>,
): FamilyCheck | undefined {
  return [...model.duties.values()]
    .filter(({ before = [] }) => before.includes('sews:*'))
    .filter(({ raisedBy }) => [...open].some((state) => raisedBy.includes(`closed:${state}`)))
    .flatMap(({ clearedAny = [] }) => clearedAny)
    .flatMap((text) => {
      const requirement = parseRequirement(text);
      return requirement?.kind === 'check' ? (model.checks.get(requirement.id) ?? []) : [];
    })
    .find((check) => isPartOff(check, open));
}

/** How a reported symptom stands. */
export interface SymptomDebt {
  readonly symptom: string;
  /** Minutes sewn in silence, as it failed, since the last repair. */
  readonly silentMinutes: number;
  /** Undefined as long as it is owed. */
  readonly settled: 'sewn-away' | 'not-brought-out' | undefined;
}

/**
 * The reported symptoms, each a debt until it was sewn long enough without showing: until the comeback
 * risk is within the limit, or as long as is ever proposed. Sewn away after a repair, not brought out
 * without one.
 */
export function symptomDebts(
  model: FamilyModel,
  evidence: FamilyEvidence,
  risk: number,
): readonly SymptomDebt[] {
  const now = epochOf(evidence);
  return reportedOf(model, evidence).map((symptom): SymptomDebt => {
    const silentMinutes = evidence.sewings
      .filter(
        ({ epoch, work, watched, shown }) =>
          epoch === now &&
          work.startsWith(SEWN_AS_FOUND) &&
          watched.includes(symptom) &&
          shown !== 'some' &&
          !shown.includes(symptom),
      )
      .reduce((sum, { minutes }) => sum + minutes, 0);
    const shows = evidence.sewings.some(
      ({ epoch, watched, shown }) =>
        epoch === now && (shown === 'some' ? watched.includes(symptom) : shown.includes(symptom)),
    );
    const isLongEnough =
      silentMinutes > 0 &&
      !shows &&
      (risk <= model.riskLimit || silentMinutes >= MOST_PROOF_MINUTES);
    const settled = now > 0 ? ('sewn-away' as const) : ('not-brought-out' as const);
    return { symptom, silentMinutes, settled: isLongEnough ? settled : undefined };
  });
}
