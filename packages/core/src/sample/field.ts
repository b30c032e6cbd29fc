import type { Point } from '../linkage/aroundDisc.ts';
import { LIGHT_OF_BYTE, type Picture, type Plane, plane } from './picture.ts';

/** A piece of the sample as it lies flat, in light of three colours; the pixel (0, 0) has its middle at the origin. */
export interface Field {
  readonly planes: readonly [Plane, Plane, Plane];
  /** Pixels a millimetre. */
  readonly scale: number;
}

/**
 * A piece of a picture laid flat.
 * @param toPicture from millimetres to places in the picture, whose pixels have their middles at whole numbers
 * @param pixels how many pixels of the picture go to one of the field: as many squared are averaged
 */
export function fieldOf(
  picture: Picture,
  toPicture: (at: Point) => Point,
  box: {
    readonly left: number;
    readonly top: number;
    readonly right: number;
    readonly bottom: number;
  },
  scale: number,
  pixels: number,
): Field {
  const width = Math.floor((box.right - box.left) * scale);
  const height = Math.floor((box.bottom - box.top) * scale);
  const planes = [plane(width, height), plane(width, height), plane(width, height)] as const;
  const tries = Math.max(1, Math.round(pixels));
  const light = new Float32Array(3);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      light.fill(0);
      for (let dy = 0; dy < tries; dy += 1)
        for (let dx = 0; dx < tries; dx += 1) {
          const [inX, inY] = [(dx + 0.5) / tries - 0.5, (dy + 0.5) / tries - 0.5];
          addLight(
            picture,
            toPicture({ x: box.left + (x + inX) / scale, y: box.top + (y + inY) / scale }),
            light,
          );
        }
      const at = y * width + x;
      for (let colour = 0; colour < 3; colour += 1)
        (planes[colour] as Plane).data[at] = (light[colour] ?? 0) / (tries * tries);
    }
  return { planes, scale };
}

/** Adds the light between four pixels; beyond the edge, that of the edge. */
function addLight({ width, height, data }: Picture, { x, y }: Point, sum: Float32Array): void {
  const [inX, inY] = [
    Math.min(width - 1.001, Math.max(0, x)),
    Math.min(height - 1.001, Math.max(0, y)),
  ];
  const [left, top] = [Math.floor(inX), Math.floor(inY)];
  const [right, below] = [inX - left, inY - top];
  const at = 4 * (top * width + left);
  const next = at + 4 * width;
  for (let colour = 0; colour < 3; colour += 1) {
    const upper =
      (1 - right) * (LIGHT_OF_BYTE[data[at + colour] ?? 0] ?? 0) +
      right * (LIGHT_OF_BYTE[data[at + colour + 4] ?? 0] ?? 0);
    const lower =
      (1 - right) * (LIGHT_OF_BYTE[data[next + colour] ?? 0] ?? 0) +
      right * (LIGHT_OF_BYTE[data[next + colour + 4] ?? 0] ?? 0);
    sum[colour] = (sum[colour] ?? 0) + (1 - below) * upper + below * lower;
  }
}
