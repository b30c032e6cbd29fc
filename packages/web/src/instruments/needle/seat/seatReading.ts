import {
  degrees,
  type HookMeeting,
  loopAt,
  type Millimetres,
  mm,
  SEATED,
  type SeatEffect,
  seatEffect,
  USUAL_FORMER,
  USUAL_MEETING,
} from '@nodo/core';
import {
  ANGLE_TOLERANCE,
  type CheckId,
  type FamilyModel,
  type FindingId,
  type ScarfSide,
  SEAT_TOLERANCE,
} from '@nodo/knowledge';
import { type MachineProfile, meetingTargets, needleAngle } from '@nodo/shop';
import type { CommandPayload, EventType, MeasureLimit } from '@nodo/ticket';

/** What was answered of one needle so far. */
export interface SeatReading {
  readonly clamp: 'tight' | 'moves' | undefined;
  /** How far it went up, mm; it may not go as far as the stop at all. */
  readonly low: number | 'blocked' | undefined;
  readonly faces: ScarfSide | undefined;
  /** Off square, degrees; the scarf to the operator's left is plus. */
  readonly angle: number;
}

export const UNLOOKED: SeatReading = {
  clamp: undefined,
  low: undefined,
  faces: undefined,
  angle: 0,
};

/** How the needles of a machine should sit. */
export interface SeatTarget {
  readonly faces: ScarfSide;
  /** Degrees off square, as set on this machine. */
  readonly angle: number;
  readonly round: boolean;
}

/** Azimuth of a side, clockwise as seen from above, from the back on. */
const AZIMUTH: Readonly<Record<ScarfSide, number>> = { back: 0, right: 90, front: 180, left: 270 };

/** Azimuth to which a scarf faces; plus turns it to the operator's left, against the clock. */
export function azimuthOf(faces: ScarfSide, angle: number): number {
  return AZIMUTH[faces] - angle;
}

/** A needle of which everything was answered as it should be. */
export function rightReading({ faces, angle }: SeatTarget): SeatReading {
  return { clamp: 'tight', low: 0, faces, angle };
}

export function isAnswered({ clamp, low, faces }: SeatReading): boolean {
  return clamp !== undefined && low !== undefined && faces !== undefined;
}

/** Which of the seat's findings a reading shows. */
export function findingsOf(reading: SeatReading, target: SeatTarget) {
  const { clamp, low, faces, angle } = reading;
  return {
    'clamp-slack': clamp === 'moves',
    'needle-short-of-stop': low !== 'blocked' && low !== undefined && low > SEAT_TOLERANCE,
    'stops-early': low === 'blocked',
    'needle-wrong-way': faces !== undefined && faces !== target.faces,
    'needle-off-square': target.round && Math.abs(angle - target.angle) > ANGLE_TOLERANCE,
  } as const satisfies Partial<Record<FindingId, boolean>>;
}
type SeatFinding = keyof ReturnType<typeof findingsOf>;

export function sitsRight(reading: SeatReading, target: SeatTarget): boolean {
  return !Object.values(findingsOf(reading, target)).includes(true);
}

/** Checks of the seat with the findings that answer each; a machine has not all of them. */
const SEAT_CHECKS: readonly (readonly [check: CheckId, findings: readonly SeatFinding[]])[] = [
  ['needle-clamp', ['clamp-slack']],
  ['needle-seat', ['needle-short-of-stop', 'stops-early']],
  ['needle-facing', ['needle-wrong-way']],
  ['needle-square', ['needle-off-square']],
];

export const SEAT_CHECK_IDS: readonly string[] = SEAT_CHECKS.map(([check]) => check);

/** One entry to be made. */
export type Entry = {
  [Type in EventType]: readonly [type: Type, command: CommandPayload<Type>];
}[EventType];

/**
 * What is kept of the needles looked at, by position: each check with all of its answers, and what
 * was measured, with the limit it was held against. A head shows a finding when one of its needles does.
 */
export function seatEntries(
  readings: ReadonlyMap<number, SeatReading>,
  target: SeatTarget,
  model: FamilyModel,
  when: 'found' | 'set',
  angleLimit: MeasureLimit,
): readonly Entry[] {
  const seen = [...readings.values()].map((reading) => findingsOf(reading, target));
  const looks = SEAT_CHECKS.flatMap(([check, findings]): Entry[] => {
    if (!model.checks.has(check)) return [];
    const answers = Object.fromEntries(
      findings.map((id) => [id, seen.some((one) => one[id]) ? ('yes' as const) : ('no' as const)]),
    );
    return [['findings-recorded', { check, answers }]];
  });
  const several = readings.size > 1;
  const measures = [...readings].flatMap(([at, reading]): Entry[] => {
    // Of a head only what is off is written down: what was looked at and is right is in the checks.
    if (several && sitsRight(reading, target)) return [];
    const low: Entry[] =
      typeof reading.low === 'number'
        ? [
            [
              'measured',
              { quantity: 'needle-short', value: reading.low, when, at, limit: LOW_LIMIT },
            ],
          ]
        : [];
    const angle: Entry[] = target.round
      ? [
          [
            'measured',
            { quantity: 'needle-angle', value: reading.angle, when, at, limit: angleLimit },
          ],
        ]
      : [];
    return [...low, ...angle];
  });
  return [...looks, ...measures];
}

const LOW_LIMIT: MeasureLimit = { least: 0, most: SEAT_TOLERANCE, standing: 'typical' };

/** How far a pointer may be off, by the machine's card or else by common practice round its target. */
export function angleLimitOf(card: MachineProfile | undefined): MeasureLimit {
  const value = card?.service['needle-angle'];
  if (value && value.most > value.least) {
    return { least: value.least, most: value.most, standing: 'shop' };
  }
  const target = targetAngle(card);
  return {
    least: target - ANGLE_TOLERANCE,
    most: target + ANGLE_TOLERANCE,
    standing: 'common-practice',
  };
}

/** The angle at which this machine's needles are set; square where its card says nothing. */
export function targetAngle(card: MachineProfile | undefined): number {
  return needleAngle(card?.service ?? {});
}

/** How the hook meets the needle on this machine: its card's values, else typical ones. */
export function meetingOf(card: MachineProfile | undefined): HookMeeting {
  const { lift, aboveEye, gap } = meetingTargets(card?.service ?? {});
  return {
    ...USUAL_MEETING,
    aboveEye: aboveEye.aim,
    gap: mm(gap.aim),
    loop: loopAt(USUAL_FORMER.loop, mm(lift.aim)),
  };
}

const QUARTER = 90;

/** What the hook finds of a needle that sits like this. */
export function effectOf(
  { low, faces, angle }: SeatReading,
  target: SeatTarget,
  thread: Millimetres,
  hook: HookMeeting,
): SeatEffect {
  const turned = around(
    azimuthOf(faces ?? target.faces, angle) - azimuthOf(target.faces, target.angle),
  );
  return seatEffect(
    {
      ...SEATED,
      low: typeof low === 'number' ? low : 0,
      backward: Math.abs(turned) >= QUARTER,
      turned: degrees(turned),
    },
    thread,
    hook,
  );
}

/** The same angle between minus and plus half a turn. */
function around(angle: number): number {
  return ((((angle + 180) % 360) + 360) % 360) - 180;
}

/**
 * The side that a tap on the needle from below means, counted from its middle; from below, with the back at the top,
 * right and left change places.
 * @param x to the right on the screen
 * @param y downwards on the screen
 */
export function sideTapped(x: number, y: number): ScarfSide {
  if (Math.abs(y) >= Math.abs(x)) return y < 0 ? 'back' : 'front';
  return x < 0 ? 'right' : 'left';
}
