/**
 * Solves as many equations as there are unknowns, by Gauss with the largest pivot of each column.
 * @param rows each ends in its right side; they are changed
 * @returns nothing where they do not say enough
 */
export function solved(rows: number[][]): readonly number[] | undefined {
  const count = rows.length;
  for (let column = 0; column < count; column += 1) {
    let pivot = column;
    for (let row = column + 1; row < count; row += 1)
      if (Math.abs(rows[row]?.[column] ?? 0) > Math.abs(rows[pivot]?.[column] ?? 0)) pivot = row;
    const chosen = rows[pivot] ?? [];
    rows[pivot] = rows[column] ?? [];
    rows[column] = chosen;
    const lead = chosen[column] ?? 0;
    if (!(Math.abs(lead) > 1e-12)) return undefined;
    for (let row = 0; row < count; row += 1) {
      const other = rows[row];
      if (row === column || !other) continue;
      const times = (other[column] ?? 0) / lead;
      if (times === 0) continue;
      for (let at = column; at <= count; at += 1)
        other[at] = (other[at] ?? 0) - times * (chosen[at] ?? 0);
    }
  }
  return rows.map((row, index) => (row[count] ?? 0) / (row[index] ?? 1));
}

/** What weights of each row's parts come nearest to its value, by least squares; nothing where the rows do not say enough. */
export function leastSquares(
  rows: readonly (readonly number[])[],
  values: readonly number[],
): readonly number[] | undefined {
  const count = rows[0]?.length ?? 0;
  const sums = Array.from({ length: count }, () => new Array<number>(count + 1).fill(0));
  for (const [index, row] of rows.entries())
    for (const [at, sum] of sums.entries()) {
      for (let other = 0; other < count; other += 1)
        sum[other] = (sum[other] ?? 0) + (row[at] ?? 0) * (row[other] ?? 0);
      sum[count] = (sum[count] ?? 0) + (row[at] ?? 0) * (values[index] ?? 0);
    }
  return solved(sums);
}

/** The inverse of a matrix of three by three, by rows. */
export function inverse3(matrix: readonly number[]): readonly number[] {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, i = 0] = matrix;
  const [A, B, C] = [e * i - f * h, f * g - d * i, d * h - e * g];
  const whole = a * A + b * B + c * C;
  return [
    A,
    c * h - b * i,
    b * f - c * e,
    B,
    a * i - c * g,
    c * d - a * f,
    C,
    b * g - a * h,
    a * e - b * d,
  ].map((part) => part / whole);
}
