import { mm } from '../units/quantities.ts';
import type { StitchFormer } from './former.ts';
import { hookAt, passesLater, pointAt } from './hook.ts';
import { barAt, shaftAtLift } from './needleBar.ts';

/** What a reading should lie between, and what it is set to. */
export interface Target {
  readonly least: number;
  readonly most: number;
  readonly aim: number;
}

/** What is read at the bench where the point meets the needle; all in millimetres. */
export const MEETING_READINGS = ['lift', 'aboveEye', 'gap'] as const;
export type MeetingReading = (typeof MEETING_READINGS)[number];

/** What each should be with the needle in the middle of its swing. */
export type MeetingTargets = Readonly<Record<MeetingReading, Target>>;

/** What was read at one place of the swing; to the right positive. */
export interface SwingReading extends Partial<Readonly<Record<MeetingReading, number>>> {
  readonly swing: number;
}

/** How far something is off what it is set to, and whether that still lies within. */
export interface Deviation {
  readonly off: number;
  readonly within: boolean;
}

export interface TimingVerdict {
  /** How late the hook comes, in radians of the main shaft. */
  readonly timing: Deviation | undefined;
  /** How much too deep the needle bar hangs, in millimetres, once the timing is set. */
  readonly bar: Deviation | undefined;
  /** How much too wide the gap is, in millimetres. */
  readonly gap: Deviation | undefined;
  /** Readings that differ from swing to swing by more than the geometry of a sound machine, beyond what a hand reads. */
  readonly uneven: readonly MeetingReading[];
  /** The machine as it was read. */
  readonly found: StitchFormer;
}

/** The point has to come by at least so far above the eye, in millimetres; ours. */
const LEAST_ABOVE = 0.2;

/** By so much a hand may misread a lift or a height, and a gap, in millimetres; ours. */
const MISREAD: Readonly<Record<MeetingReading, number>> = { lift: 0.4, aboveEye: 0.4, gap: 0.05 };

export function isWithin(value: number, { least, most }: Target): boolean {
  return value >= least && value <= most;
}

/**
 * What should be read at a place of the swing: the targets of the middle, moved by what the point comes later or earlier
 * there, and lower over a level axis. Derived.
 */
export function targetsAt(
  former: StitchFormer,
  targets: MeetingTargets,
  swing: number,
): MeetingTargets {
  const { bar } = former;
  const { later, down } = pastMiddle(former, swing);
  const liftAfter = (lift: number) => barAt(bar, shaftAtLift(bar, mm(lift)) + later).lift;
  const risenMore = liftAfter(targets.lift.aim) - targets.lift.aim;
  return {
    lift: eachOf(targets.lift, liftAfter),
    // At the eye there is no loop, whatever the middle allows.
    aboveEye: eachOf(targets.aboveEye, (above) => Math.max(LEAST_ABOVE, above - risenMore - down)),
    gap: targets.gap,
  };
}

/**
 * What is off, from readings at any places of the swing. The point's height over the needle's lowest eye, lift and height
 * above the eye together, does not change with the timing: it tells the needle bar apart from the hook. Derived.
 * @throws CoreFault `not-so-far` where a lift is beyond the needle's stroke
 */
export function timingVerdict(
  given: StitchFormer,
  targets: MeetingTargets,
  readings: readonly SwingReading[],
): TimingVerdict {
  const former = turningAsRead(given, readings);
  const meets = meetsAts(former, readings);
  const meetsAt = meanOf(meets.map(({ shaft }) => shaft));
  const target = shaftAtLift(former.bar, mm(targets.lift.aim));
  const lift = meetsAt === undefined ? undefined : barAt(former.bar, meetsAt).lift;
  const timing =
    meetsAt === undefined || lift === undefined
      ? undefined
      : { off: meetsAt - target, within: isWithin(lift, targets.lift) };

  const heights = pointHeights(former, targets, readings);
  const height = meanOf(heights);
  // What is read once the timing is set; as long as that is within, nobody moves it.
  const above =
    height === undefined
      ? undefined
      : height - (timing?.within === true && lift !== undefined ? lift : targets.lift.aim);
  const gaps = readings.flatMap(({ gap }) => gap ?? []);
  const gap = meanOf(gaps);
  return {
    timing,
    bar: above === undefined ? undefined : deviation(above, targets.aboveEye),
    gap:
      gap === undefined
        ? undefined
        : {
            off: gap - targets.gap.aim,
            within: gaps.every((one) => isWithin(one, targets.gap)),
          },
    uneven: [
      ...(unevenLifts(former, meets) ? ['lift' as const] : []),
      ...(spreadOf(heights) > 2 * MISREAD.aboveEye ? ['aboveEye' as const] : []),
      ...(spreadOf(gaps) > targets.gap.most - targets.gap.least + MISREAD.gap
        ? ['gap' as const]
        : []),
    ],
    found: {
      ...former,
      meetsAt: meetsAt ?? target,
      meeting: {
        ...former.meeting,
        aboveEye:
          height === undefined ? former.meeting.aboveEye : height - (lift ?? targets.lift.aim),
        gap: mm(Math.max(0, gap ?? former.meeting.gap)),
      },
    },
  };
}

function eachOf({ least, most, aim }: Target, move: (value: number) => number): Target {
  return { least: move(least), most: move(most), aim: move(aim) };
}

function deviation(value: number, target: Target): Deviation {
  return { off: value - target.aim, within: isWithin(value, target) };
}

/** How much later than in the middle the point passes a needle aside, and how much lower. */
function pastMiddle({ hook }: StitchFormer, swing: number) {
  const later = passesLater(hook, swing);
  return { later, down: pointAt(hook, hookAt(hook, later).angle).down };
}

/** When the hook would meet the needle in the middle, by each lift that was read. */
function meetsAts(former: StitchFormer, readings: readonly SwingReading[]) {
  return readings.flatMap(({ swing, lift }) => {
    if (lift === undefined) return [];
    const { later } = pastMiddle(former, swing);
    return [{ lift, later, shaft: shaftAtLift(former.bar, mm(lift)) - later }];
  });
}

/** Which way the point passes, by what was read: the lifts grow the way it goes. */
function turningAsRead(former: StitchFormer, readings: readonly SwingReading[]): StitchFormer {
  const aside = readings.filter(({ swing, lift }) => swing !== 0 && lift !== undefined);
  const left = meanOf(aside.flatMap(({ swing, lift }) => (swing < 0 ? (lift ?? []) : [])));
  const right = meanOf(aside.flatMap(({ swing, lift }) => (swing > 0 ? (lift ?? []) : [])));
  if (left === undefined || right === undefined || Math.abs(right - left) <= MISREAD.lift) {
    return former;
  }
  return { ...former, hook: { ...former.hook, passes: right > left ? 1 : -1 } };
}

/** How high the point passes over the needle's lowest eye, by each reading that tells it. */
function pointHeights(
  former: StitchFormer,
  targets: MeetingTargets,
  readings: readonly SwingReading[],
): readonly number[] {
  return readings.flatMap(({ swing, lift, aboveEye }) => {
    if (aboveEye === undefined) return [];
    const { down } = pastMiddle(former, swing);
    const risen = lift ?? targetsAt(former, targets, swing).lift.aim;
    return [aboveEye + risen + down];
  });
}

/** Whether the lifts do not follow from one timing. */
function unevenLifts(former: StitchFormer, meets: ReturnType<typeof meetsAts>): boolean {
  const shaft = meanOf(meets.map((one) => one.shaft));
  if (shaft === undefined) return false;
  return meets.some(
    ({ lift, later }) => Math.abs(barAt(former.bar, shaft + later).lift - lift) > MISREAD.lift,
  );
}

function meanOf(values: readonly number[]): number | undefined {
  return values.length === 0
    ? undefined
    : values.reduce((sum, value) => sum + value, 0) / values.length;
}

function spreadOf(values: readonly number[]): number {
  return values.length === 0 ? 0 : Math.max(...values) - Math.min(...values);
}
