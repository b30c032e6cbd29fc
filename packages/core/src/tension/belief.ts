import { CoreError } from '../errors/coreError.ts';

/** One sewn try: how the machine stood and where its knot was read. */
export interface TensionTry {
  /** Where the dial stood, 0 to 9. */
  readonly dial: number;
  /** How far the case's screw had been turned by then, in clock minutes, clockwise plus. */
  readonly screw: number;
  /** Signed balance at one or more places along the seam: -1 on top, 0 in the middle, 1 below. */
  readonly read: readonly number[];
  /** Standard error of each; by eye where none is told. */
  readonly error?: number;
}

/** By so much a balance is misread by eye; ours. */
export const READ_BY_EYE = 0.1;

/** What may be behind a row of readings. */
export type TensionCause =
  /** The dial moves the knot, as it should. */
  | 'dial'
  /** The knot stays where it is, whatever the dial says. */
  | 'no-answer'
  /** The knot lies now here, now there. */
  | 'erratic';

/**
 * Curves of dial against balance, one by place in each list:
 * balance = -tanh(steep (dial - even) - perMinute x screw).
 */
export interface TensionCurves {
  /** Where on the dial the knot lies in the middle, with the screw as it was found. */
  readonly even: Float64Array;
  /** How fast the knot moves, per number of the dial. */
  readonly steep: Float64Array;
  /** By how much a clock minute of the screw moves it. */
  readonly perMinute: Float64Array;
  /** Chance of each; they add up to one. */
  readonly weight: Float64Array;
}

/** What the tries so far say. */
export interface TensionBelief {
  /** Chance of each cause; they add up to one. */
  readonly causes: Readonly<Record<TensionCause, number>>;
  /** The curve, if it is the dial. */
  readonly curves: TensionCurves;
}

/** Where the machine stands. */
export type TensionSetting = Pick<TensionTry, 'dial' | 'screw'>;

/** Chance of each before anything was sewn: one complaint of balance in five is no matter of tension. Ours. */
const PRIOR = { 'no-answer': 0.12, erratic: 0.08 } as const;
/** The dial's usual middle mark and how far it lies from machine to machine; the rest may lie anywhere. Ours. */
const EVEN = { middle: 4.2, spread: 1.7, anywhere: 0.15, least: -1, most: 11, step: 0.25 } as const;
/** Typical steepness per number, and its spread as a factor; from memory. */
const STEEP = { typical: 0.32, spread: 0.75, steps: 19, reach: 2.2 } as const;
/** By a clock minute: a tenth of the pull in five minutes of the screw, give or take; ours. */
const PER_MINUTE = [0.008, 0.016, 0.024, 0.036, 0.05] as const;
/** The true curve is none of these: so much it may lie off, and more towards the ends. Ours. */
const MISFIT = { middle: 0.04, end: 0.12 } as const;
/** Spread of an erratic knot round its mean; ours. */
const ERRATIC = 0.4;
/** Steps of a balance that stays or wanders. */
const LEVELS = Array.from({ length: 41 }, (_, index) => -1 + index / 20);

const UNTURNED = priorCurves([PER_MINUTE[2]]);
const TURNED = priorCurves(PER_MINUTE);

/** @throws CoreFault `not-a-try` for a setting or reading that cannot be. */
export function tensionBelief(tries: readonly TensionTry[]): TensionBelief {
  for (const one of tries) assertTry(one);
  const curves = tries.some(({ screw }) => screw !== 0) ? TURNED : UNTURNED;
  const weight = Float64Array.from(curves.weight);
  for (const one of tries) {
    for (let place = 0; place < weight.length; place += 1) {
      const expected = curveBalance(curves, place, one);
      const misfit = MISFIT.middle + MISFIT.end * Math.abs(expected);
      weight[place] = (weight[place] ?? 0) * densityOf(one, expected, misfit);
    }
  }
  const sum = weight.reduce((total, one) => total + one, 0);
  const atLevels = (misfit: number, scatter: number) =>
    meanOver(LEVELS, (level) =>
      tries.reduce((product, one) => product * densityOf(one, level, misfit, scatter), 1),
    );
  const parts: Record<TensionCause, number> = {
    dial: (1 - PRIOR['no-answer'] - PRIOR.erratic) * sum,
    'no-answer': PRIOR['no-answer'] * atLevels(MISFIT.middle, 0),
    erratic: PRIOR.erratic * atLevels(MISFIT.middle, ERRATIC),
  };
  const all = parts.dial + parts['no-answer'] + parts.erratic;
  return {
    causes: {
      dial: parts.dial / all,
      'no-answer': parts['no-answer'] / all,
      erratic: parts.erratic / all,
    },
    curves: { ...curves, weight: weight.map((one) => one / sum) },
  };
}

/** Where the knot lies by the curve at a place of the lists. */
export function curveBalance(
  { even, steep, perMinute }: Omit<TensionCurves, 'weight'>,
  place: number,
  { dial, screw }: TensionSetting,
): number {
  const driven = (steep[place] ?? 0) * (dial - (even[place] ?? 0));
  return -Math.tanh(driven - (perMinute[place] ?? 0) * screw);
}

/** A value of which nothing is known but its chances: the middle one, and where eight in ten of it lie. */
export interface Spread {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

/** Where the knot would lie at each of these numbers of the dial. */
export function balanceOver(
  { curves }: TensionBelief,
  dials: readonly number[],
  screw: number,
): readonly Spread[] {
  return dials.map((dial) =>
    spreadOf(curves.weight, (place) => curveBalance(curves, place, { dial, screw })),
  );
}

/** At which number of the dial the knot would lie where it is wanted; the middle alone has it at every curve. */
export function dialFor({ curves }: TensionBelief, wanted: number, screw: number): Spread {
  const { even, steep, perMinute, weight } = curves;
  const driven = -Math.atanh(Math.max(-0.99, Math.min(0.99, wanted)));
  return spreadOf(
    weight,
    (place) =>
      (even[place] ?? 0) + (driven + (perMinute[place] ?? 0) * screw) / (steep[place] ?? 1),
  );
}

function spreadOf(weight: Float64Array, placed: (place: number) => number): Spread {
  const sorted = Array.from(weight, (one, place) => [placed(place), one] as const).sort(
    ([one], [other]) => one - other,
  );
  const at = (share: number) => {
    let sum = 0;
    for (const [value, one] of sorted) {
      sum += one;
      if (sum >= share) return value;
    }
    return sorted.at(-1)?.[0] ?? 0;
  };
  return { low: at(0.1), middle: at(0.5), high: at(0.9) };
}

/** Chance that the knot lies within `tolerance` of where it is wanted, should it be the dial. */
export function chanceWithin(
  { curves }: TensionBelief,
  setting: TensionSetting,
  wanted: number,
  tolerance: number,
): number {
  const { even, steep, perMinute, weight } = curves;
  // Where the curve's argument has to lie; beyond an end of the balance there is no bound.
  const [least, most] = [
    -Math.atanh(Math.min(1, wanted + tolerance)),
    -Math.atanh(Math.max(-1, wanted - tolerance)),
  ];
  let chance = 0;
  for (let place = 0; place < weight.length; place += 1) {
    const driven =
      (steep[place] ?? 0) * (setting.dial - (even[place] ?? 0)) -
      (perMinute[place] ?? 0) * setting.screw;
    if (driven >= least && driven <= most) chance += weight[place] ?? 0;
  }
  return chance;
}

/**
 * Density of the readings of one try, up to a constant: they scatter about their own mean, and that about what is
 * expected by the misfit of the whole try.
 * @param scatter from place to place along the seam, beside the error of reading
 */
function densityOf(
  { read, error = READ_BY_EYE }: TensionTry,
  expected: number,
  misfit: number,
  scatter = 0,
): number {
  const count = read.length;
  const place = Math.hypot(error, scatter);
  const mean = balanceRead({ read });
  const within = read.reduce((sum, one) => sum + ((one - mean) / place) ** 2, 0);
  const spread = Math.hypot(place / Math.sqrt(count), misfit);
  const off = (mean - expected) / spread;
  return Math.exp(-(off * off + within) / 2) / (spread * place ** (count - 1));
}

/** The balance of a sample: the mean of its places. */
export function balanceRead({ read }: Pick<TensionTry, 'read'>): number {
  return read.reduce((sum, one) => sum + one, 0) / read.length;
}

function meanOver(values: readonly number[], value: (one: number) => number): number {
  return values.reduce((sum, one) => sum + value(one), 0) / values.length;
}

/** Every curve with its chance before anything was sewn. */
function priorCurves(minutes: readonly number[]): TensionCurves {
  const count = Math.round((EVEN.most - EVEN.least) / EVEN.step) + 1;
  const evens = Array.from({ length: count }, (_, index) => EVEN.least + index * EVEN.step);
  const bells = evens.map((even) => Math.exp(-(((even - EVEN.middle) / EVEN.spread) ** 2) / 2));
  const bellSum = bells.reduce((sum, bell) => sum + bell, 0);
  const offs = Array.from(
    { length: STEEP.steps },
    (_, index) => STEEP.reach * ((2 * index) / (STEEP.steps - 1) - 1),
  );
  const all = evens.flatMap((even, place) =>
    offs.flatMap((off) =>
      minutes.map((perMinute) => ({
        even,
        steep: STEEP.typical * Math.exp(STEEP.spread * off),
        perMinute,
        weight:
          Math.exp((-off * off) / 2) *
          (((1 - EVEN.anywhere) * (bells[place] ?? 0)) / bellSum + EVEN.anywhere / evens.length),
      })),
    ),
  );
  const sum = all.reduce((total, { weight }) => total + weight, 0);
  return {
    even: Float64Array.from(all, ({ even }) => even),
    steep: Float64Array.from(all, ({ steep }) => steep),
    perMinute: Float64Array.from(all, ({ perMinute }) => perMinute),
    weight: Float64Array.from(all, ({ weight }) => weight / sum),
  };
}

function assertTry({ dial, screw, read, error = READ_BY_EYE }: TensionTry): void {
  const sound =
    dial >= 0 &&
    dial <= 9 &&
    Math.abs(screw) <= 120 &&
    read.length > 0 &&
    read.every((balance) => Math.abs(balance) <= 1) &&
    error > 0 &&
    error <= 1;
  if (!sound) throw new CoreError('not-a-try', { dial, screw, read, error });
}
