import {
  barAt,
  SET_TO_BLADE,
  STRAND_PARTS,
  STRAND_VALUES,
  type StitchScene,
  type SwingScene,
  scarfDepthOf,
} from '@nodo/core';
import type { StitchQuestion } from '@nodo/shop';

/** A place in a picture, in millimetres: to the right and upwards. */
export type Place = readonly [right: number, up: number];

/** From where it is looked at: in section from the side, the back at the right; or from behind, mirrored. */
export type Side = 'section' | 'behind';

/** A turn that is looked at at one place of the swing. */
export interface PictureSet {
  readonly question: StitchQuestion;
  readonly scene: StitchScene;
  readonly swing: SwingScene;
  /** Whether the hook takes the loop there. */
  readonly isTaken: boolean;
}

/** What stays while the wheel turns, in millimetres; the plate's upper face is at height 0. */
export interface Fixed {
  /** Half the blade. */
  readonly half: number;
  readonly scarf: { readonly depth: number; readonly length: number };
  /** How deep the hook's near face stands behind the axis of a needle that is straight. */
  readonly hookFace: number;
  /** How thick its point is, and how high it passes the needle in the middle. */
  readonly hookPoint: number;
  readonly pointUp: number;
  readonly radius: number;
  readonly axis: 'upright' | 'level';
  readonly fabric: number;
}

/** What one moment of a turn looks like from one side. */
export interface Picture {
  /** The needle's axis at the upper edge of its eye. */
  readonly eye: Place;
  /** The near face of the hook's point. */
  readonly point: Place;
  /** It stands far before or behind what is looked at. */
  readonly isPointAway: boolean;
  /** How far the fabric went up with the needle. */
  readonly rise: number;
  /** The thread before the needle, and behind it from the eye to the fabric. */
  readonly front: readonly Place[];
  readonly back: readonly Place[];
}

/** A place in the machine: to the right as one sits before it, towards its back, upwards. */
type Deep = readonly [x: number, y: number, z: number];

/** Nearer than this, the point stands at what is looked at. */
const NEAR = 5;
/** A thread in its groove lies so far outside of the blade. */
const BESIDE = 0.12;
/** No more than so much of a loop is drawn hanging. */
const MOST_HANGING = 14;
/** So far above the eye the blade begins; it bends from there. */
const BLADE = 25;
/** Where a bend is told: at the hook, so far above the eye. */
const TOLD_AT = 1.5;

export function fixedIn({ question: { set, seat } }: Pick<PictureSet, 'question'>): Fixed {
  const { former, fabric } = set;
  const { meeting, loop, hook, bar, meetsAt } = former;
  return {
    half: (SET_TO_BLADE - seat.thinner) / 2,
    scarf: { depth: scarfDepthOf(seat, meeting), length: meeting.scarfLength },
    hookFace: SET_TO_BLADE / 2 - meeting.scarfDepth + meeting.gap,
    hookPoint: meeting.hookPoint,
    pointUp: barAt(bar, meetsAt).lift - loop.free + meeting.aboveEye,
    radius: hook.radius,
    axis: hook.axis,
    fabric,
  };
}

/** How far the blade stands off its axis, so far above its eye: towards the hook is positive. */
export function bentOff({ question }: Pick<PictureSet, 'question'>, above: number): number {
  const share = Math.max(0, BLADE - above) / (BLADE - TOLD_AT);
  return -question.seat.bend * share ** 2;
}

/** Where the upper edge of the eye is, upwards. */
export function eyeUpAt({ question, scene }: PictureSet, step: number): number {
  return at(scene.turn.lift, step) - question.set.former.loop.free - question.seat.low;
}

/** @param step of the scene's turn */
export function pictureAt(set: PictureSet, step: number, side: Side): Picture {
  const { swing } = set;
  const isSection = side === 'section';
  const across = swing.meeting.swing;
  const project = ([x, y, z]: Deep): Place => [isSection ? y : -x, z];
  const held = pointIn(set, step);
  const [pointAcross, pointBack] = held;
  return {
    eye: [isSection ? bentOff(set, 0) : -across, eyeUpAt(set, step)],
    point: project(held),
    isPointAway: isSection ? Math.abs(pointAcross - across) > NEAR : pointBack < -NEAR,
    rise: riseAt(set, step),
    front: frontOf(set, step).map(project),
    back: backOf(set, step).map(project),
  };
}

/** The near face of the hook's point. The needle swings alongside the hook, and is what is looked at. */
function pointIn({ question, scene, swing }: PictureSet, step: number): Deep {
  const { hookFace, pointUp, axis, radius } = fixedIn({ question });
  const alongside =
    axis === 'level' ? 0 : Math.sqrt(radius ** 2 - swing.meeting.swing ** 2) - radius;
  return [
    at(scene.point.across, step),
    hookFace + at(scene.point.back, step) - alongside,
    pointUp - at(scene.point.down, step),
  ];
}

function riseAt({ swing, question }: PictureSet, step: number): number {
  return step <= swing.passedAt ? question.set.former.loop.rise : 0;
}

/** To the back, or to the front where the needle is in backward. */
function facingOf({ question }: PictureSet): 1 | -1 {
  return question.seat.backward ? -1 : 1;
}

function frontOf(set: PictureSet, step: number): readonly Deep[] {
  const x = set.swing.meeting.swing;
  const { half } = fixedIn(set);
  const eyeUp = eyeUpAt(set, step);
  const off = bentOff(set, 0);
  const face = off - facingOf(set) * (half + BESIDE);
  return [
    [x, face, BLADE],
    [x, face, eyeUp + 0.2],
    [x, off, eyeUp],
  ];
}

/** Behind the needle as a loop, round the case, let go and drawn up. */
function backOf(set: PictureSet, step: number): readonly Deep[] {
  const { scene, swing, isTaken } = set;
  const x = swing.meeting.swing;
  const eyeUp = eyeUpAt(set, step);
  const eye: Deep = [x, bentOff(set, 0), eyeUp];
  const rise = riseAt(set, step);
  const hole: Deep = [x, facingOf(set) * fixedIn(set).half + bentOff(set, rise - eyeUp), rise];
  if (step <= swing.passedAt) return [...loopAt(set, step), hole];
  // Once the eye is above, both legs come out of the hole.
  const fromEye = eyeUp > 0 ? [eye, hole] : [eye];
  if (isTaken && step < scene.letGoAt) return [...fromEye, pointIn(set, step), hole];
  const slack = isTaken && step < scene.turn.tightAt ? at(scene.turn.slack, step) : 0;
  return [...fromEye, ...hanging(hole, Math.min(MOST_HANGING, slack / 2)), hole];
}

/** What the take-up has not drawn up yet. */
function hanging([x, y]: Deep, deep: number): readonly Deep[] {
  if (deep < 0.3) return [];
  return [
    [x + 1, y, -0.6 * deep],
    [x + 0.6, y, -deep],
    [x - 0.6, y, -deep],
    [x - 1, y, -0.6 * deep],
  ];
}

/** The loop, as far as it stands to the back, and aside where the needle is turned. */
function loopAt(set: PictureSet, step: number): readonly Deep[] {
  const { swing, question } = set;
  const from = Math.min(step, swing.passedAt) * STRAND_VALUES;
  return strandPlaces(set, swing.strands.subarray(from, from + STRAND_VALUES)).map(
    ([aside, back, above]): Deep => [
      swing.meeting.swing + aside,
      back + bentOff({ question }, above),
      eyeUpAt(set, step) + above,
    ],
  );
}

/** The places of a strand from the eye up: aside, to the back of the blade's axis, above the eye. */
export function strandPlaces(
  { question }: Pick<PictureSet, 'question'>,
  strand: Float32Array,
): readonly Deep[] {
  const { seat } = question;
  const { half, scarf } = fixedIn({ question });
  const angle = (seat.turned * Math.PI) / 180;
  const facing = seat.backward ? -1 : 1;
  return Array.from({ length: STRAND_PARTS + 1 }, (_, part): Deep => {
    const [above, out] = [at(strand, 2 * part), at(strand, 2 * part + 1)];
    return [
      facing * out * Math.sin(angle),
      facing * (half - scarf.depth + out * Math.cos(angle)),
      above,
    ];
  });
}

function at(list: Float64Array | Float32Array, index: number): number {
  return list[index] ?? Number.NaN;
}
