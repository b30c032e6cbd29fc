import { holeIn } from './amounts.ts';
import { THREAD_WIDTH } from './holeMasks.ts';
import { boxMean, type Light, weighed } from './picture.ts';
import { aboutHole, sidesOf } from './readHole.ts';
import type { PictureReading } from './readPicture.ts';
import { relit } from './relit.ts';
import type { Strip } from './seamLine.ts';
import { componentsOf } from './threshold.ts';
import { ALIKE, likeness, unmixing } from './unmix.ts';

/** Thread that lies loose beside the seam: a loop, or a nest of them. */
export interface LooseLoop {
  /** Square millimetres that it covers. */
  readonly area: number;
  /** How far along the seam its middle lies from the first hole, in millimetres. */
  readonly along: number;
}

/** What a face shows that is not its own even line of thread. */
export interface LooseThread {
  readonly loops: readonly LooseLoop[];
  /** Square millimetres of the other thread about each hole; nothing where the colours cannot be told apart. */
  readonly through: readonly number[] | undefined;
}

/** Thread farther from the line than this, in millimetres, is no part of the seam: beside a zigzag's swings as well. Ours. */
const BESIDE = 0.75;
/** What covers less than this, in square millimetres, is lint. Ours. */
const LEAST_LOOP = 0.3;
/** A place holds a thread as wide as this part of a sewing thread, and not a hair. Ours. */
const AS_WIDE = 0.45;
/** A pixel that holds less of a thread than this may be fabric. Ours. */
const LEAST_AMOUNT = 0.15;
/** Half of the square in which that is looked for, in millimetres. */
const LOOKED = 0.12;
/** The other thread is told about a hole to this many square millimetres, or not at all. Ours. */
const LEAST_SURE = 0.05;

/** @param other how far the other thread's colour is from this fabric's */
export function looseThread(reading: PictureReading, other: Light): LooseThread {
  return { loops: loopsOf(reading, other), through: throughOf(reading, other) };
}

/** How far the colour of a face's own thread lies from the fabric of the other face. */
export function asSeenOn(to: PictureReading, from: PictureReading): Light {
  return relit(from.own, from, to);
}

function loopsOf(
  { strip, holes, width, own, unlike }: PictureReading,
  other: Light,
): readonly LooseLoop[] {
  const { scale } = strip;
  const { width: wide, height } = strip.planes[0];
  const [first, last] = [holes[0]?.along ?? 0, holes.at(-1)?.along ?? 0];
  const middle = (height - 1) / 2;
  const isBeside = (u: number, v: number) =>
    Math.abs(v - middle) > (width / 2 + BESIDE) * scale && u >= first * scale && u <= last * scale;
  const amounts = [own, other].map((colour) =>
    weighed(strip.planes, unmixing([colour], unlike).weights[0] ?? []),
  );
  const data = new Float32Array(wide * height);
  for (let at = 0; at < data.length; at += 1)
    if (isBeside(at % wide, Math.floor(at / wide)))
      data[at] = Math.min(1, Math.max(0, ...amounts.map((one) => one[at] ?? 0)));
  const reach = Math.max(1, Math.round(LOOKED * scale));
  const least = AS_WIDE * Math.min(1, (THREAD_WIDTH * scale) / (2 * reach + 1));
  const mask = boxMean({ width: wide, height, data }, reach).data.map((one) =>
    one > least ? 1 : 0,
  );
  return componentsOf(mask, wide, height)
    .map(({ left, right, top, bottom, x }) => {
      let covered = 0;
      for (let v = Math.max(0, top - reach); v <= Math.min(height - 1, bottom + reach); v += 1)
        for (let u = Math.max(0, left - reach); u <= Math.min(wide - 1, right + reach); u += 1)
          if ((data[v * wide + u] ?? 0) > LEAST_AMOUNT) covered += data[v * wide + u] ?? 0;
      return { area: covered / scale ** 2, along: x / scale - first };
    })
    .filter(({ area }) => area >= LEAST_LOOP);
}

function throughOf(
  { strip, holes, kind, width, own, unlike, fabric }: PictureReading,
  other: Light,
): readonly number[] | undefined {
  const dark = holeIn(fabric);
  const ends = [own, other, dark].filter(
    (end, index, all) =>
      index < 2 || all.slice(0, 2).every((one) => Math.abs(likeness(one, end, unlike)) < ALIKE),
  );
  if (likeness(own, other, unlike) > ALIKE) return undefined;
  const { weights, spreads } = unmixing(ends, unlike);
  const amount = weighed(strip.planes, weights[1] ?? []);
  const { reach } = aboutHole(holes, width);
  const inReach = Math.PI * (reach * strip.scale) ** 2;
  if (((spreads[1] ?? 0) * Math.sqrt(inReach)) / strip.scale ** 2 > LEAST_SURE) return undefined;
  const sides = sidesOf(holes, kind);
  return holes.map((hole, index) =>
    sumAbout(strip, amount, hole.along, hole.across, reach, sides[index] ?? 0),
  );
}

/** Square millimetres of a colour about a place: of a zigzag on the hole's own side of the seam's middle. */
function sumAbout(
  { planes, scale }: Strip,
  amount: Float32Array,
  along: number,
  across: number,
  reach: number,
  side: -1 | 0 | 1,
): number {
  const { width, height } = planes[0];
  const middle = (height - 1) / 2;
  let sum = 0;
  const [u0, v0, far] = [along * scale, middle + across * scale, reach * scale];
  for (let v = Math.max(0, Math.ceil(v0 - far)); v <= Math.min(height - 1, v0 + far); v += 1)
    for (let u = Math.max(0, Math.ceil(u0 - far)); u <= Math.min(width - 1, u0 + far); u += 1) {
      const isNear = (u - u0) ** 2 + (v - v0) ** 2 <= far ** 2;
      if (isNear && (side === 0 || side * (v - middle) > 0)) sum += amount[v * width + u] ?? 0;
    }
  return sum / scale ** 2;
}
