import {
  adjusted,
  barAt,
  degrees,
  type MeetingReading,
  mm,
  type NeedleSeat,
  needleSize,
  pointFromScarf,
  SET_TO_BLADE,
  type Setting,
  type StitchSetup,
  type ThreadInNeedle,
  type TurnSet,
  threadInNeedle,
} from '@nodo/core';
import { z } from 'zod';
import type { StitchMachine } from './machine.ts';

const DEGREE = Math.PI / 180;

/** Share of the needle's rise that goes back through the eye while the check spring still pulls; ours. */
const SPRING_ROBS = 0.65;

/** Settings that slide, with the ends of what is shown and the step of a tap. */
export const SLIDERS = {
  low: { least: -3, most: 4, step: 0.1 },
  turned: { least: -90, most: 90, step: 1 },
  bent: { least: -1, most: 2, step: 0.05 },
  late: { least: -20, most: 20, step: 0.5 },
  deep: { least: -3, most: 3, step: 0.1 },
  gap: { least: 0, most: 1.5, step: 0.005 },
  rise: { least: 0, most: 2.5, step: 0.1 },
  thread: { least: 0.1, most: 0.5, step: 0.01 },
} as const;
export type SliderName = keyof typeof SLIDERS;

const slid = (name: SliderName) => z.number().min(SLIDERS[name].least).max(SLIDERS[name].most);

/** What somebody sets to see what it does: each as a bench would say it. */
export const stitchSettings = z.object({
  /** Millimetres that the needle's eye is too low; too high is negative. */
  low: slid('low'),
  /** Degrees off square. */
  turned: slid('turned'),
  backward: z.boolean(),
  /** Millimetres that the blade is bent away from the hook; towards it is negative. */
  bent: slid('bent'),
  /** Needle size, in hundredths of a millimetre. */
  size: z.number().min(60).max(120),
  /** Thread across, in millimetres. */
  thread: slid('thread'),
  /** Degrees of the hand wheel that the hook comes too late; too early is negative. */
  late: slid('late'),
  /** Millimetres that the needle bar hangs too deep; too high is negative. */
  deep: slid('deep'),
  /** Between hook point and scarf, in millimetres. */
  gap: slid('gap'),
  /** Millimetres that the fabric rises with the needle. */
  rise: slid('rise'),
  /** The check spring still pulls while the loop forms. */
  spring: z.boolean(),
});
export type StitchSettings = Readonly<z.infer<typeof stitchSettings>>;

export type SettingName = keyof StitchSettings;

/** Everything as it should be on a machine. */
export function rightSettings(
  machine: StitchMachine,
  work: { readonly thread: number; readonly size: number | undefined },
): StitchSettings {
  const { former } = machine.preset.set;
  return {
    low: 0,
    turned: 0,
    backward: false,
    bent: 0,
    size: work.size ?? 100 * SET_TO_BLADE,
    thread: work.thread,
    late: 0,
    deep: 0,
    gap: former.meeting.gap,
    rise: former.loop.rise,
    spring: false,
  };
}

/** A machine with settings, as the core computes it. */
export interface StitchQuestion {
  readonly set: TurnSet;
  readonly seat: NeedleSeat;
  readonly thread: number;
  readonly inNeedle: ThreadInNeedle;
}

/**
 * @param passes which way the hook's point passes the needle: 1 to the right as one sits before it
 * @throws CoreFault where a setting is no length, angle or size
 */
export function questionOf(
  { preset }: StitchMachine,
  settings: StitchSettings,
  passes: 1 | -1 = 1,
): StitchQuestion {
  const thread = mm(settings.thread);
  const inNeedle = threadInNeedle(thread, needleSize(settings.size));
  const seat: NeedleSeat = {
    low: settings.low,
    backward: settings.backward,
    turned: degrees(settings.turned),
    bend: settings.bent,
    thinner: SET_TO_BLADE - settings.size / 100,
  };
  const { former } = preset.set;
  const right: StitchSetup = {
    seat,
    former: {
      ...former,
      hook: { ...former.hook, passes },
      meeting: { ...former.meeting, gap: mm(settings.gap) },
      loop: {
        ...former.loop,
        rise: mm(settings.rise),
        robs: settings.spring ? SPRING_ROBS : former.loop.robs,
        eye: inNeedle.hold,
      },
    },
  };
  const timed = adjusted(right, 'timing', settings.late * DEGREE);
  const hung = adjusted(timed, 'bar', -settings.deep);
  return { set: { ...preset.set, former: hung.former }, seat, thread, inNeedle };
}

/** Settings with a change of the least adjustments made. */
export function withAdjustment(
  settings: StitchSettings,
  right: StitchSettings,
  setting: Setting,
  change: number,
): StitchSettings {
  switch (setting) {
    case 'needle':
      return { ...settings, low: 0, turned: 0, backward: false, bent: 0, size: right.size };
    case 'timing':
      return { ...settings, late: settings.late + change / DEGREE };
    case 'bar':
      return { ...settings, deep: settings.deep - change };
    case 'gap':
      return { ...settings, gap: Math.max(0, settings.gap + change) };
  }
}

/** What is read at the bench with settings, in the middle of the swing, in millimetres. */
export function readAt({
  set,
  seat,
}: Pick<StitchQuestion, 'set' | 'seat'>): Readonly<Record<MeetingReading, number>> {
  const { former } = set;
  return {
    lift: barAt(former.bar, former.meetsAt).lift,
    aboveEye: former.meeting.aboveEye + seat.low,
    gap: Math.max(0, pointFromScarf(seat, former.meeting)),
  };
}

export const SETTING_NAMES = Object.keys(stitchSettings.shape) as readonly SettingName[];

export function sameSettings(one: StitchSettings, other: StitchSettings): boolean {
  return SETTING_NAMES.every((name) => one[name] === other[name]);
}

/** Each within what can be set: readings of a ticket may lie beyond. */
export function withinSliders(settings: StitchSettings): StitchSettings {
  const held = Object.entries(SLIDERS).map(([name, { least, most }]) => [
    name,
    Math.min(most, Math.max(least, settings[name as SliderName])),
  ]);
  return { ...settings, ...(Object.fromEntries(held) as Pick<StitchSettings, SliderName>) };
}
