import {
  type CheckCandidate,
  type CheckProposal,
  type Minutes,
  minutes,
  openingChain,
  perMinute,
  type Question,
  SEWING_LEAK,
  type SightQuestion,
  visibilityOf,
} from '@nodo/core';
import type { PlanPolicy, Where } from '../schema/schema.ts';
import {
  epochOf,
  type FamilyEvidence,
  factorsOf,
  INTERVIEWS,
  oftenOf,
  reportedOf,
  sewnAmount,
  testableComplaints,
} from './evidence.ts';
import type { FamilyCheck, FamilyModel } from './familyModel.ts';
import { checkMinutes, isPartOff, type MachineNow, waitedFor } from './machineNow.ts';

/** What the planner must know of the work besides the evidence. */
export interface Situation extends MachineNow {
  readonly evidence: FamilyEvidence;
  readonly place: Where;
  readonly plan: PlanPolicy;
  /** Checks that were tried in this state of the machine and gave no answer. */
  readonly untold: ReadonlySet<string>;
  /** Checks and actions that a gate does not let through now, as `check:x` and `action:x`. */
  readonly barred?: (step: string) => boolean;
  /** Number of draws; by default as many as are worth waiting for. */
  readonly draws?: number;
}

const LADDER: readonly Where[] = ['phone', 'counter', 'bench'];

/** A check that may be proposed now, or that waits for others which may. */
export interface Candidate extends CheckCandidate {
  /** What must be looked at before it; its minutes are among those of the candidate. */
  readonly waitsFor: readonly FamilyCheck[];
}

/** The checks that may be proposed now or on the way, with what they cost on the machine as it stands. */
export function candidatesOf(model: FamilyModel, situation: Situation): readonly Candidate[] {
  const { evidence, open, place, standing, untold, barred } = situation;
  const reported = reportedOf(model, evidence);
  const testable = testableComplaints(model, reported, epochOf(evidence) > 0);
  const cannotSew = testable.length < reported.length;
  const canDo = (check: FamilyCheck): boolean => {
    if (INTERVIEWS.has(check.id) || untold.has(check.id) || standing(check.id).done) return false;
    if (barred?.(`check:${check.id}`)) return false;
    if (LADDER.indexOf(check.where) > LADDER.indexOf(place)) return false;
    // Nobody is asked over the phone to open a machine.
    if (place === 'phone' && openingChain(model.access, open, check.access).length > 0) {
      return false;
    }
    if (check.needs === 'sews' && cannotSew) return false;
    return !isPartOff(check, open);
  };
  return [...model.checks.values()]
    .filter(canDo)
    .flatMap((check): Candidate[] => {
      const waitsFor = waitedFor(model, check, standing, canDo);
      if (!waitsFor) return [];
      return [
        {
          id: check.id,
          question: questionOf(model, check, evidence, testable),
          minutes: wayMinutes(model, open, check, waitsFor),
          waitsFor,
        },
      ];
    })
    .filter(({ question: { findings, sights = [] } }) => findings.length + sights.length > 0);
}

/** Minutes of a check and of what it waits for: what is open for it is open for them. */
function wayMinutes(
  model: FamilyModel,
  open: ReadonlySet<string>,
  check: FamilyCheck,
  waitsFor: readonly FamilyCheck[],
): Minutes {
  const chain = openingChain(model.access, open, check.access);
  const opened = new Set([...open, ...chain.map(({ id }) => id)]);
  const before = waitsFor.map((step) =>
    Math.min(checkMinutes(model, open, step), checkMinutes(model, opened, step)),
  );
  return minutes(before.reduce((sum, each) => sum + each, checkMinutes(model, open, check)));
}

/**
 * What can be done now: in place of a check that waits for others stands the first of them, with its share
 * of what the whole way saves, where that is more than it saves by itself.
 */
export function firstSteps(
  model: FamilyModel,
  { open }: Pick<Situation, 'open'>,
  ranked: readonly CheckProposal[],
  candidates: readonly Candidate[],
): readonly CheckProposal[] {
  const first = new Map(candidates.map(({ id, waitsFor }) => [id, waitsFor[0]]));
  const steps = new Map<string, CheckProposal>();
  for (const proposal of ranked) {
    const step = first.get(proposal.check);
    const own = step ? checkMinutes(model, open, step) : proposal.minutes;
    const share = own / proposal.minutes;
    const offered: CheckProposal = step
      ? {
          check: step.id,
          minutes: own,
          gain: minutes(proposal.gain * share),
          later: minutes(proposal.later * share),
          risk: proposal.risk * share,
        }
      : proposal;
    const known = steps.get(offered.check);
    if (!known || perMinute(offered) > perMinute(known)) steps.set(offered.check, offered);
  }
  return [...steps.values()].sort((a, b) => perMinute(b) - perMinute(a));
}

/** More symptoms are watched as one: which of them shows is not planned for. Ours, no source. */
const MOST_APART = 2;

/** What a check asks. @param testable the reported symptoms that sewing shows. */
export function questionOf(
  model: FamilyModel,
  { id, findings, minutes: length }: FamilyCheck,
  evidence: FamilyEvidence,
  testable: readonly string[],
): Question {
  const sewn = model.sewing.get(id);
  const looked = findings.filter((finding) => !sewn?.observes.has(finding.id));
  if (!sewn) return { findings: looked.map((finding) => finding.id) };
  const observed = [...sewn.observes.values()];
  const watched = testable.filter(
    (symptom) => observed.includes('reported') || observed.includes(symptom),
  );
  const factors = factorsOf(model, id, false);
  const view = (symptom: string) => ({
    symptom,
    visibility: visibilityOf(
      sewnAmount(model, symptom, length),
      oftenOf(model, evidence.often, symptom),
    ),
  });
  const sight = (symptoms: readonly string[]): SightQuestion => ({
    symptoms: symptoms.map(view),
    leak: SEWING_LEAK,
    factors,
  });
  const asOne = watched.length > MOST_APART || sewn.isTrial || sewn.observes.size === 1;
  return {
    findings: looked.map((finding) => finding.id),
    sights:
      watched.length === 0
        ? []
        : asOne
          ? [sight(watched)]
          : watched.map((symptom) => sight([symptom])),
  };
}
