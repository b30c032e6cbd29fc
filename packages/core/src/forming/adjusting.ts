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
}

/** A former or a needle otherwise than it was found. */
export interface StitchSetup {
  readonly former: StitchFormer;
  readonly seat: NeedleSeat;
}

/** How far each is looked for, to either side, and in what steps; ours: further than anybody sets at once. */
const LOOKED_FOR: Readonly<Record<Exclude<Setting, 'needle'>, { most: number; step: number }>> = {
  timing: { most: 0.35, step: 0.004 },
  bar: { most: 3, step: 0.02 },
  gap: { most: 1.5, step: 0.005 },
};
const HALVINGS = 30;
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
  return { ...meeting, aboveEye: mm(Math.max(0, meeting.aboveEye - by)) };
}

/**
 * Whether every place of the swing is met with the loop in front and free of metal.
 * @param spare margin that has to be left, in millimetres: with none, every other stitch is skipped
 */
export function forms(meetings: readonly SwingMeeting[], spare = 0): boolean {
  return meetings.every(({ margin, contact }) => margin >= spare && contact === 'free');
}

/**
 * The least change of each single setting with which every place of the swing is met; those that alone do not help are
 * left out. The cheapest by the bench's minutes comes first.
 * @param thread diameter of the thread
 * @param spare margin that has to be left: three times the scatter skips one stitch in 740
 */
export function leastAdjustments(
  found: StitchSetup,
  thread: Millimetres,
  minutes: SettingMinutes,
  spare = SPARE * found.former.meeting.scatter,
): readonly Adjustment[] {
  const meetingsWith = (setting: Setting, change: number) => {
    const { former, seat } = adjusted(found, setting, change);
    return meetingsOf(former, seat, thread);
  };
  return SETTINGS.flatMap((setting): Adjustment[] => {
    const change =
      setting === 'needle'
        ? 0
        : leastChange(
            setting,
            // Set so far that no loop can stand there any more, it is no help either.
            (by) => whereValid(() => forms(meetingsWith(setting, by), spare)) ?? false,
          );
    if (change === undefined) return [];
    const meetings = meetingsWith(setting, change);
    return forms(meetings, spare) ? [{ setting, change, minutes: minutes[setting], meetings }] : [];
  }).toSorted((one, other) => one.minutes - other.minutes);
}

/** The least change to either side that helps, by looking outwards and then halving. */
function leastChange(
  setting: Exclude<Setting, 'needle'>,
  helps: (change: number) => boolean,
): number | undefined {
  const { most, step } = LOOKED_FOR[setting];
  if (helps(0)) return 0;
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
