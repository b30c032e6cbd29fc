import { amountOf, bandSum, holeIn, lateralSpread, ownColour, restOf } from './amounts.ts';
import type { FlatField } from './flatten.ts';
import type { Light } from './picture.ts';
import type { ReadHole } from './readHole.ts';
import { refused } from './refusal.ts';
import { type Strip, seamStrip } from './seamLine.ts';
import { quantile } from './spacing.ts';
import { type SeamKind, straightened } from './straightened.ts';
import { BAND, straightHoles } from './straightHoles.ts';
import { likeness, unmixing } from './unmix.ts';
import { byUsualHole } from './usualHole.ts';
import { whitened } from './whitened.ts';
import { zigzagHoles } from './zigzagHoles.ts';

/** What one face of a sample shows. */
export interface FaceReading {
  readonly strip: Strip;
  readonly kind: SeamKind;
  readonly holes: readonly ReadHole[];
  /** Millimetres between the swings; nothing of a straight seam. */
  readonly width: number;
  readonly unlike: readonly number[];
  /** How far the face's own thread lies from the fabric, a millimetre of its length: light times millimetres across. */
  readonly own: Light;
}

/** More alike than this beside the fabric, thread and hole cannot be told apart. Ours. */
const ALIKE = 0.97;
/** Half of the thread farther from the line than this, in millimetres, it is a zigzag. Ours. */
const ZIGZAG = 0.38;
const LEAST_STITCHES = 6;

/** Finds the seam of a face, its holes and what kind it is. @throws CoreFault a {@link SampleRefusal} */
export function readFace(flat: FlatField): FaceReading {
  const strip = seamStrip(flat);
  if (!strip) throw refused('no-seam');
  const { fabric, unlike } = flat;
  const own = ownColour(strip, unlike);
  const dark = holeIn(fabric);
  const ends = Math.abs(likeness(own, dark, unlike)) < ALIKE ? [own, dark] : [own];
  const mix = unmixing(ends, unlike);
  const [noise = 1] = mix.spreads;
  const contrast = 1 / noise;
  if (contrast < LEAST_CONTRAST) throw refused('fabric-colour', { contrast });
  const mass = amountOf(strip, mix, 0);
  if (!isUnbroken(strip, mass)) throw refused('fabric-colour', { contrast });
  const spread = lateralSpread(strip, mass, noise);
  const kind = spread > ZIGZAG ? 'zigzag' : 'straight';
  const clear = mass.map((one) => (one > CLEAR * noise ? one : 0));
  const amounts = { mass, clear, rest: restOf(strip, own, unlike) };
  const rough = kind === 'straight' ? straightHoles(strip, amounts) : zigzagHoles(strip, amounts);
  const even = straightened(flat, strip, rough.holes, kind) ?? { strip, holes: rough.holes };
  const found = byUsualHole(
    whitened(even.strip, unlike),
    strip.scale,
    { ...rough, holes: even.holes },
    kind,
  );
  const count = found.holes.reduce((sum, { steps }) => sum + steps, 0);
  if (count < LEAST_STITCHES) throw refused('too-few-stitches', { count });
  return {
    strip: even.strip,
    kind,
    ...found,
    unlike,
    own: lineColour(even.strip, found.holes, kind),
  };
}

/** Where a thread lies is told by what stands out this much from the fabric's unevenness. Ours. */
const CLEAR = 2;
/** A thread this much over the fabric's unevenness in one pixel is seen. Ours. */
const LEAST_CONTRAST = 2.2;

/** Whether thread lies all along the seam: where only its holes show, it has the colour of the fabric. */
function isUnbroken(strip: Strip, mass: Float32Array): boolean {
  const reach = (strip.planes[0].height - 1) / 2 / strip.scale;
  const along = [...bandSum(strip, mass, -reach, reach)];
  return quantile(along, 0.45) > 0.25 * quantile(along, 0.9);
}

/** Light that a millimetre of the own thread adds, by the middle of each leg: the median over the seam. */
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
