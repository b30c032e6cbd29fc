import { CoreError } from '../errors/coreError.ts';

/** A pull at the needle with the presser down, by a gauge in gram-force or by feel in its own steps. */
export interface DialPull {
  readonly dial: number;
  readonly pull: number;
  /** The dial was come up to it, or down. */
  readonly going: 'up' | 'down';
}

/** What was pulled at one visit. */
export interface DialPulls {
  /** With the presser up, where it was pulled so. */
  readonly free: number | undefined;
  readonly pulls: readonly DialPull[];
}

/** How the pulls were taken, with what each may be off by. */
export type PulledBy = 'gauge' | 'feel';

/** What the pulls say of discs and dial; undefined where too few were taken. */
export interface DialPullsVerdict {
  /** The pull grows at each number, coming up. */
  readonly rises: boolean | undefined;
  /** It is held with the presser down. */
  readonly grips: boolean | undefined;
  /** It drags with the presser up, when the discs should be open. */
  readonly drags: boolean | undefined;
  /** By what share it pulls more on the way down than on the way up, at most. */
  readonly lag: number | undefined;
  /** What lies between the discs holds them apart or sticks to them. */
  readonly lintSuspected: boolean;
}

/** By what a pull is misread: a share of it and something beside; by feel half a step. Ours. */
const MISREAD: Readonly<Record<PulledBy, { readonly share: number; readonly beside: number }>> = {
  gauge: { share: 0.05, beside: 1.5 },
  feel: { share: 0, beside: 0.35 },
};
/** Open discs let so much through: the thread runs free. By feel "none" and "light". Ours. */
const MOST_FREE: Readonly<Record<PulledBy, number>> = { gauge: 12, feel: 1 };
/** A sound dial pulls the same coming down, but for so much. Ours. */
const MOST_LAG = 0.25;
/** Fewer numbers say nothing of how it rises. */
const FEWEST = 3;

/** @throws CoreFault `not-a-tension` for a pull that is none */
export function dialPullsVerdict({ free, pulls }: DialPulls, by: PulledBy): DialPullsVerdict {
  for (const { pull } of pulls) assertPull(pull);
  if (free !== undefined) assertPull(free);
  const up = byDial(pulls, 'up');
  const steps = up.slice(1).map((one, place) => [up[place]?.pull ?? 0, one.pull] as const);
  const rises =
    up.length < FEWEST
      ? undefined
      : steps.every(([before, after]) => after - before > misread(by, before, after));
  const most = Math.max(...pulls.map(({ pull }) => pull), 0);
  const grips =
    pulls.length === 0
      ? undefined
      : most > (free ?? 0) + misread(by, most, 0) && most > MOST_FREE[by];
  const lags = byDial(pulls, 'down').flatMap(({ dial, pull }) => {
    const same = up.find((one) => one.dial === dial)?.pull;
    return same === undefined || pull + same === 0 ? [] : [(2 * (pull - same)) / (pull + same)];
  });
  const lag = lags.length === 0 ? undefined : lags.reduce(further, 0);
  const drags = free === undefined ? undefined : free > MOST_FREE[by];
  return {
    rises,
    grips,
    drags,
    lag,
    lintSuspected:
      rises === false || drags === true || (by === 'gauge' && Math.abs(lag ?? 0) > MOST_LAG),
  };
}

/** How pulls stand to those of an earlier visit. */
export interface DialPullsChange {
  /** Now over then, on the whole. */
  readonly times: number;
  readonly is: 'same' | 'weaker' | 'stronger' | 'otherwise';
  readonly at: readonly { readonly dial: number; readonly before: number; readonly now: number }[];
}

/** Two hands pull alike within this. Ours. */
const ALIKE = 1.2;
/** When it changed by so much more at one number than at another, the curve is another one. Ours. */
const SAME_CURVE = 1.35;

/** @returns undefined where no number was pulled at both visits */
export function dialPullsChange(earlier: DialPulls, now: DialPulls): DialPullsChange | undefined {
  const before = byDial(earlier.pulls, 'up');
  const at = byDial(now.pulls, 'up').flatMap(({ dial, pull }) => {
    const was = before.find((one) => one.dial === dial)?.pull ?? 0;
    return was > 0 && pull > 0 ? [{ dial, before: was, now: pull }] : [];
  });
  if (at.length === 0) return undefined;
  const times = at.map((one) => one.now / one.before);
  const mean = Math.exp(times.reduce((sum, one) => sum + Math.log(one), 0) / times.length);
  const spread = Math.max(...times) / Math.min(...times);
  const is =
    spread > SAME_CURVE
      ? 'otherwise'
      : mean > ALIKE
        ? 'stronger'
        : mean < 1 / ALIKE
          ? 'weaker'
          : 'same';
  return { times: mean, is, at };
}

/** The pull at a number of the dial, by the two next to it; undefined outside of what was pulled. */
export function pullAt({ pulls }: DialPulls, dial: number): number | undefined {
  const up = byDial(pulls, 'up');
  const above = up.find((one) => one.dial >= dial);
  const below = up.findLast((one) => one.dial <= dial);
  if (!above || !below) return undefined;
  if (above.dial === below.dial) return above.pull;
  const share = (dial - below.dial) / (above.dial - below.dial);
  return below.pull + share * (above.pull - below.pull);
}

/** One for each number, the last that was pulled, from the lowest on. */
function byDial(pulls: readonly DialPull[], going: DialPull['going']): readonly DialPull[] {
  const last = new Map(pulls.filter((one) => one.going === going).map((one) => [one.dial, one]));
  return [...last.values()].toSorted((one, other) => one.dial - other.dial);
}

function misread(by: PulledBy, one: number, other: number): number {
  const { share, beside } = MISREAD[by];
  return Math.hypot(share * one + beside, share * other + beside);
}

function further(one: number, other: number): number {
  return Math.abs(other) > Math.abs(one) ? other : one;
}

function assertPull(pull: number): void {
  if (!Number.isFinite(pull) || pull < 0) throw new CoreError('not-a-tension', { value: pull });
}
