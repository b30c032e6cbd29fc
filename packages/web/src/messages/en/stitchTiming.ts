import type { MeetingReading } from '@nodo/core';
import { rounded, SWING_NAMES, turned } from './stitchFigures.ts';

/** Timing measured, set and proven at the bench. */
export const stitchTiming = {
  heading: 'Timing, as found',
  again: 'Timing, as set',
  caution:
    'Off and unplugged, foot off the pedal. The wheel by hand, towards you. The machine’s service manual stands above everything here.',
  steps: [
    'A new, straight needle of the size that the manual names, up to its stop.',
    'Turn towards you until the needle is at its lowest; set caliper or wheel mark to nothing there.',
    'Turn on until the hook’s point stands behind the middle of the needle, and read.',
  ],
  zigzag: 'Widest zigzag; the same at each swing.',
  liftBy: 'Read the lift',
  liftWays: { mm: 'in mm, by caliper', degrees: 'in degrees, by the wheel' },
  reading: {
    lift: 'Needle has risen',
    aboveEye: 'Point above the eye',
    gap: 'Gap, by feeler',
  } as const satisfies Record<MeetingReading, string>,
  swing: SWING_NAMES,
  cell: (reading: string, swing: string, unit: string) => `${reading}, ${swing}, ${unit}`,
  limit: (least: string, most: string) => `${least} to ${most}`,
  within: 'within',
  outside: 'outside',
  notRead: 'That is no reading.',
  told: {
    nothing: 'Read at least the middle: what is off is computed from it.',
    right: 'Within at every swing that was read: hook, needle bar and gap stay as they are.',
    timing: (late: number) =>
      `The hook comes ${turned(late)} of the wheel too ${late > 0 ? 'late' : 'early'}.`,
    timingDo: (late: number) =>
      `Set the hook ${turned(late)} ${late > 0 ? 'earlier' : 'later'}: loosen it, keep the wheel where the lift is right, bring the point behind the needle.`,
    bar: (deep: number) =>
      `The needle bar hangs ${rounded(deep, 2)} mm too ${deep > 0 ? 'deep' : 'high'}.`,
    barDo: (deep: number) =>
      `Set the needle bar ${rounded(deep, 2)} mm ${deep > 0 ? 'up' : 'down'}, with the timing right.`,
    gap: (wide: number) =>
      Math.abs(wide) < 0.005
        ? 'The gap is right on average, not at every swing.'
        : `The gap is ${rounded(wide, 3)} mm too ${wide > 0 ? 'wide' : 'narrow'}.`,
    gapDo: (wide: number) =>
      `Set the hook ${rounded(wide, 3)} mm ${wide > 0 ? 'nearer to' : 'away from'} the needle.`,
    uneven: (what: string) =>
      `One swing differs from the others (${what}). The hook cannot do that: read it again, then look at the needle, its clamp, and the bracket that swings the needle bar.`,
    order: 'In this order, measuring again after each: timing, needle bar, gap.',
  },
  keep: 'Save as found',
  keepSet: 'Save as set',
  lacks: 'at least one reading is missing',
  gate: 'Needle first: a needle that is bent or not up to its stop reads as wrong timing. Still to look at:',
  start: {
    title: 'Before anything is moved',
    text: 'Write down where it stands now: which screw, which mark, how far from what. A scratch or a pen line is the way back.',
    label: 'Where it stands now',
    hint: 'Such as: hook collar screw at 2 o’clock, scribed line on the shaft',
    keep: 'Marked and saved',
    done: (words: string) => `Starting position: ${words}`,
    lacks: 'say where it stands',
  },
  set: {
    title: 'Set it, then measure again',
    timing: 'Hook timing set',
    bar: 'Needle bar height set',
    gap: 'Hook gap set',
  },
  proof: {
    title: 'Proof by hand',
    text: 'Needle in, unplugged: a few full turns towards you, both swings on a zigzag machine. Nothing touches, the loop is taken each time.',
    done: 'Turned by hand, nothing touches',
    next: 'Proven by hand. Power and sew-out come next, at the bench.',
  },
  own: {
    title: 'This machine’s own values',
    text: 'What it sews well with can be kept on its record, marked as measured here. Such values stand above the typical ones from then on.',
    keep: 'Keep these readings as its values',
    kept: 'Kept on the machine’s record',
    from: (day: string) => `measured on this machine, ${day}`,
    missing: (names: string) => `Not on its record, so typical: ${names}.`,
    copy: 'On its record, values can be copied from another machine of its make.',
  },
} as const;
