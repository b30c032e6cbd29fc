export function sum(values: Float64Array): number {
  let total = 0;
  // By index: in the inner loop of the planner, several times as quick as an iterator.
  for (let index = 0; index < values.length; index += 1) total += values[index] as number;
  return total;
}

export function dot(a: Float64Array, b: Float64Array): number {
  let total = 0;
  for (let index = 0; index < a.length; index += 1) {
    total += (a[index] as number) * (b[index] as number);
  }
  return total;
}
