import { HOLE_WIDTHS, otherThreadAt } from '../tension/seamPicture.ts';
import { amountOf, holeIn } from './amounts.ts';
import type { FaceReading } from './faceReading.ts';
import type { Light } from './picture.ts';
import { singlePitches } from './readHole.ts';
import { vertex } from './spacing.ts';
import { unmixing } from './unmix.ts';

/** How much of the other thread a face shows at each of its holes, in square millimetres. */
export interface ShowThrough {
  readonly areas: readonly number[];
  /** Standard deviation of one of them. */
  readonly error: number;
  /** How far about a hole it was looked for, in millimetres. */
  readonly reach: number;
  /** Of a leg, and across the thread, in millimetres. */
  readonly leg: number;
  readonly width: number;
}

/** It is looked for this far about a hole at most, in millimetres, and over this part of a leg. */
const REACH = { most: 1.3, part: 0.46 } as const;

/**
 * @param other light that a millimetre of the other thread adds: as read where it is a face's own
 * @param width of the threads, in millimetres
 */
export function showThrough(
  face: FaceReading,
  fabric: Light,
  other: Light,
  width: number,
): ShowThrough {
  const { strip, holes } = face;
  const solid = (line: Light) => line.map((part) => part / width) as unknown as Light;
  const mix = unmixing([solid(other), solid(face.own), holeIn(fabric)], face.unlike);
  const amount = amountOf(strip, mix, 0);
  const leg = legLength(face);
  const reach = Math.min(REACH.most, REACH.part * leg);
  const { scale } = strip;
  const middle = (strip.planes[0].height - 1) / 2;
  const around = Math.ceil(reach * scale);
  let pixels = 0;
  const areas = holes.map(({ along, across }) => {
    const [u, v] = [along * scale, middle + across * scale];
    let sum = 0;
    pixels = 0;
    for (let y = Math.round(v) - around; y <= Math.round(v) + around; y += 1)
      for (let x = Math.round(u) - around; x <= Math.round(u) + around; x += 1) {
        if (Math.hypot(x - u, y - v) > reach * scale) continue;
        pixels += 1;
        sum += amount[y * strip.planes[0].width + x] ?? 0;
      }
    return sum / (scale * scale);
  });
  const error = ((mix.spreads[0] ?? 0) * Math.sqrt(pixels)) / (scale * scale);
  return { areas, error, reach, leg, width };
}

/** Mean length of a leg on this face, from hole to hole. */
function legLength({ holes, width }: FaceReading): number {
  const single = singlePitches(holes);
  return Math.hypot(single.reduce((sum, one) => sum + one, 0) / Math.max(1, single.length), width);
}

/** What a face shows of the other thread at a hole where the knot is drawn to it so far, in square millimetres. */
export function shownArea(
  drawn: number,
  { reach, leg, width }: Omit<ShowThrough, 'areas' | 'error'>,
): number {
  const { dot, along } = otherThreadAt(drawn);
  const hole = HOLE_WIDTHS * width;
  return Math.PI * hole * hole * dot + 2 * width * Math.max(0, Math.min(along * leg, reach) - hole);
}

/** A balance as it is read from a sample. */
export interface SampleBalance {
  /** Signed: -1 on top, 0 in the middle, 1 below. */
  readonly balance: number;
  readonly error: number;
  /** At each hole where it could be read by itself. */
  readonly each: readonly number[];
}

/** By so much a shown area may be off as a part, and on the whole, in square millimetres: thread and hole are taken as usual. Ours. */
const AREA_ERROR = { part: 0.06, least: 0.004 } as const;

/** Where the knots lie, by what either face shows, or by both: what fits best, by least squares. */
export function balanceOfFaces(faces: {
  readonly top?: ShowThrough | undefined;
  readonly bottom?: ShowThrough | undefined;
}): SampleBalance {
  const shown = [
    { face: faces.top, sign: -1 },
    { face: faces.bottom, sign: 1 },
  ].flatMap(({ face, sign }) => (face ? [{ face, sign, ...meanArea(face) }] : []));
  const misfit = (balance: number) =>
    shown.reduce(
      (sum, { face, sign, mean, error }) =>
        sum + ((mean - shownArea(sign * balance, face)) / error) ** 2,
      0,
    );
  const fitted = best(misfit);
  const each = shown.flatMap(({ face, sign }) =>
    face.areas.map(
      (area) =>
        best(
          (balance) =>
            (area - shownArea(sign * balance, face)) ** 2 + 1e-6 * (balance - fitted.balance) ** 2,
        ).balance,
    ),
  );
  return { ...fitted, each };
}

function meanArea({ areas, error }: ShowThrough): {
  readonly mean: number;
  readonly error: number;
} {
  const mean = areas.reduce((sum, one) => sum + one, 0) / areas.length;
  const scatter =
    areas.reduce((sum, one) => sum + (one - mean) ** 2, 0) / Math.max(1, areas.length - 1);
  const random = Math.max(scatter, error * error) / areas.length;
  return { mean, error: Math.sqrt(random + (AREA_ERROR.part * mean) ** 2 + AREA_ERROR.least ** 2) };
}

const STEP = 0.01;

/** The least misfit, and how far about it all that fits within one more: about a standard deviation. */
function best(misfit: (balance: number) => number): {
  readonly balance: number;
  readonly error: number;
} {
  const steps = Array.from({ length: 201 }, (_, index) => -1 + index * STEP);
  const misfits = steps.map(misfit);
  const least = Math.min(...misfits);
  const at = misfits.indexOf(least);
  const within = steps.filter((_, index) => (misfits[index] ?? 0) <= least + 1);
  const [before, after] = [misfits[at - 1], misfits[at + 1]];
  const isInner = before !== undefined && after !== undefined;
  const finer = isInner ? vertex(-before, -least, -after) : 0;
  return {
    balance: (steps[at] ?? 0) + finer * STEP,
    error: Math.max(STEP, ((within.at(-1) ?? 0) - (within[0] ?? 0)) / 2),
  };
}
