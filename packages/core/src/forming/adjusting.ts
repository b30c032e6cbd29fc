import { whereValid } from '../errors/coreError.ts';
import { type NeedleSeat, SEATED } from '../needle/seat.ts';
import { type Millimetres, mm } from '../units/quantities.ts';
import type { StitchFormer } from './former.ts';
import { meetingsOf, type SwingMeeting } from './meeting.ts';
import { barAt } from './needleBar.ts';

/** What can be set at a bench to make a stitch form. */
export const SETTINGS = ['needle', 'timing', 'bar', 'gap'] as const;
export type Setting = (typeof SETTINGS)[number];

/** Minutes at the bench for each, the needle's and the rest's from memory: typical, no source. */
export type SettingMinutes = Readonly<Record<Setting, number>>;

/** What is set, how far, and what comes of it. */
export interface Adjustment {
  readonly setting: Setting;
  /**
   * The least change that helps: of the timing in radians of the main shaft (later positive), of the needle bar's
   * height (higher positive) and of the gap (wider positive) in millimetres; a needle is put in anew, which has none.
   */
  readonly change: number;
  readonly minutes: number;
  readonly meetings: readonly SwingMeeting[];
  /**
   * What this setting alone cannot put right, or breaks: nothing where every place of the swing is met, else the others
   * once the worst of them is.
   */
  readonly unmet: readonly SwingMeeting[];
}

/** A former or a needle otherwise than it was found. */
export interface StitchSetup {
  readonly former: StitchFormer;
  readonly seat: NeedleSeat;
}

/**
 * How far each is looked for, to either side, and in what steps; ours: further than anybody sets at once, and no window is
 * missed that a hand could set.
 */
const LOOKED_FOR: Readonly<Record<Exclude<Setting, 'needle'>, { most: number; step: number }>> = {
  timing: { most: 0.35, step: 0.012 },
  bar: { most: 3, step: 0.08 },
  gap: { most: 1.5, step: 0.03 },
};
const HALVINGS = 20;
/** Times the scatter; ours. The normal tail of 3 is .00135. */
const SPARE = 3;

/** One setting changed. The hook stays where it is, so that a needle which rose more has its eye nearer to the point. */
export function adjusted(
  { former, seat }: StitchSetup,
  setting: Setting,
  change: number,
): StitchSetup {
  const { meeting, bar, meetsAt } = former;
  switch (setting) {
    case 'needle':
      return { former, seat: SEATED };
    case 'timing': {
      const risenMore = barAt(bar, meetsAt + change).lift - barAt(bar, meetsAt).lift;
      return {
        seat,
        former: { ...former, meetsAt: meetsAt + change, meeting: lowered(meeting, risenMore) },
      };
    }
    case 'bar':
      return { seat, former: { ...former, meeting: lowered(meeting, change) } };
    case 'gap':
      return {
        seat,
        former: { ...former, meeting: { ...meeting, gap: mm(Math.max(0, meeting.gap + change)) } },
      };
  }
}

function lowered(meeting: StitchFormer['meeting'], by: number): StitchFormer['meeting'] {
  return { ...meeting, aboveEye: meeting.aboveEye - by };
}

/**
 * Whether a place of the swing is met with the loop in front and free of metal.
 * @param spare margin that has to be left, in millimetres: with none, every other stitch is skipped
 */
export function isMet({ margin, contact }: SwingMeeting, spare = 0): boolean {
  return margin >= spare && contact === 'free';
}

/** Whether every place of the swing is. */
export function forms(meetings: readonly SwingMeeting[], spare = 0): boolean {
  return meetings.every((meeting) => isMet(meeting, spare));
}

/** So much margin is asked for: three times the scatter skips one stitch in 740. */
export function spareOf({ meeting }: StitchFormer): number {
  return SPARE * meeting.scatter;
}

/**
 * The least change of each single setting with which every place of the swing is met, or else the worst of them; those
 * that alone do not even help that are left out. What puts all right comes first, then the cheapest by the bench's minutes.
 * @param thread diameter of the thread
 */
export function leastAdjustments(
  found: StitchSetup,
  thread: Millimetres,
  minutes: SettingMinutes,
): readonly Adjustment[] {
  const spare = spareOf(found.former);
  const worst = worstOf(meetingsOf(found.former, found.seat, thread));
  const meetingsWith = (setting: Setting, change: number) => {
    const { former, seat } = adjusted(found, setting, change);
    // Set so far that no loop can stand there any more, it is no help.
    return whereValid(() => meetingsOf(former, seat, thread)) ?? [];
  };
  const all = (meetings: readonly SwingMeeting[]) => meetings.length > 0 && forms(meetings, spare);
  const atWorst = (meetings: readonly SwingMeeting[]) =>
    meetings.some((meeting) => meeting.swing === worst && isMet(meeting, spare));
  return SETTINGS.flatMap((setting): Adjustment[] => {
    for (const helps of [all, atWorst]) {
      const change = leastChange(setting, (by) => helps(meetingsWith(setting, by)));
      if (change === undefined) continue;
      const meetings = meetingsWith(setting, change);
      const unmet = meetings.filter((meeting) => !isMet(meeting, spare));
      return [{ setting, change, minutes: minutes[setting], meetings, unmet }];
    }
    return [];
  }).toSorted(
    (one, other) =>
      Number(one.unmet.length > 0) - Number(other.unmet.length > 0) || one.minutes - other.minutes,
  );
}

/** Where the stitch is missed first; metal on metal before everything. */
function worstOf(meetings: readonly SwingMeeting[]): number | undefined {
  const rank = ({ margin, contact }: SwingMeeting) => (contact === 'free' ? margin : margin - 100);
  return meetings.toSorted((one, other) => rank(one) - rank(other))[0]?.swing;
}

/** The least change to either side that helps, by looking outwards and then halving. */
function leastChange(setting: Setting, helps: (change: number) => boolean): number | undefined {
  if (helps(0)) return 0;
  if (setting === 'needle') return undefined;
  const { most, step } = LOOKED_FOR[setting];
  for (let far = step; far <= most; far += step) {
    for (const side of [1, -1]) {
      if (!helps(side * far)) continue;
      let [no, yes] = [far - step, far];
      for (let turn = 0; turn < HALVINGS; turn += 1) {
        const middle = (no + yes) / 2;
        if (helps(side * middle)) yes = middle;
        else no = middle;
      }
      return side * yes;
    }
  }
  return undefined;
}
