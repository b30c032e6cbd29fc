import { inverse3 } from './linear.ts';
import type { Light } from './picture.ts';
import type { Strip } from './seamLine.ts';
import { quantile } from './spacing.ts';
import { unlikenessOf } from './unmix.ts';

/** A fabric of which so many pixels are this unlike its own ground, squared, is printed or woven in colours. Ours. */
const PRINTED = { part: 0.95, unlike: 16 } as const;
/** So many of its pixels are taken for fabric: the others may be lint and ends of thread. Ours. */
const FABRIC_PART = 0.98;
/** Keeps what varies in no colour solvable, as a variance of light. */
const LEAST_VARIANCE = 1e-5;

/**
 * What counts as unlike the fabric by all that it shows beside the seam: what is printed on it is no thread.
 * @param beside so far off the seam's line there is only fabric, in millimetres
 * @param ground the same by the fabric's ground alone, which a plain one keeps
 * @returns inverse of the covariance of its colours, by rows
 */
export function unlikeBeside(
  { planes, scale }: Strip,
  beside: number,
  ground: readonly number[],
): readonly number[] {
  const { width, height } = planes[0];
  const seen: { readonly off: Light; readonly far: number }[] = [];
  for (let v = 0; v < height; v += 1) {
    if (Math.abs(v - (height - 1) / 2) <= beside * scale) continue;
    // Neighbours tell little that is new.
    for (let u = v % 3; u < width; u += 3) {
      const off = planes.map(({ data }) => data[v * width + u] ?? 0) as unknown as Light;
      seen.push({ off, far: unlikenessOf(off, ground) });
    }
  }
  const fars = seen.map(({ far }) => far);
  if (quantile(fars, PRINTED.part) < PRINTED.unlike) return ground;
  const most = quantile(fars, FABRIC_PART);
  const kept = seen.filter(({ far }) => far <= most);
  const covariance = [0, 1, 2].flatMap((row) =>
    [0, 1, 2].map(
      (column) =>
        kept.reduce((sum, { off }) => sum + (off[row] ?? 0) * (off[column] ?? 0), 0) / kept.length +
        (row === column ? LEAST_VARIANCE : 0),
    ),
  );
  return inverse3(covariance);
}
