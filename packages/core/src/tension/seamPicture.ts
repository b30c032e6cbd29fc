import type { Point } from '../linkage/aroundDisc.ts';
import { positive } from '../units/quantities.ts';

/** A seam as it is drawn. Lengths in millimetres. */
export interface SeamSet {
  /** Signed: -1 on top, 1 below. */
  readonly balance: number;
  readonly length: number;
  /** Of a zigzag; nothing for a straight seam. */
  readonly width: number;
  readonly fabric: number;
  readonly thread: number;
  readonly stitches: number;
}

/** What is seen of a face: its own thread from hole to hole, and the other one where it comes through. */
export interface SeamFace {
  readonly own: readonly (readonly Point[])[];
  /** From each hole along both legs; of no length where nothing is drawn through. */
  readonly other: readonly (readonly Point[])[];
  /** How much of the hole the other thread fills, nothing to one. */
  readonly dot: number;
}

export interface SeamPicture {
  /** Where the needle went through, seen from above. */
  readonly holes: readonly Point[];
  readonly top: SeamFace;
  readonly bottom: SeamFace;
  /** Cut along the seam: x along it, y down from the fabric's top. */
  readonly section: { readonly top: readonly Point[]; readonly bobbin: readonly Point[] };
  /** Of the knots below the top. */
  readonly depth: number;
}

/** As far as the other thread is drawn along a leg at most, of its length: more is a thread that lies straight. Ours. */
const MOST_ALONG = 0.45;
/** From here on to the end the knot is out of the fabric and is drawn along its face. Ours. */
const OUT_FROM = 0.7;
/** From here on the other thread is seen deep in the hole: with the knot in the middle a tiny dot on both faces. Ours. */
export const SEEN_FROM = -0.4;

/**
 * A seam of stitches by where its knots lie. Within the fabric the other thread fills the hole the more the nearer the
 * knot is to the face; out of it the knot is drawn along the face. Our own picture of the trade's words; no source.
 */
export function seamPicture(set: SeamSet): SeamPicture {
  const { balance, length, width, fabric, thread } = set;
  for (const [name, value] of Object.entries({ length, fabric, thread })) positive(name, value);
  const holes = Array.from({ length: set.stitches + 1 }, (_, index) => ({
    x: index * length,
    y: width === 0 ? 0 : index % 2 === 0 ? -width / 2 : width / 2,
  }));
  const depth = ((1 + balance) / 2) * fabric;
  return {
    holes,
    top: faceOf(holes, -balance),
    bottom: faceOf(holes, balance),
    section: sectionOf(holes, depth, set),
    depth,
  };
}

/** Radius of a needle's hole in widths of the thread: so wide it stays open round it. Ours. */
export const HOLE_WIDTHS = 1.1;

/**
 * What of the other thread is seen at a hole of a face: the share of the hole that it fills, and how far it lies along each
 * leg, as a part.
 * @param drawn how far the knot is drawn to this face, -1 to 1
 */
export function otherThreadAt(drawn: number): { readonly dot: number; readonly along: number } {
  return {
    dot: Math.min(1, Math.max(0, (drawn - SEEN_FROM) / (OUT_FROM - SEEN_FROM))) ** 2,
    along: MOST_ALONG * Math.max(0, (drawn - OUT_FROM) / (1 - OUT_FROM)),
  };
}

function faceOf(holes: readonly Point[], drawn: number): SeamFace {
  const { dot, along } = otherThreadAt(drawn);
  const legs = holes.slice(1).map((to, index) => [holes[index] as Point, to] as const);
  return {
    own: legs.map(([from, to]) => [from, to]),
    other: holes.map((at, index) => {
      const [before, next] = [holes[index - 1], holes[index + 1]];
      return [
        ...(before ? [towards(at, before, along)] : []),
        at,
        ...(next ? [towards(at, next, along)] : []),
      ];
    }),
    dot,
  };
}

/** Each thread over its face, and down or up to the knots. */
function sectionOf(
  holes: readonly Point[],
  depth: number,
  { fabric, thread }: SeamSet,
): SeamPicture['section'] {
  const over = thread / 2;
  const xs = holes.map(({ x }) => x);
  // Flat over the face, then into the hole: the more slack a thread is, the deeper it goes.
  const line = (face: number) =>
    xs.flatMap((x, index) => {
      const next = xs[index + 1];
      if (next === undefined) return [{ x, y: depth }];
      return [
        { x, y: depth },
        { x: x + thread, y: face },
        { x: next - thread, y: face },
      ];
    });
  return { top: line(-over), bobbin: line(fabric + over) };
}

function towards(from: Point, to: Point, share: number): Point {
  return { x: from.x + share * (to.x - from.x), y: from.y + share * (to.y - from.y) };
}
