import type { Field } from './field.ts';
import { inverse3 } from './linear.ts';
import { boxMean, type Light, type Plane, plane } from './picture.ts';

/** A piece of a sample under even light: the fabric has one colour, everything else its own beside it. */
export interface FlatField {
  /** How much of the light each colour sends back: 1 is what the card's paper does. */
  readonly planes: readonly [Plane, Plane, Plane];
  readonly scale: number;
  readonly fabric: Light;
  /** Inverse of the covariance of the fabric's own colours, by rows: what counts as unlike it. */
  readonly unlike: readonly number[];
}

/** How far around a place the fabric is taken as lit alike, in millimetres. Ours. */
const ALIKE = 2.5;
/** What is so much off its surroundings is no fabric, in standard deviations. Ours. */
const OFF = 2.5;

/**
 * Takes the light out of a field: each colour is held against the fabric's around it, threads left out.
 * @param paper light that the card's paper sends back in the middle of the sample
 */
export function flatten({ planes, scale }: Field, paper: Light): FlatField {
  const reach = Math.max(2, Math.round(ALIKE * scale));
  const { width, height } = planes[0];
  const rough = planes.map((one) => relative(one, maskedMean(one, undefined, reach)));
  const isFabric = fabricMask(rough, width, height);
  const means = planes.map((one) => maskedMean(one, isFabric, reach));
  const fabric = planes.map((_, part) => {
    const whole = means[part] as Plane;
    const mean = whole.data.reduce((sum, one) => sum + one, 0) / whole.data.length;
    return mean / (paper[part] ?? 1);
  }) as unknown as Light;
  const flat = planes.map((one, part) => {
    const even = relative(one, means[part] as Plane);
    const colour = fabric[part] ?? 0;
    for (let at = 0; at < even.data.length; at += 1) even.data[at] = colour * (even.data[at] ?? 0);
    return even;
  }) as unknown as FlatField['planes'];
  return { planes: flat, scale, fabric, unlike: inverse3(covariance(flat, fabric, isFabric)) };
}

function relative(one: Plane, mean: Plane): Plane {
  const even = plane(one.width, one.height);
  for (let at = 0; at < even.data.length; at += 1)
    even.data[at] = (one.data[at] ?? 0) / Math.max(1e-4, mean.data[at] ?? 0);
  return even;
}

/** One where a pixel is like the fabric around it in every colour. */
function fabricMask(relatives: readonly Plane[], width: number, height: number): Uint8Array {
  const mask = new Uint8Array(width * height).fill(1);
  for (const { data } of relatives) {
    // Robust: half of all pixels lie within .6745 standard deviations.
    const sorted = Float32Array.from(data.filter((_, at) => at % 23 === 0))
      .map((one) => Math.abs(one - 1))
      .sort();
    const sd = (sorted[sorted.length >> 1] ?? 0) / 0.6745 + 1e-6;
    for (let at = 0; at < mask.length; at += 1)
      if (Math.abs((data[at] ?? 1) - 1) > OFF * sd) mask[at] = 0;
  }
  return mask;
}

/** Light changes slowly: so many pixels each way are one. */
const BLOCK = 4;

/** Mean of the square around each place, of what the mask lets through; without a mask of everything. */
function maskedMean(of: Plane, mask: Uint8Array | undefined, reach: number): Plane {
  const [wide, tall] = [Math.ceil(of.width / BLOCK), Math.ceil(of.height / BLOCK)];
  const [sums, counts] = [plane(wide, tall), plane(wide, tall)];
  for (let y = 0; y < of.height; y += 1)
    for (let x = 0; x < of.width; x += 1) {
      const at = y * of.width + x;
      if (mask && mask[at] === 0) continue;
      const block = Math.floor(y / BLOCK) * wide + Math.floor(x / BLOCK);
      sums.data[block] = (sums.data[block] ?? 0) + (of.data[at] ?? 0);
      counts.data[block] = (counts.data[block] ?? 0) + 1;
    }
  const blocks = Math.max(1, Math.round(reach / BLOCK));
  const [sum, count] = [boxMean(sums, blocks), boxMean(counts, blocks)];
  const whole = plane(wide, tall);
  for (let at = 0; at < whole.data.length; at += 1) {
    const pixels = count.data[at] ?? 0;
    whole.data[at] = pixels > 0.01 ? (sum.data[at] ?? 0) / pixels : (whole.data[at - 1] ?? 0);
  }
  return widened(whole, of.width, of.height);
}

/** A plane of blocks as one of pixels, even between their middles. */
function widened({ width: wide, height: tall, data }: Plane, width: number, height: number): Plane {
  const pixels = plane(width, height);
  const inBlocks = (pixel: number, count: number) =>
    Math.min(count - 1.001, Math.max(0, (pixel + 0.5) / BLOCK - 0.5));
  const columns = Float64Array.from({ length: width }, (_, x) => inBlocks(x, wide));
  const between = new Float64Array(wide);
  for (let y = 0; y < height; y += 1) {
    const row = inBlocks(y, tall);
    const top = Math.floor(row);
    const below = row - top;
    for (let x = 0; x < wide; x += 1)
      between[x] =
        (1 - below) * (data[top * wide + x] ?? 0) + below * (data[(top + 1) * wide + x] ?? 0);
    for (let x = 0; x < width; x += 1) {
      const column = columns[x] ?? 0;
      const left = Math.floor(column);
      const part = column - left;
      pixels.data[y * width + x] =
        (1 - part) * (between[left] ?? 0) + part * (between[left + 1] ?? 0);
    }
  }
  return pixels;
}

function covariance(
  planes: FlatField['planes'],
  fabric: Light,
  mask: Uint8Array,
): readonly number[] {
  const sums = new Float64Array(9);
  let count = 0;
  for (let at = 0; at < mask.length; at += 1) {
    if (mask[at] === 0) continue;
    count += 1;
    for (let row = 0; row < 3; row += 1)
      for (let column = row; column < 3; column += 1) {
        const product =
          ((planes[row as 0].data[at] ?? 0) - (fabric[row] ?? 0)) *
          ((planes[column as 0].data[at] ?? 0) - (fabric[column] ?? 0));
        sums[3 * row + column] = (sums[3 * row + column] ?? 0) + product;
      }
  }
  const at = (row: number, column: number) =>
    (sums[3 * Math.min(row, column) + Math.max(row, column)] ?? 0) / Math.max(1, count);
  // A picture without noise has some of bytes.
  return [0, 1, 2].flatMap((row) =>
    [0, 1, 2].map((column) => at(row, column) + (row === column ? 1e-5 : 0)),
  );
}
