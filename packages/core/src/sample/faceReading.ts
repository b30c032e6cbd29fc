import { amountOf, bandSum, holeIn, lateralSpread, ownColour, restOf } from './amounts.ts';
import type { FlatField } from './flatten.ts';
import { THREAD_WIDTH } from './holeMasks.ts';
import { boxMean, type Light } from './picture.ts';
import type { ReadHole, SeamKind } from './readHole.ts';
import { refused } from './refusal.ts';
import { GAP, type Strip, seamStrip, stripOf, THREAD_UNLIKE, threadOf } from './seamLine.ts';
import { longestStretch, quantile, smoothed } from './spacing.ts';
import { curveOf, straightened } from './straightened.ts';
import { BAND, straightHoles } from './straightHoles.ts';
import { unlikeBeside } from './unlikeBeside.ts';
import { ALIKE, likeness, unlikenessOf, unmixing } from './unmix.ts';
import { byUsualHole, type SeamHoles, type Usual } from './usualHole.ts';
import { times, whitened, whitening } from './whitened.ts';
import { zigzagHoles } from './zigzagHoles.ts';

/** What one face of a sample shows. */
export interface FaceReading {
  readonly strip: Strip;
  readonly kind: SeamKind;
  readonly holes: readonly ReadHole[];
  /** What a usual hole of it looks like; nothing where there were too few. */
  readonly usual: Usual | undefined;
  /** Millimetres between the swings; nothing of a straight seam. */
  readonly width: number;
  /** How far its own thread's colour is from the fabric's. */
  readonly own: Light;
  readonly unlike: readonly number[];
}

/** Half of the thread farther from the line than this, in millimetres, it is a zigzag. Ours. */
const ZIGZAG = 0.27;
const LEAST_STITCHES = 6;

/**
 * Finds the seam of a face, its holes and what kind it is.
 * @param pointed how far its own thread is from the fabric's colour, where somebody pointed at it
 * @throws CoreFault a {@link SampleRefusal}
 */
export function readFace(flat: FlatField, pointed?: Light): FaceReading {
  const widest = seamStrip(flat);
  if (!widest) throw refused('no-seam');
  const { fabric } = flat;
  const unlike = unlikeBeside(widest, BESIDE, flat.unlike);
  if (pointed && unlikenessOf(pointed, unlike) < THREAD_UNLIKE) throw refused('not-a-thread');
  const own = pointed ?? ownColour(widest, unlike);
  const dark = holeIn(fabric);
  const ends = Math.abs(likeness(own, dark, flat.unlike)) < ALIKE ? [own, dark] : [own];
  const mix = unmixing(ends, unlike);
  // Of a millimetre of thread: many pixels together show what one does not.
  const contrast = (Math.sqrt(THREAD_WIDTH) * flat.scale) / (mix.spreads[0] ?? 1);
  if (contrast < LEAST_CONTRAST) throw refused('fabric-colour', { contrast });
  const along = seamStrip(flat, threadOf(flat, mix)) ?? widest;
  const strip = cropped(flat, along, amountOf(along, mix, 0));
  const { mass, noise } = steadied(strip, amountOf(strip, mix, 0));
  const clear = mass.map((one) => (one > CLEAR * noise ? one : 0));
  const amounts = { mass, clear, rest: restOf(strip, own, unlike) };
  const kind = lateralSpread(strip, mass, noise) > ZIGZAG ? 'zigzag' : 'straight';
  const rough = kind === 'straight' ? straightHoles(strip, amounts) : zigzagHoles(strip, amounts);
  const even = settledSeam(flat, strip, rough, kind);
  const found = { ...even, holes: withoutStrayEnds(even.strip, even.holes, kind) };
  const count = found.holes.reduce((sum, { steps }) => sum + steps, 0);
  if (count < LEAST_STITCHES) throw refused('too-few-stitches', { count });
  const line = lineColour(even.strip, found.holes, kind);
  // Where only holes show and nothing between them, the thread has the colour of the fabric.
  const [weights = []] = unmixing([own], unlike).weights;
  const thread = weights.reduce((sum, one, at) => sum + one * (line[at] ?? 0), 0);
  if (thread < LEAST_THREAD) throw refused('fabric-colour', { contrast, thread });
  const threadColour = line.map((one) => one / THREAD_WIDTH) as unknown as Light;
  return { kind, ...found, own: threadColour, unlike: flat.unlike };
}

/**
 * Finds each hole again by what a usual one looks like, on a strip that runs along those found before: where a rough one lies
 * across the seam is hardly known.
 */
function settledSeam(
  flat: FlatField,
  strip: Strip,
  rough: readonly ReadHole[],
  kind: SeamKind,
): SeamHoles & { readonly strip: Strip } {
  const rows = whitening(flat.unlike);
  const dark = times(rows, holeIn(flat.fabric));
  const settled = (from: { strip: Strip; holes: readonly ReadHole[] }, isRough: boolean) => {
    const laid = straightened(flat, from.strip, from.holes, kind) ?? from;
    const white = whitened(laid.strip, flat.unlike);
    const found = byUsualHole(white, strip.scale, laid.holes, kind, dark, isRough);
    return { strip: laid.strip, ...found };
  };
  return settled(settled({ strip, holes: rough }, true), false);
}

/** At an end, where only one leg shows what a hole is, what lies off the seam is none. */
function withoutStrayEnds(
  strip: Strip,
  holes: readonly ReadHole[],
  kind: SeamKind,
): readonly ReadHole[] {
  const near = curveOf(strip, holes, kind)?.near;
  if (!near || near.length === holes.length) return holes;
  const kept = holes.slice(near[0], (near.at(-1) ?? 0) + 1);
  return kept.map((hole, index) => (index === kept.length - 1 ? { ...hole, steps: 0 } : hole));
}

/** Millimetres of thread across that must be seen between the holes. Ours. */
const LEAST_THREAD = 0.06;

/** Where a thread lies is told by what stands out this much from the fabric's unevenness. Ours. */
const CLEAR = 2;
/** A millimetre of thread this much over the fabric's unevenness is seen. Ours. */
const LEAST_CONTRAST = 4;
/** Along so much of the seam thread is looked for at once, in millimetres, and as this part of what is usual. Ours. */
const STRETCH = { length: 3, part: 0.2 } as const;
/** So much bare fabric stays on the strip beyond its ends, in millimetres. */
const BEYOND = 2;

/** Only as far as its own thread goes: what the fabric is printed with lies beyond. */
function cropped(flat: FlatField, strip: Strip, mass: Float32Array): Strip {
  const { scale, line } = strip;
  const reach = (strip.planes[0].height - 1) / 2 / scale;
  const seen = mass.map((one) => Math.max(0, one));
  const along = smoothed(bandSum(strip, seen, -reach, reach), (STRETCH.length / 2) * scale);
  const [floor, usual] = [quantile([...along], 0.02), quantile([...along], 0.8)];
  const isSeam = (at: number) => (along[at] ?? 0) - floor > STRETCH.part * (usual - floor);
  const places = [...along.keys()].filter(isSeam);
  const ends = longestStretch(places, GAP * scale);
  if (!ends) return strip;
  const least = STRETCH.length / 4;
  const kept = line.slice(
    Math.max(0, Math.round(ends[0] - (BEYOND - least) * scale)),
    Math.round(ends[1] + (BEYOND - least) * scale),
  );
  return kept.length < 0.97 * line.length ? stripOf(flat, kept) : strip;
}

/** Where one pixel of thread hardly stands out, each with its neighbours; and how uneven the fabric beside the seam is then. */
function steadied(strip: Strip, mass: Float32Array): { mass: Float32Array; noise: number } {
  const { width, height } = strip.planes[0];
  const uneven = (of: Float32Array) => {
    const off: number[] = [];
    for (let v = 0; v < height; v += 1)
      if (Math.abs(v - (height - 1) / 2) > BESIDE * strip.scale)
        for (let u = 0; u < width; u += 3) off.push(Math.abs(of[v * width + u] ?? 0));
    return quantile(off, 0.5) / 0.6745 + 1e-3;
  };
  const noise = uneven(mass);
  if (noise < STEADY) return { mass, noise };
  const steady = boxMean({ width, height, data: mass }, 1).data;
  return { mass: steady, noise: uneven(steady) };
}

/** So far off the line there is only fabric, in millimetres: beside the widest zigzag. */
const BESIDE = 3.9;
/** A fabric more uneven than this, of a pixel of thread, is looked at with its neighbours. Ours. */
const STEADY = 0.25;

/**
 * Light that a millimetre of the own thread adds, times millimetres across, by the middle of each leg: the median over the
 * seam.
 */
function lineColour(strip: Strip, holes: readonly ReadHole[], kind: FaceReading['kind']): Light {
  const { width, height } = strip.planes[0];
  const middle = (height - 1) / 2;
  const sums: number[][] = [[], [], []];
  for (const [index, hole] of holes.entries()) {
    const next = holes[index + 1];
    if (!next || hole.steps !== 1) continue;
    const length = next.along - hole.along;
    const slant = Math.hypot(length, next.across - hole.across) / length;
    const [from, to] = [hole.along + 0.38 * length, next.along - 0.38 * length].map((at) =>
      Math.round(at * strip.scale),
    );
    const reach = kind === 'straight' ? BAND : BAND * Math.min(4, slant);
    const across = (hole.across + next.across) / 2;
    for (let part = 0; part < 3; part += 1) {
      let [sum, columns] = [0, 0];
      for (let u = from ?? 0; u <= (to ?? 0); u += 1) {
        columns += 1;
        for (
          let v = Math.round(middle + (across - reach) * strip.scale);
          v <= middle + (across + reach) * strip.scale;
          v += 1
        )
          sum += strip.planes[part as 0].data[v * width + u] ?? 0;
      }
      sums[part]?.push(sum / Math.max(1, columns) / strip.scale / slant);
    }
  }
  return sums.map((one) => quantile(one, 0.5)) as unknown as Light;
}
