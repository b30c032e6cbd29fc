import type { Point } from '../linkage/aroundDisc.ts';
import { CARD } from './card.ts';
import { type Homography, homographyOf, type PlaneView, through } from './homography.ts';
import { boxMean, type Picture, type Plane, smallerGrey } from './picture.ts';
import { type Component, componentsOf } from './threshold.ts';

/** So many pixels across are enough to find the marks in. */
const SEARCHED = 1000;
/** A mark is at least so many of those across, and at most this part of the picture. Ours. */
const LEAST = 9;
const MOST = 0.2;
/** Darker than this part of what is around is dark. */
const DARK = 0.72;
/** How far the middles of a ring and of its dot may lie apart, as a part of the ring; and their areas' ratio. Ours. */
const CONCENTRIC = 0.09;
const RATIO = { least: 0.12, most: 0.5 } as const;

interface Mark extends Point {
  readonly size: number;
  readonly hollow: boolean;
}

/** The card in a picture, wherever it lies and however it is turned; nothing where four marks are not seen. */
export function findCard(picture: Picture): PlaneView | undefined {
  const times = Math.max(1, Math.round(Math.max(picture.width, picture.height) / SEARCHED));
  const grey = smallerGrey(picture, times);
  for (const reach of [0.035, 0.08, 0.02]) {
    const marks = marksIn(grey, Math.round(reach * grey.width));
    const corners = cornersOf(marks);
    if (!corners) continue;
    const whole = corners.map(({ x, y }) => ({
      x: times * (x + 0.5) - 0.5,
      y: times * (y + 0.5) - 0.5,
    }));
    const toPicture = homographyOf(CARD.marks, whole);
    return { toPicture, scale: scaleAt(toPicture, { x: CARD.width / 2, y: CARD.height / 2 }) };
  }
  return undefined;
}

/** Pixels a millimetre about a place, both ways together. */
function scaleAt(toPicture: Homography, { x, y }: Point): number {
  const [at, right, down] = [
    through(toPicture, { x, y }),
    through(toPicture, { x: x + 1, y }),
    through(toPicture, { x, y: y + 1 }),
  ];
  const area = (right.x - at.x) * (down.y - at.y) - (right.y - at.y) * (down.x - at.x);
  return Math.sqrt(Math.abs(area));
}

/** Dark rings with a dark dot in the middle. */
function marksIn(grey: Plane, reach: number): readonly Mark[] {
  const { width, height } = grey;
  const around = boxMean(grey, reach);
  const dark = new Uint8Array(width * height);
  for (let at = 0; at < dark.length; at += 1)
    dark[at] = (grey.data[at] ?? 0) < DARK * (around.data[at] ?? 0) ? 1 : 0;
  const parts = componentsOf(dark, width, height).filter(({ area }) => area >= 6);
  const rings = parts.filter(
    (part) => isRound(part) && sizeOf(part) >= LEAST && sizeOf(part) < MOST * width,
  );
  return rings.flatMap((ring) => {
    const size = sizeOf(ring);
    const dot = parts.find(
      (part) =>
        part !== ring &&
        isRound(part) &&
        Math.hypot(part.x - ring.x, part.y - ring.y) < CONCENTRIC * size &&
        sizeOf(part) > 0.25 * size &&
        sizeOf(part) < 0.6 * size &&
        isBetween(part.area / ring.area, RATIO),
    );
    if (!dot) return [];
    const at = middleOf(grey, around, ring);
    return [{ ...at, size, hollow: isHollow(grey, dot) }];
  });
}

function isBetween(
  value: number,
  { least, most }: { readonly least: number; readonly most: number },
) {
  return value >= least && value <= most;
}

function isRound({ left, right, top, bottom }: Component): boolean {
  const [wide, tall] = [right - left + 1, bottom - top + 1];
  return wide < 1.7 * tall && tall < 1.7 * wide;
}

function sizeOf({ left, right, top, bottom }: Component): number {
  return (right - left + bottom - top) / 2 + 1;
}

/** Finer than by whole pixels: weighed by how dark each is. */
function middleOf(grey: Plane, around: Plane, ring: Component): Point {
  const { width, height, data } = grey;
  const light = around.data[Math.round(ring.y) * width + Math.round(ring.x)] ?? 255;
  const margin = 2;
  let [weight, x, y] = [0, 0, 0];
  for (
    let row = Math.max(0, ring.top - margin);
    row <= Math.min(height - 1, ring.bottom + margin);
    row += 1
  )
    for (
      let column = Math.max(0, ring.left - margin);
      column <= Math.min(width - 1, ring.right + margin);
      column += 1
    ) {
      const darkness = Math.max(0, 0.95 * light - (data[row * width + column] ?? 0));
      weight += darkness;
      x += darkness * column;
      y += darkness * row;
    }
  return weight > 0 ? { x: x / weight, y: y / weight } : ring;
}

/** Whether the middle of a dot is lighter than its rim. */
function isHollow({ width, data }: Plane, dot: Component): boolean {
  const at = (x: number, y: number) => data[Math.round(y) * width + Math.round(x)] ?? 0;
  const rim = 0.36 * sizeOf(dot);
  const [x, y] = [dot.x, dot.y];
  const around = [at(x + rim, y), at(x - rim, y), at(x, y + rim), at(x, y - rim)];
  const mean = around.reduce((sum, one) => sum + one, 0) / around.length;
  return at(x, y) > 1.25 * mean + 8;
}

/** The four marks, clockwise from the hollow one; nothing where they do not lie as on a card. */
function cornersOf(marks: readonly Mark[]): readonly Mark[] | undefined {
  const first = marks.find(({ hollow }) => hollow);
  const others = marks.filter(({ hollow }) => !hollow);
  if (!first || others.length < 3) return undefined;
  let best: readonly [unlike: number, corners: readonly Mark[]] | undefined;
  for (const [one, two, three] of triplesOf(others)) {
    const middle = {
      x: (first.x + one.x + two.x + three.x) / 4,
      y: (first.y + one.y + two.y + three.y) / 4,
    };
    const angle = (mark: Mark) => {
      const turn =
        Math.atan2(mark.y - middle.y, mark.x - middle.x) -
        Math.atan2(first.y - middle.y, first.x - middle.x);
      return (turn + 4 * Math.PI) % (2 * Math.PI);
    };
    const corners = [first, ...[one, two, three].toSorted((a, b) => angle(a) - angle(b))];
    const unlike = unlikeCard(corners);
    if (unlike < (best?.[0] ?? 0.35)) best = [unlike, corners];
  }
  return best?.[1];
}

function triplesOf<Item>(items: readonly Item[]): readonly (readonly [Item, Item, Item])[] {
  return items.flatMap((one, i) =>
    items
      .slice(i + 1)
      .flatMap((two, j) => items.slice(i + j + 2).map((three) => [one, two, three] as const)),
  );
}

/** How far the sides are from those of a card, as a part; tilted by 20 degrees they stay well within a third. */
function unlikeCard(corners: readonly Mark[]): number {
  const side = (from: number) => {
    const [a, b] = [corners[from], corners[(from + 1) % 4]];
    return a && b ? Math.hypot(a.x - b.x, a.y - b.y) : 0;
  };
  const [wide, tall] = [CARD.marks[1].x - CARD.marks[0].x, CARD.marks[2].y - CARD.marks[1].y];
  const scales = [side(0) / wide, side(1) / tall, side(2) / wide, side(3) / tall];
  const sizes = corners.map(({ size }) => size / (2 * CARD.ring.outer));
  const all = [...scales, ...sizes];
  return (Math.max(...all) - Math.min(...all)) / Math.max(...all);
}
