import {
  asTheyAre,
  type CheckProposal,
  drawStates,
  type Minutes,
  MOST_PROOF_MINUTES,
  machineMinutes,
  minutes,
  openingChain,
  PosteriorEngine,
  type Proof,
  perMinute,
  proofNeeded,
  type Remedy,
  RemedyOrder,
  rankChecks,
} from '@nodo/core';
import { candidatesOf, firstSteps, type Situation } from './candidates.ts';
import {
  epochOf,
  type FamilyEvidence,
  isInProof,
  reportedOf,
  SEWN_AS_FOUND,
  silentSewing,
  withSewings,
} from './evidence.ts';
import type { FamilyCheck, FamilyModel } from './familyModel.ts';
import { CLOSED, checkMinutes } from './machineNow.ts';
import { stakesOf } from './stakes.ts';

/** Seven to one: a cause this sure is put right before anything is looked at. Ours, no source. */
export const SURE_ENOUGH = 7 / 8;

export interface PlannedAction {
  /** Id of the action, or {@link SEARCH_ON}. */
  readonly action: string;
  /** Its own, with the opening and closing that it newly makes necessary; without what it owes. */
  readonly minutes: Minutes;
  /** Of the looks that it waits for, where it is not done on suspicion. */
  readonly lookMinutes: number | undefined;
  /** What it costs more once the machine was closed and sewn. */
  readonly reopening: number;
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
  /** Putting more right costs less than the comebacks of giving it back as it is. */
  readonly isWorthGoingOn: boolean;
  /** How long it must sew in silence, on the work that failed; undefined when nothing is reported. */
  readonly proof: Proof | undefined;
  /** Minutes of a usual proof as the machine stands: what is open closed, and sewn. */
  readonly proofMinutes: Minutes;
}

/** Everything the plan can offer. Heavy: belongs in a worker. */
export function planNext(model: FamilyModel, situation: Situation): Planned {
  const { open, evidence } = situation;
  const engine = new PosteriorEngine(model.network, evidence);
  const states = drawStates(engine, situation.draws);
  const stakes = stakesOf(model, situation);
  const candidates = candidatesOf(model, situation);
  const order = new RemedyOrder(states, stakes);
  const ranked = firstSteps(
    model,
    situation,
    rankChecks(model.network, order, candidates),
    candidates,
  );
  const checks = situation.plan === 'full-sweep' ? inSweepOrder(model, ranked) : ranked;
  const now = asTheyAre(states);
  const actions = order.order().map(
    ({ remedy, needed, silences }): PlannedAction => ({
      action: remedy.id,
      minutes: actionMinutes(model, open, remedy),
      lookMinutes: remedy.lookMinutes,
      reopening: remedy.reopening ?? 0,
      needed,
      silences,
    }),
  );
  const proofAgain = proofAgainMinutes(model, evidence, actions[0]);
  const extra = PROOF_AGAIN_COUNTS * Math.max(0, proofAgain - stakes.proofMinutes);
  const byRisk = ranked.toSorted((a, b) => riskPerMinute(b) - riskPerMinute(a));
  return {
    checks,
    actions,
    whileOpen: ranked
      .filter((proposal) => {
        const check = model.checks.get(proposal.check);
        if (!check || !isWorthIt(proposal)) return false;
        return isNearlyFree(model, open, check, proposal.minutes) && !isMended(check, evidence);
      })
      .map(({ check }) => check),
    lowersRisk: byRisk.find(({ risk }) => risk >= LEAST_RISK_LOWERED)?.check,
    isWorthGoingOn: !order.left(now.masses, now.chance, extra).isLeft,
    proof: proofOf(model, evidence),
    proofMinutes: machineMinutes(model.access, open, {
      minutes: stakes.proofMinutes,
      access: 'closed',
      sews: true,
    }),
  };
}

function actionMinutes(
  model: FamilyModel,
  open: ReadonlySet<string>,
  { id, minutes: whole }: Remedy,
): Minutes {
  const own = model.actions.get(id)?.minutes;
  if (own === undefined) return minutes(whole);
  const access = model.actionAccess.get(id) ?? 'closed';
  return machineMinutes(model.access, open, { minutes: own, access, sews: false });
}

/** How long it must sew as it failed; undefined when nothing is reported. */
export function proofOf(model: FamilyModel, evidence: FamilyEvidence): Proof | undefined {
  const symptoms = reportedOf(model, evidence);
  if (symptoms.length === 0) return undefined;
  const epoch = epochOf(evidence);
  const way = { check: SEWN_AS_FOUND, epoch, onTheWork: true };
  return proofNeeded(
    model.network,
    (length) =>
      withSewings(model, evidence, silentSewing(model, symptoms, { ...way, minutes: length })),
    model.riskLimit,
  );
}

/** Sewing anew also shows what was not touched: half of it counts as lost. Ours, no source. */
const PROOF_AGAIN_COUNTS = 0.5;

/** Minutes of the proof that is owed anew once this is done; none before anything was proven. */
function proofAgainMinutes(
  model: FamilyModel,
  evidence: FamilyEvidence,
  next: PlannedAction | undefined,
): number {
  const epoch = epochOf(evidence);
  const treats = model.actions.get(next?.action ?? '')?.treats;
  if (!treats || !isInProof(model, evidence)) return 0;
  if (!evidence.sewings.some((sewing) => sewing.epoch === epoch)) return 0;
  const treatments = [...evidence.treatments, { startsEpoch: epoch + 1, causes: treats }];
  return proofOf(model, { ...evidence, treatments })?.minutes ?? MOST_PROOF_MINUTES;
}

/** Whether a check saves more minutes than it costs. */
export function isWorthIt({ gain, minutes: cost }: CheckProposal): boolean {
  return gain > cost;
}

/** Whether it is worth it before the first action: done after that, it would save less. */
export function isWorthItFirst(proposal: CheckProposal): boolean {
  return isWorthIt(proposal) && proposal.gain - proposal.minutes > CHANCE * proposal.later;
}

/** Both are drawn: what differs by less is chance. Ours, no source. */
const CHANCE = 1.02;

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

/** All that it defines was put right since the last sewing: that proves it, not looking at it again. */
export function isMended(
  { findings }: FamilyCheck,
  { treatments, sewings }: FamilyEvidence,
): boolean {
  const defined = findings.flatMap(({ defines }) => defines ?? []);
  const sewnIn = Math.max(-1, ...sewings.map(({ epoch }) => epoch));
  const mended = new Set(
    treatments.flatMap(({ startsEpoch, causes }) => (startsEpoch > sewnIn ? causes : [])),
  );
  return defined.length > 0 && defined.every((cause) => mended.has(cause));
}

/** Behind something that stands open, and twice as dear once it is closed again. @param now its minutes. */
function isNearlyFree(
  model: FamilyModel,
  open: ReadonlySet<string>,
  check: FamilyCheck,
  now: Minutes,
): boolean {
  if (check.needs === 'sews') return false;
  const behind = openingChain(model.access, CLOSED, check.access);
  if (!behind.some((state) => open.has(state.id))) return false;
  return now * 2 <= checkMinutes(model, CLOSED, check);
}
