import { CoreError } from '../errors/coreError.ts';

/** A picture as a camera or a file gives it: four bytes a pixel (red, green, blue, unused), row by row from the top. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array | Uint8ClampedArray;
}

/** One number a pixel, row by row from the top. */
export interface Plane {
  readonly width: number;
  readonly height: number;
  readonly data: Float32Array;
}

/** Light of red, green and blue; 0 is none, 1 the most that the picture can hold. */
export type Light = readonly [red: number, green: number, blue: number];

/** Light by the byte that stands for it. Source: IEC 61966-2-1 (sRGB). */
export const LIGHT_OF_BYTE: Float32Array = Float32Array.from({ length: 256 }, (_, byte) => {
  const part = byte / 255;
  return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
});

/** The byte that stands for light. Source: IEC 61966-2-1. */
export function byteOfLight(light: number): number {
  const part = Math.min(1, Math.max(0, light));
  const shown = part <= 0.0031308 ? 12.92 * part : 1.055 * part ** (1 / 2.4) - 0.055;
  return Math.round(255 * shown);
}

/** @throws CoreFault `not-a-picture` where the bytes do not fill its width and height. */
export function assertPicture({ width, height, data }: Picture): void {
  const whole = Number.isInteger(width) && Number.isInteger(height) && width > 0 && height > 0;
  if (!whole || data.length !== 4 * width * height)
    throw new CoreError('not-a-picture', { width, height, bytes: data.length });
}

export function plane(width: number, height: number): Plane {
  return { width, height, data: new Float32Array(width * height) };
}

/** How bright a picture is, in fewer pixels: each is the mean of some in a square of `times`. As bytes, not as light. */
export function smallerGrey({ width, height, data }: Picture, times: number): Plane {
  const small = plane(Math.floor(width / times), Math.floor(height / times));
  // A row and a column of a large square say enough.
  const step = Math.max(1, Math.floor(times / 2));
  for (let y = 0; y < small.height; y += 1)
    for (let x = 0; x < small.width; x += 1) {
      let sum = 0;
      let count = 0;
      for (let dy = 0; dy < times; dy += step)
        for (let dx = 0; dx < times; dx += step) {
          const at = 4 * ((y * times + dy) * width + x * times + dx);
          sum += 3 * (data[at] ?? 0) + 6 * (data[at + 1] ?? 0) + (data[at + 2] ?? 0);
          count += 10;
        }
      small.data[y * small.width + x] = sum / count;
    }
  return small;
}

/** Sums of everything above and to the left, one wider and higher than the plane. */
function sumsOf({ width, height, data }: Plane): Float64Array {
  const wide = width + 1;
  const sums = new Float64Array(wide * (height + 1));
  for (let y = 0; y < height; y += 1) {
    let row = 0;
    for (let x = 0; x < width; x += 1) {
      row += data[y * width + x] ?? 0;
      sums[(y + 1) * wide + x + 1] = (sums[y * wide + x + 1] ?? 0) + row;
    }
  }
  return sums;
}

/** Mean of the square around each pixel, cut at the edges. */
export function boxMean(of: Plane, reach: number): Plane {
  const { width, height } = of;
  const sums = sumsOf(of);
  const wide = width + 1;
  const mean = plane(width, height);
  for (let y = 0; y < height; y += 1) {
    const [top, bottom] = [Math.max(0, y - reach), Math.min(height, y + reach + 1)];
    for (let x = 0; x < width; x += 1) {
      const [left, right] = [Math.max(0, x - reach), Math.min(width, x + reach + 1)];
      const sum =
        (sums[bottom * wide + right] ?? 0) -
        (sums[top * wide + right] ?? 0) -
        (sums[bottom * wide + left] ?? 0) +
        (sums[top * wide + left] ?? 0);
      mean.data[y * width + x] = sum / ((bottom - top) * (right - left));
    }
  }
  return mean;
}

/** The value between four pixels; beyond the edge, that of the edge. */
export function valueAt({ width, height, data }: Plane, x: number, y: number): number {
  const [inX, inY] = [
    Math.min(width - 1.001, Math.max(0, x)),
    Math.min(height - 1.001, Math.max(0, y)),
  ];
  const [left, top] = [Math.floor(inX), Math.floor(inY)];
  const [right, below] = [inX - left, inY - top];
  const at = top * width + left;
  return (
    (1 - below) * ((1 - right) * (data[at] ?? 0) + right * (data[at + 1] ?? 0)) +
    below * ((1 - right) * (data[at + width] ?? 0) + right * (data[at + width + 1] ?? 0))
  );
}

/** A weighed sum of red, green and blue, pixel by pixel. */
export function weighed(
  [red, green, blue]: readonly [Plane, Plane, Plane],
  [r = 0, g = 0, b = 0]: readonly number[],
): Float32Array {
  const sums = new Float32Array(red.data.length);
  for (let at = 0; at < sums.length; at += 1)
    sums[at] = r * (red.data[at] ?? 0) + g * (green.data[at] ?? 0) + b * (blue.data[at] ?? 0);
  return sums;
}
