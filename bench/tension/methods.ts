import {
  balanceRead,
  type TensionAdvice,
  type TensionTry,
  tensionAdvice,
  USUAL_SCHOOL,
} from '@nodo/core';
import type { BenchMachine } from './machines.ts';

/** Truly balanced: so near to the middle. */
const BALANCED = 0.1;

/** How one machine went. */
export interface Went {
  /** The first try with which it was truly balanced; undefined if none was. */
  readonly first: number | undefined;
  /** Tries until the method ended by itself. */
  readonly tries: number;
  readonly said: TensionAdvice['kind'] | 'gave-up';
  /** Truly balanced as it was left. */
  readonly balanced: boolean;
}

/** A way of setting the dial. */
export interface Method {
  readonly name: string;
  /** Each number is come up to from below, so that play counts the same each time. */
  readonly fromBelow: boolean;
  /** What to do after these samples, or why it ends. */
  readonly next: (
    tries: readonly TensionTry[],
  ) => Pick<TensionTry, 'dial' | 'screw'> | Went['said'];
}

/** Sews and reads until the method ends. @param places at which each sample is read */
export function follow(
  machine: BenchMachine,
  places: number,
  { fromBelow, next }: Pick<Method, 'fromBelow' | 'next'>,
): Went {
  const tries: TensionTry[] = [];
  let first: number | undefined;
  let setting: Pick<TensionTry, 'dial' | 'screw'> = { dial: machine.found, screw: 0 };
  for (;;) {
    // The first sample is sewn as it was found.
    if (tries.length > 0) machine.set(setting.dial, setting.screw, fromBelow);
    const balanced = Math.abs(machine.truth()) <= BALANCED;
    if (balanced) first ??= tries.length + 1;
    tries.push({ ...setting, read: Array.from({ length: places }, () => machine.read()) });
    const then = next(tries);
    if (typeof then === 'string') return { first, tries: tries.length, said: then, balanced };
    setting = then;
  }
}

/** As the adviser says, with what the tables go by; threaded anew and bobbin looked at before. */
const byAdvice: Method['next'] = (tries) => {
  const { advice } = tensionAdvice(tries, {
    wanted: 0,
    school: USUAL_SCHOOL,
    rethreaded: true,
    bobbinSeen: true,
    mayTurnScrew: true,
    threadsDiffer: false,
  });
  return 'setting' in advice ? advice.setting : advice.kind;
};

const MOST_TRIES = 12;

/** One number up or down by the side that the sample shows; a half once the side has changed. */
const byWholeSteps: Method['next'] = (tries) => {
  const off = balanceRead(tries.at(-1) ?? { read: [] });
  if (Math.abs(off) <= BALANCED) return 'balanced';
  if (tries.length >= MOST_TRIES) return 'gave-up';
  const sides = tries.map((one) => balanceRead(one) > 0);
  const step = sides.every((side) => side === sides[0]) ? 1 : 0.5;
  return { dial: onDial((tries.at(-1)?.dial ?? 0) + (off > 0 ? step : -step)), screw: 0 };
};

/** The middle of what is left between the last two sides. */
const byBisection: Method['next'] = (tries) => {
  const off = balanceRead(tries.at(-1) ?? { read: [] });
  if (Math.abs(off) <= BALANCED) return 'balanced';
  if (tries.length >= MOST_TRIES) return 'gave-up';
  let [low, high] = [0, 9];
  for (const one of tries) {
    if (balanceRead(one) > 0) low = Math.max(low, one.dial);
    else high = Math.min(high, one.dial);
  }
  // A reading that was off leaves nothing between: a little more room again.
  const [from, to] = high - low < 0.25 ? [onDial(low - 0.5), onDial(high + 0.5)] : [low, high];
  return { dial: Math.round(2 * (from + to)) / 4, screw: 0 };
};

export const METHODS: readonly Method[] = [
  { name: 'advice', fromBelow: true, next: byAdvice },
  { name: 'whole-steps', fromBelow: false, next: byWholeSteps },
  { name: 'bisection', fromBelow: false, next: byBisection },
];

function onDial(value: number): number {
  return Math.min(9, Math.max(0, value));
}
