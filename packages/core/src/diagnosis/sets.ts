/**
 * Arrays over sets of explained things: the index is the set, one bit a thing; a row of
 * length 2^n knows the first n things.
 */

/**
 * Moves mass from each set without the bit to the same set with it, and weighs all of it.
 * Adding one to the set with the bit filled in, and taking the bit out again, gives the next
 * set without it. `from` and `into` may be the same.
 */
export function push(
  from: Float64Array,
  into: Float64Array,
  bit: number,
  strength: number,
  weight = 1,
): void {
  const step = 1 << bit;
  const keeps = weight * (1 - strength);
  const moves = weight * strength;
  for (let low = 0; low < from.length; low = (low + step + 1) & ~step) {
    const value = from[low] as number;
    into[low + step] = weight * (from[low + step] as number) + value * moves;
    into[low] = value * keeps;
  }
}

/** The transpose of {@link push}: what the mass ahead is worth, seen from before it. */
export function pull(from: Float64Array, into: Float64Array, bit: number, strength: number): void {
  const step = 1 << bit;
  const keeps = 1 - strength;
  for (let low = 0; low < from.length; low = (low + step + 1) & ~step) {
    const high = from[low + step] as number;
    into[low] = keeps * (from[low] as number) + strength * high;
    into[low + step] = high;
  }
}

/**
 * Brings the row to the length of `into`: each thing that is new is explained by its leak,
 * or not yet. `from` may be the beginning of `into`.
 * @param leaks of all things, by bit.
 */
export function extend(from: Float64Array, into: Float64Array, leaks: readonly number[]): void {
  into.set(from);
  for (let length = from.length; length < into.length; length *= 2) {
    const leak = leaks[Math.log2(length)] as number;
    for (let set = 0; set < length; set += 1) {
      const value = into[set] as number;
      into[length + set] = value * leak;
      into[set] = value * (1 - leak);
    }
  }
}

/** The transpose of {@link extend}, in place: only the beginning of the row counts after it. */
export function contract(row: Float64Array, toLength: number, leaks: readonly number[]): void {
  for (let length = row.length / 2; length >= toLength; length /= 2) {
    const leak = leaks[Math.log2(length)] as number;
    for (let set = 0; set < length; set += 1) {
      row[set] = (1 - leak) * (row[set] as number) + leak * (row[length + set] as number);
    }
  }
}

/** Adds a weighed row to another. */
export function addTo(into: Float64Array, mass: Float64Array, weight: number): void {
  for (let set = 0; set < into.length; set += 1) {
    into[set] = (into[set] as number) + weight * (mass[set] as number);
  }
}
