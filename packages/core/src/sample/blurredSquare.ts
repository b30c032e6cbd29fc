import { bellKernel } from './bell.ts';

/**
 * A square of numbers, blurred by a bell; beyond the edge it goes on as at the edge.
 * @param sigma in pixels
 */
export function blurredSquare(from: Float64Array, size: number, sigma: number): Float64Array {
  if (sigma < 0.2) return from;
  const reach = Math.ceil(2.6 * sigma);
  const kernel = bellKernel(sigma, reach);
  const whole = kernel.reduce((sum, one) => sum + one, 0);
  // A line with what lies beyond its ends.
  const line = new Float64Array(size + 2 * reach);
  const along = new Float64Array(from.length);
  const down = new Float64Array(from.length);
  const pass = (of: Float64Array, to: Float64Array, step: number, next: number) => {
    for (let row = 0; row < size; row += 1) {
      for (let at = 0; at < line.length; at += 1) {
        const place = Math.min(size - 1, Math.max(0, at - reach));
        line[at] = of[row * next + place * step] ?? 0;
      }
      for (let at = 0; at < size; at += 1) {
        let sum = 0;
        for (let index = 0; index <= 2 * reach; index += 1)
          sum += (kernel[index] ?? 0) * (line[at + index] ?? 0);
        to[row * next + at * step] = sum / whole;
      }
    }
  };
  pass(from, along, 1, size);
  pass(along, down, size, 1);
  return down;
}
