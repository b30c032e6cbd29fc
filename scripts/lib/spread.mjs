/**
 * Reads shares of what was measured.
 * @param {readonly number[]} measured
 * @param {number} [digits] after the point
 * @returns {(share: number) => number} the value that this share of all lies at or below: .5 is
 *   the median, 1 the greatest
 */
export function spreadOf(measured, digits = 0) {
  const sorted = measured.toSorted((a, b) => a - b);
  return (share) =>
    Number((sorted[Math.round(share * (sorted.length - 1))] ?? Number.NaN).toFixed(digits));
}
