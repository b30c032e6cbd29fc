/**
 * A bell cut off at either side, its middle one.
 * @param sigma standard deviation, in samples
 * @param reach samples to either side
 */
export function bellKernel(sigma: number, reach: number): Float64Array {
  return Float64Array.from({ length: 2 * reach + 1 }, (_, at) =>
    Math.exp(-((at - reach) ** 2) / (2 * sigma * sigma)),
  );
}
