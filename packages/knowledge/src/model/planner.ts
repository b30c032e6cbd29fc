import {
  asTheyAre,
  type CheckCandidate,
  type CheckProposal,
  drawStates,
  type Evidence,
  type Minutes,
  machineMinutes,
  minutes,
  openingChain,
  PosteriorEngine,
  perMinute,
  type Question,
  quietOf,
  rankChecks,
  repairOrder,
  type Stakes,
} from '@nodo/core';
import type { CheckId } from '../ids.ts';
import type { PlanPolicy, Where } from '../schema/schema.ts';
import { parseCheckCondition } from '../schema/tokens.ts';
import { INTERVIEWS, reportedComplaints, testableComplaints } from './evidence.ts';
import { decisiveChecks, type FamilyCheck, type FamilyModel } from './familyModel.ts';

/** Seven to one: a cause this sure is put right before anything is looked at. Ours, no source. */
export const SURE_ENOUGH = 7 / 8;

/**
 * What a machine that comes back costs: taking it in again, telling the customer, doing the
 * work once more. Ours, no source: an hour. The planner bench says what it does.
 */
export const COMEBACK_MINUTES = 60;

/** What the planner must know of the work besides the evidence. */
export interface Situation {
  readonly evidence: Evidence;
  readonly open: ReadonlySet<string>;
  readonly place: Where;
  readonly plan: PlanPolicy;
  /** Whether a check has been done and still holds, and found nothing. */
  readonly standing: (check: string) => { readonly done: boolean; readonly normal: boolean };
  /** Checks that were tried in this state of the machine and gave no answer. */
  readonly untold: ReadonlySet<string>;
  /** Number of draws; by default as many as are worth waiting for. */
  readonly draws?: number;
}

export interface PlannedRepair {
  readonly cause: string;
  /** Fix, opening and closing for it, and the sew-out after it. */
  readonly minutes: Minutes;
}

/** What could be done next. */
export interface Planned {
  /** In the order of the plan: worth per minute, or the places of the full sweep. */
  readonly checks: readonly CheckProposal[];
  /** In the order in which repairing without further checks is expected to be shortest. */
  readonly repairs: readonly PlannedRepair[];
  /** Checks that are nearly free while something stands open, the best first. */
  readonly whileOpen: readonly string[];
  /** The check that lowers the comeback risk most per minute; undefined when none does. */
  readonly lowersRisk: string | undefined;
}

/** Everything the plan can offer. Heavy: belongs in a worker. */
export function planNext(model: FamilyModel, situation: Situation): Planned {
  const engine = new PosteriorEngine(model.network, situation.evidence);
  const states = drawStates(engine, situation.draws);
  const stakes = stakesOf(model, situation);
  const ranked = rankChecks(model.network, states, candidatesOf(model, situation), stakes);
  const checks = situation.plan === 'full-sweep' ? inSweepOrder(model, ranked) : ranked;
  const order = repairOrder(asTheyAre(model.network, states).present, 1, stakes.repairMinutes);
  const repairs = [...order].flatMap((index) => {
    const cause = model.network.causes[index];
    return cause ? [{ cause: cause.id, minutes: minutes(stakes.repairMinutes[index] ?? 0) }] : [];
  });
  const byRisk = ranked.toSorted((a, b) => riskPerMinute(b) - riskPerMinute(a));
  return {
    checks,
    repairs,
    whileOpen: ranked
      .filter((proposal) => isNearlyFree(model, situation, proposal))
      .map(({ check }) => check),
    lowersRisk: byRisk.find(({ risk }) => risk >= LEAST_RISK_LOWERED)?.check,
  };
}

/** Whether a check saves more minutes than it costs. */
export function isWorthIt({ gain, minutes: cost }: CheckProposal): boolean {
  return gain > cost;
}

/** A check that lowers the risk by less is not named for it. Ours, no source. */
const LEAST_RISK_LOWERED = 0.01;

function riskPerMinute({ risk, minutes: cost }: CheckProposal): number {
  return perMinute({ gain: minutes(risk), minutes: cost });
}

function inSweepOrder(
  model: FamilyModel,
  proposals: readonly CheckProposal[],
): readonly CheckProposal[] {
  const place = ({ check }: CheckProposal): number => model.checks.get(check)?.sweep ?? 0;
  return proposals.filter((proposal) => place(proposal) > 0).sort((a, b) => place(a) - place(b));
}

/** Behind something that stands open, worth it now, and twice as dear once it is closed again. */
function isNearlyFree(model: FamilyModel, { open }: Situation, proposal: CheckProposal): boolean {
  const check = model.checks.get(proposal.check);
  if (!check || check.needs === 'sews' || !isWorthIt(proposal)) return false;
  const behind = openingChain(model.access, new Set(), check.access);
  if (!behind.some((state) => open.has(state.id))) return false;
  return proposal.minutes * 2 <= checkMinutes(model, new Set(), check);
}

/** Minutes a check costs on the machine as it stands, opening and closing included. */
export function checkMinutes(
  model: FamilyModel,
  open: ReadonlySet<string>,
  check: FamilyCheck,
): Minutes {
  return machineMinutes(model.access, open, {
    minutes: check.minutes,
    access: check.access,
    sews: check.needs === 'sews',
  });
}

const LADDER: readonly Where[] = ['phone', 'counter', 'bench'];

/** The checks that may be proposed now, with what they cost on the machine as it stands. */
export function candidatesOf(model: FamilyModel, situation: Situation): readonly CheckCandidate[] {
  const { evidence, open, place, standing, untold } = situation;
  const reported = reportedComplaints(model, evidence.readings);
  const testable = testableComplaints(model, reported);
  const cannotSew = reported.some((id) => model.findings.get(id)?.inScrap === 'cannot-sew');
  return [...model.checks.values()]
    .filter((check) => {
      if (INTERVIEWS.has(check.id) || untold.has(check.id) || standing(check.id).done) return false;
      if (LADDER.indexOf(check.where) > LADDER.indexOf(place)) return false;
      // Nobody is asked over the phone to open a machine.
      if (place === 'phone' && openingChain(model.access, open, check.access).length > 0) {
        return false;
      }
      if (check.needs === 'sews' && cannotSew) return false;
      if (model.trials.has(check.id) && testable.length === 0) return false;
      return (check.requires ?? []).every((text) => {
        const { id, shown } = parseCheckCondition(text);
        const { done, normal } = standing(id);
        return done && (shown === 'anything' || (shown === 'normal') === normal);
      });
    })
    .map(
      (check): CheckCandidate => ({
        id: check.id,
        question: questionOf(model, check, testable),
        minutes: checkMinutes(model, open, check),
      }),
    );
}

/** What a check asks. @param testable the reported complaints that a trial is compared with. */
export function questionOf(
  model: FamilyModel,
  { id, findings }: FamilyCheck,
  testable: readonly string[],
): Question {
  const trial = model.trials.get(id);
  return trial
    ? { kind: 'trial', trial: { ...trial, complaints: testable } }
    : { kind: 'look', findings: findings.map((finding) => finding.id) };
}

function stakesOf(model: FamilyModel, { evidence, open }: Situation): Stakes {
  const places = decisiveChecks(model);
  const proof = minutesOfProof(model);
  return {
    repairMinutes: model.network.causes.map(({ id }) => {
      const fix = model.causes.get(id)?.fixMinutes ?? 0;
      const access = places.get(id)?.access ?? 'closed';
      return machineMinutes(model.access, open, { minutes: fix + proof, access, sews: false });
    }),
    quiet: quietOf(model.network, reportedComplaints(model, evidence.readings)),
    sureEnough: SURE_ENOUGH,
    comebackMinutes: COMEBACK_MINUTES,
  };
}

/** The sew-out after a repair: the standard one where the family has it. */
const PROOFS = ['standard-straight', 'found-sew'] as const satisfies readonly CheckId[];

function minutesOfProof(model: FamilyModel): number {
  const proof = PROOFS.flatMap((id) => model.checks.get(id) ?? [])[0];
  return proof?.minutes ?? 0;
}
