import type { Homography } from './homography.ts';
import { LIGHT_OF_BYTE, type Picture, type Plane, plane } from './picture.ts';

/** A piece of the sample as it lies flat, in light of three colours; the pixel (0, 0) has its middle at the origin. */
export interface Field {
  readonly planes: readonly [Plane, Plane, Plane];
  /** Pixels a millimetre. */
  readonly scale: number;
}

export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/**
 * A piece of a picture laid flat.
 * @param view from millimetres to places in the picture, whose pixels have their middles at whole numbers
 * @param pixels how many pixels of the picture go to one of the field: as many squared are averaged
 */
export function fieldOf(
  picture: Picture,
  view: Homography,
  box: Box,
  scale: number,
  pixels: number,
): Field {
  const width = Math.floor((box.right - box.left) * scale);
  const height = Math.floor((box.bottom - box.top) * scale);
  const planes = [plane(width, height), plane(width, height), plane(width, height)] as const;
  const tries = Math.max(1, Math.round(pixels));
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, i = 1] = view;
  for (let y = 0; y < height; y += 1)
    for (let dy = 0; dy < tries; dy += 1) {
      const inY = box.top + (y + (dy + 0.5) / tries - 0.5) / scale;
      const baseX = b * inY + c;
      const baseY = e * inY + f;
      const baseW = h * inY + i;
      for (let x = 0; x < width; x += 1)
        for (let dx = 0; dx < tries; dx += 1) {
          const inX = box.left + (x + (dx + 0.5) / tries - 0.5) / scale;
          const w = g * inX + baseW;
          addLight(picture, (a * inX + baseX) / w, (d * inX + baseY) / w, planes, y * width + x);
        }
    }
  for (const { data } of planes)
    for (let at = 0; at < data.length; at += 1) data[at] = (data[at] ?? 0) / (tries * tries);
  return { planes, scale };
}

/** Adds the light between four pixels; beyond the edge, that of the edge. */
function addLight(
  { width, height, data }: Picture,
  x: number,
  y: number,
  planes: Field['planes'],
  to: number,
): void {
  const inX = Math.min(width - 1.001, Math.max(0, x));
  const inY = Math.min(height - 1.001, Math.max(0, y));
  const left = Math.floor(inX);
  const top = Math.floor(inY);
  const right = inX - left;
  const below = inY - top;
  const at = 4 * (top * width + left);
  const next = at + 4 * width;
  for (let colour = 0; colour < 3; colour += 1) {
    const upper =
      (1 - right) * (LIGHT_OF_BYTE[data[at + colour] ?? 0] ?? 0) +
      right * (LIGHT_OF_BYTE[data[at + colour + 4] ?? 0] ?? 0);
    const lower =
      (1 - right) * (LIGHT_OF_BYTE[data[next + colour] ?? 0] ?? 0) +
      right * (LIGHT_OF_BYTE[data[next + colour + 4] ?? 0] ?? 0);
    const sums = planes[colour as 0].data;
    sums[to] = (sums[to] ?? 0) + (1 - below) * upper + below * lower;
  }
}
