import { type CheckProposal, drawStates, PosteriorEngine, seeded } from '@nodo/core';
import {
  COMEBACK_MINUTES,
  type FamilyModel,
  isWorthIt,
  modelOf,
  planNext,
  questionOf,
  reportedComplaints,
  SURE_ENOUGH,
  testableComplaints,
} from '@nodo/knowledge';
import { informationOf, outcomesOf } from '../../packages/core/test/information.ts';
import { spreadOf } from '../../scripts/lib/spread.mjs';
import { drawTruth, generatorOf, type Truth } from './truth.ts';
import { type Choose, everythingKnown, type Walk, walk } from './walk.ts';

const ways: Readonly<Record<string, Choose>> = {
  /** What the product proposes: minutes saved, of repairs and of comebacks, per minute. */
  value: (model, situation) => planNext(model, situation).checks.find(isWorthIt)?.check,
  /** The same without the comebacks. */
  'repairs-only': (model, situation) => {
    const worth = planNext(model, situation)
      .checks.map((proposal) => ({
        ...proposal,
        perMinute:
          (proposal.gain - COMEBACK_MINUTES * proposal.risk) / Math.max(0.1, proposal.minutes),
      }))
      .filter(({ perMinute }) => perMinute > 1);
    return worth.sort((a, b) => b.perMinute - a.perMinute)[0]?.check;
  },
  /** Bits per minute, as long as something is worth its minutes. */
  information: (model, situation) => {
    const states = drawStates(new PosteriorEngine(model.network, situation.evidence));
    const complaints = testableComplaints(
      model,
      reportedComplaints(model, situation.evidence.readings),
    );
    const bitsPerMinute = ({ check: id, minutes }: CheckProposal): number => {
      const check = model.checks.get(id);
      if (!check) return 0;
      const question = questionOf(model, check, complaints);
      return informationOf(states, outcomesOf(model.network, states, question)) / minutes;
    };
    return planNext(model, situation)
      .checks.filter(isWorthIt)
      .map((proposal) => ({ check: proposal.check, worth: bitsPerMinute(proposal) }))
      .sort((a, b) => b.worth - a.worth)[0]?.check;
  },
  /** Everything in the order of the full sweep. */
  sweep: (model, situation) =>
    [...model.checks.values()]
      .filter(({ id, sweep }) => sweep !== undefined && !situation.standing(id).done)
      .sort((a, b) => (a.sweep ?? 0) - (b.sweep ?? 0))[0]?.id,
};

export interface Job {
  readonly family: string;
  /** Strengths of the truth moved against those of the first version. */
  readonly moved: boolean;
  readonly way: string;
  readonly machines: number;
}

export interface Result extends Job {
  readonly medianMinutes: number;
  readonly meanMinutes: number;
  readonly p90Minutes: number;
  /** Present causes that ended at .9 or above, over those that could with every check done. */
  readonly confirmedOfCeiling: number;
  /** Causes at .9 or above that were not there, per machine. */
  readonly falsePerCase: number;
  readonly brier: number;
  /** Of the tenths that have enough cases, the one with the greatest gap between told and true. */
  readonly worstTenth: Tenth;
  /** The same for beliefs that know what is thrown away when machines are drawn. */
  readonly worstTenthWithinBounds: Tenth;
}

export interface Tenth {
  /** Beliefs from here up to a tenth more. */
  readonly from: number;
  readonly cases: number;
  readonly gap: number;
  /**
   * How far the true share strays by chance: from what was off machine by machine, since beliefs about one
   * machine go together.
   */
  readonly standardError: number;
}

const SEED = 20_251;

/** One way of searching on one family's machines: the same machines for every way. */
export function compare(job: Job): Result {
  const model = modelOf(job.family);
  const choose = ways[job.way];
  if (!model || !choose) throw new Error(`no such bench: ${job.family} ${job.way}`);
  const generator = generatorOf(job.family, job.moved);
  const draw = seeded(SEED);
  const walks = Array.from({ length: job.machines }, () => {
    const truth = drawTruth(generator, draw);
    return { truth, walked: walk(truth, model, choose) };
  });
  const minutes = walks.map(({ walked }) => walked.minutes);
  const at = spreadOf(minutes, 1);
  return {
    ...job,
    medianMinutes: at(0.5),
    meanMinutes: rounded(minutes.reduce((sum, each) => sum + each, 0) / minutes.length, 1),
    p90Minutes: at(0.9),
    ...confirmations(walks, model),
    ...calibration(walks, ({ beliefs }) => beliefs),
    worstTenthWithinBounds: calibration(walks, ({ beliefsWithinBounds }) => beliefsWithinBounds)
      .worstTenth,
  };
}

interface Walked {
  readonly truth: Truth;
  readonly walked: Walk;
}

function confirmations(walks: readonly Walked[], model: FamilyModel) {
  let confirmed = 0;
  let ceiling = 0;
  let falsely = 0;
  for (const { truth, walked } of walks) {
    const known = everythingKnown(truth, model);
    for (const cause of truth.causes) {
      if ((walked.beliefs.get(cause) ?? 0) >= SURE_ENOUGH) confirmed += 1;
      if ((known.get(cause) ?? 0) >= SURE_ENOUGH) ceiling += 1;
    }
    for (const [cause, belief] of walked.beliefs) {
      if (belief >= SURE_ENOUGH && !truth.causes.has(cause)) falsely += 1;
    }
  }
  return {
    confirmedOfCeiling: rounded(confirmed / ceiling, 3),
    falsePerCase: rounded(falsely / walks.length, 3),
  };
}

/** A tenth counts with fifty cases in five hundred machines, and with as many more in more machines. */
const ENOUGH_CASES = 50 / 500;

/** Source of the score: Brier, Monthly Weather Review 78 (1950). */
function calibration(walks: readonly Walked[], told: (walk: Walk) => ReadonlyMap<string, number>) {
  const tenths = Array.from({ length: 10 }, () => ({ cases: 0, off: 0, squaredOff: 0 }));
  let squares = 0;
  let cases = 0;
  for (const { truth, walked } of walks) {
    const offHere = tenths.map(() => 0);
    for (const [cause, belief] of told(walked)) {
      const there = truth.causes.has(cause) ? 1 : 0;
      squares += (belief - there) ** 2;
      cases += 1;
      const index = Math.min(9, Math.floor(belief * 10));
      const tenth = tenths[index];
      if (!tenth) continue;
      tenth.cases += 1;
      offHere[index] = (offHere[index] ?? 0) + belief - there;
    }
    for (const [place, tenth] of tenths.entries()) {
      const off = offHere[place] ?? 0;
      tenth.off += off;
      tenth.squaredOff += off ** 2;
    }
  }
  const [worstTenth] = tenths
    .map(
      ({ cases: count, off, squaredOff }, tenth): Tenth => ({
        from: tenth / 10,
        cases: count,
        gap: rounded(Math.abs(off) / count, 3),
        standardError: rounded(Math.sqrt(squaredOff) / count, 3),
      }),
    )
    .filter((tenth) => tenth.cases >= ENOUGH_CASES * walks.length)
    .sort((a, b) => b.gap - a.gap);
  if (!worstTenth) throw new Error('too few machines for any tenth');
  return { brier: rounded(squares / cases, 4), worstTenth };
}

function rounded(value: number, digits: number): number {
  return Number(value.toFixed(digits));
}
