import type { HookMeeting } from '../needle/seat.ts';
import { USUAL_MEETING } from '../needle/seat.ts';
import type { LoopSet } from '../stitch/loop.ts';
import { type Millimetres, mm } from '../units/quantities.ts';
import type { Hook } from './hook.ts';
import type { NeedleBar } from './needleBar.ts';

/** How the parts that form a stitch are built and set, with the needle in the middle of its swing. */
export interface StitchFormer {
  readonly bar: NeedleBar;
  readonly hook: Hook;
  /** When the hook's point passes the needle: radians of the main shaft after the needle was lowest. */
  readonly meetsAt: number;
  /** What the point finds then. */
  readonly meeting: Omit<HookMeeting, 'loop'>;
  /** The thread between fabric and eye; how far the needle has risen follows from `meetsAt`. */
  readonly loop: Omit<LoopSet, 'lift' | 'robbed'> & {
    /** Share of what the needle rises that goes back through the eye: the check spring and the top tension draw it. */
    readonly robs: number;
  };
  /** How far the needle swings to either side at most; nothing where it sews straight only. */
  readonly swing: Millimetres;
}

const DEGREE = Math.PI / 180;

const { loop: usualLoop, ...usualMeeting } = USUAL_MEETING;
const { lift: usualLift, robbed: usualRobbed, ...usualStrand } = usualLoop;

/** A household zigzag machine as its trade sets it: middles of ranges from memory, typical; the manual stands above. */
export const USUAL_FORMER: StitchFormer = {
  bar: { crank: 15.5, rod: 50 },
  hook: { motion: { kind: 'rotary' }, axis: 'upright', radius: mm(20), passes: 1 },
  meetsAt: 27.08 * DEGREE,
  meeting: usualMeeting,
  loop: { ...usualStrand, robs: usualRobbed / usualLift },
  swing: mm(3.5),
};
