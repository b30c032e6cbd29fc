import {
  type CheckCandidate,
  type CheckProposal,
  type DutyStatus,
  drawStates,
  type Minutes,
  machineMinutes,
  minutes,
  openingChain,
  PosteriorEngine,
  type Proof,
  perMinute,
  proofNeeded,
  type Question,
  type Remedy,
  RemedyOrder,
  rankChecks,
  SEWING_LEAK,
  type SightQuestion,
  type Stakes,
  visibilityOf,
} from '@nodo/core';
import type { CheckId } from '../ids.ts';
import type { PlanPolicy, Where } from '../schema/schema.ts';
import {
  epochOf,
  type FamilyEvidence,
  factorsOf,
  INTERVIEWS,
  oftenOf,
  reportedOf,
  SEWN_AS_FOUND,
  sewnAmount,
  silentSewing,
  testableComplaints,
  withSewings,
} from './evidence.ts';
import { decisiveChecks, type FamilyCheck, type FamilyModel } from './familyModel.ts';
import { conditionHolds, isPartOff, type MachineNow } from './machineNow.ts';

/** Seven to one: a cause this sure is put right before anything is looked at. Ours, no source. */
export const SURE_ENOUGH = 7 / 8;

/**
 * What a machine that comes back costs: taking it in again, telling the customer, doing the
 * work once more. Ours, no source: an hour. The planner bench says what it does.
 */
export const COMEBACK_MINUTES = 60;

/**
 * Searching on for what no table names, once everything else was put right. Ours, no source: an hour.
 */
export const SEARCH_MINUTES = 60;
/** Id of the remedy that stands for it. */
export const SEARCH_ON = 'search-on';

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

export interface PlannedAction {
  /** Id of the action, or {@link SEARCH_ON}. */
  readonly action: string;
  /** Its own, with the opening and closing that it newly makes necessary; without the proof. */
  readonly minutes: Minutes;
  /** Chance that the symptom is still there when its turn comes. */
  readonly needed: number;
  /** Chance that it silences it then. */
  readonly silences: number;
}

/** What could be done next. */
export interface Planned {
  /** In the order of the plan: worth per minute, or the places of the full sweep. */
  readonly checks: readonly CheckProposal[];
  /** In the order in which repairing without further checks is expected to be shortest. */
  readonly actions: readonly PlannedAction[];
  /** Checks that are nearly free while something stands open, the best first. */
  readonly whileOpen: readonly string[];
  /** The check that lowers the comeback risk most per minute; undefined when none does. */
  readonly lowersRisk: string | undefined;
  /** How long it must sew in silence, on the work that failed; undefined when nothing is reported. */
  readonly proof: Proof | undefined;
  /** Minutes of a usual proof as the machine stands: what is open closed, and sewn. */
  readonly proofMinutes: Minutes;
}

/** Everything the plan can offer. Heavy: belongs in a worker. */
export function planNext(model: FamilyModel, situation: Situation): Planned {
  const engine = new PosteriorEngine(model.network, situation.evidence);
  const states = drawStates(engine, situation.draws);
  const stakes = stakesOf(model, situation);
  const ranked = rankChecks(model.network, states, candidatesOf(model, situation), stakes);
  const checks = situation.plan === 'full-sweep' ? inSweepOrder(model, ranked) : ranked;
  const actions = new RemedyOrder(states, stakes).order().map(
    ({ remedy, needed, silences }): PlannedAction => ({
      action: remedy.id,
      minutes: minutes(remedy.minutes),
      needed,
      silences,
    }),
  );
  const byRisk = ranked.toSorted((a, b) => riskPerMinute(b) - riskPerMinute(a));
  return {
    checks,
    actions,
    whileOpen: ranked
      .filter((proposal) => isNearlyFree(model, situation, proposal))
      .map(({ check }) => check),
    lowersRisk: byRisk.find(({ risk }) => risk >= LEAST_RISK_LOWERED)?.check,
    proof: proofOf(model, situation.evidence),
    proofMinutes: machineMinutes(model.access, situation.open, {
      minutes: stakes.proofMinutes,
      access: 'closed',
      sews: true,
    }),
  };
}

/** How long it must sew as it failed; undefined when nothing is reported. */
export function proofOf(
  model: FamilyModel,
  evidence: FamilyEvidence,
  limit?: number,
): Proof | undefined {
  const symptoms = reportedOf(model, evidence);
  if (symptoms.length === 0) return undefined;
  const epoch = epochOf(evidence);
  const way = { check: SEWN_AS_FOUND, epoch, onTheWork: true };
  return proofNeeded(
    model.network,
    (length) =>
      withSewings(model, evidence, silentSewing(model, symptoms, { ...way, minutes: length })),
    limit,
  );
}

/** Whether a check saves more minutes than it costs. */
export function isWorthIt({ gain, minutes: cost }: CheckProposal): boolean {
  return gain > cost;
}

/** Whether it is worth it before the first action: done after that, it would save less. */
export function isWorthItFirst(proposal: CheckProposal): boolean {
  return isWorthIt(proposal) && proposal.gain - proposal.minutes > LATER_COUNTS * proposal.later;
}

/** What may be saved later counts a little less than what is saved now. Ours, no source. */
const LATER_COUNTS = 0.9;

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
  if (check.needs !== 'sews' && isPartOff(check, open)) {
    // Put together first, for the part that it asks about.
    const closing = machineMinutes(model.access, open, {
      minutes: 0,
      access: 'closed',
      sews: true,
    });
    return minutes(closing + checkMinutes(model, new Set(), check));
  }
  return machineMinutes(model.access, open, {
    minutes: check.minutes,
    access: check.access,
    sews: check.needs === 'sews',
  });
}

/** The steps that owed duties hold up, as `check:x`; nothing else is barred. */
export function barredBy(
  model: FamilyModel,
  duties: readonly DutyStatus[],
): (step: string) => boolean {
  const held = new Set<string>(
    duties
      .filter(({ state }) => state === 'owed')
      .flatMap(({ duty }) => model.duties.get(duty)?.before ?? []),
  );
  const barred = new Set<string>();
  for (const { id, needs } of model.checks.values()) {
    if (held.has(`check:${id}`) || held.has(`${needs}:*`)) barred.add(`check:${id}`);
  }
  return (step) => barred.has(step);
}

const LADDER: readonly Where[] = ['phone', 'counter', 'bench'];

/** The checks that may be proposed now, with what they cost on the machine as it stands. */
export function candidatesOf(model: FamilyModel, situation: Situation): readonly CheckCandidate[] {
  const { evidence, open, place, standing, untold, barred } = situation;
  const reported = reportedOf(model, evidence);
  const testable = testableComplaints(model, reported, epochOf(evidence) > 0);
  const cannotSew = testable.length < reported.length;
  return [...model.checks.values()]
    .filter((check) => {
      if (INTERVIEWS.has(check.id) || untold.has(check.id) || standing(check.id).done) return false;
      if (barred?.(`check:${check.id}`)) return false;
      if (LADDER.indexOf(check.where) > LADDER.indexOf(place)) return false;
      // Nobody is asked over the phone to open a machine.
      if (place === 'phone' && openingChain(model.access, open, check.access).length > 0) {
        return false;
      }
      if (check.needs === 'sews' && cannotSew) return false;
      if (isPartOff(check, open)) return false;
      return (check.requires ?? []).every((text) => conditionHolds(text, standing));
    })
    .map(
      (check): CheckCandidate => ({
        id: check.id,
        question: questionOf(model, check, evidence, testable),
        minutes: checkMinutes(model, open, check),
      }),
    )
    .filter(({ question: { findings, sights = [] } }) => findings.length + sights.length > 0);
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

function stakesOf(model: FamilyModel, situation: Situation): Stakes {
  const { open, plan, barred, standing } = situation;
  const access = accessOfActions(model);
  const looks = decisiveChecks(model);
  const { network } = model;
  const places = (causes: readonly string[]): readonly number[] =>
    causes.flatMap((cause) => network.causeIndex.get(cause) ?? []);
  const unnamed = network.causes.flatMap(({ id, unnamedFor }) => (unnamedFor ? [id] : []));
  const remedies = [...model.actions.values()]
    .filter(({ id, treats }) => treats.length > 0 && !barred?.(`action:${id}`))
    .map(
      ({ id, treats, minutes: own, afterFinding }): Remedy => ({
        id,
        treats: places(treats),
        minutes: machineMinutes(model.access, open, {
          minutes: own + (afterFinding ? lookOwed(treats, looks, standing) : 0),
          access: access.get(id) ?? 'closed',
          sews: false,
        }),
      }),
    );
  return {
    remedies: [...remedies, { id: SEARCH_ON, treats: places(unnamed), minutes: SEARCH_MINUTES }],
    proofMinutes: minutesOfProof(model),
    comebackMinutes: COMEBACK_MINUTES,
    sharesProofs: plan !== 'one-at-a-time',
  };
}

/** Minutes of the look without which it is not done: the shortest, none once one of them was made. */
function lookOwed(
  causes: readonly string[],
  looks: ReadonlyMap<string, FamilyCheck>,
  standing: Situation['standing'],
): number {
  const decisive = causes.flatMap((cause) => looks.get(cause) ?? []);
  if (decisive.length === 0 || decisive.some(({ id }) => standing(id).done)) return 0;
  return Math.min(...decisive.map(({ minutes: cost }) => cost));
}

/** By action, where the hand must get to: the nearest place at which a cause that it treats is seen. */
export function accessOfActions(model: FamilyModel): ReadonlyMap<string, string> {
  const places = decisiveChecks(model);
  const cost = (access: string): number =>
    machineMinutes(model.access, new Set(), { minutes: 0, access, sews: false });
  return new Map(
    [...model.actions.values()].map(({ id, treats }) => {
      const reached = treats.flatMap((cause) => places.get(cause)?.access ?? []);
      return [id, reached.sort((a, b) => cost(a) - cost(b))[0] ?? 'closed'];
    }),
  );
}

/** The sew-out after a repair: the standard one where the family has it. */
const PROOFS = ['standard-straight', SEWN_AS_FOUND] as const satisfies readonly CheckId[];

function minutesOfProof(model: FamilyModel): number {
  const proof = PROOFS.flatMap((id) => model.checks.get(id) ?? [])[0];
  return proof?.minutes ?? 0;
}
