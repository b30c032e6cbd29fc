import type { BitChance, Trigger } from './branches.ts';

/**
 * Arrays over sets of explained things: the index is the set, one bit a thing; a row of
 * length 2^n knows the first n things.
 */

/**
 * Takes a trigger that can explain one thing: from each set without the bit, `keeps` stays and `moves`
 * goes to the same set with it; a set that has it gets both. Adding one to the set with the bit filled
 * in, and taking the bit out again, gives the next set without it. `from` and `into` may be the same.
 */
function push(
  from: Float64Array,
  into: Float64Array,
  bit: number,
  keeps: number,
  moves: number,
): void {
  const step = 1 << bit;
  const stays = keeps + moves;
  for (let low = 0; low < from.length; low = (low + step + 1) & ~step) {
    const value = from[low] as number;
    into[low + step] = stays * (from[low + step] as number) + value * moves;
    into[low] = value * keeps;
  }
}

/** The transpose of {@link push}: what the mass ahead is worth, seen from before it. */
function pull(
  from: Float64Array,
  into: Float64Array,
  bit: number,
  keeps: number,
  moves: number,
): void {
  const step = 1 << bit;
  const stays = keeps + moves;
  for (let low = 0; low < from.length; low = (low + step + 1) & ~step) {
    const high = from[low + step] as number;
    into[low] = keeps * (from[low] as number) + moves * high;
    into[low + step] = stays * high;
  }
}

/**
 * Takes a trigger into the mass over sets, weighed.
 * @param spare a row for triggers that can explain several things together.
 */
export function pushTrigger(
  trigger: Trigger,
  from: Float64Array,
  into: Float64Array,
  spare: Float64Array,
  weight = 1,
): void {
  const { quiet, active, bits } = trigger;
  const [only] = bits;
  if (only === undefined) {
    scale(from, into, weight * (quiet + active));
  } else if (bits.length === 1) {
    const moves = active * only.chance;
    push(from, into, only.bit, weight * keptMass(trigger, only.chance), weight * moves);
  } else {
    const moved = spare.subarray(0, from.length);
    scale(from, moved, weight * active);
    for (const { bit, chance } of bits) push(moved, moved, bit, 1 - chance, chance);
    scale(from, into, weight * quiet);
    addTo(into, moved, 1);
  }
}

/** The transpose of {@link pushTrigger}. */
export function pullTrigger(
  trigger: Trigger,
  from: Float64Array,
  into: Float64Array,
  spare: Float64Array,
): void {
  const { quiet, active, bits } = trigger;
  const [only] = bits;
  if (only === undefined) {
    scale(from, into, quiet + active);
  } else if (bits.length === 1) {
    const moves = active * only.chance;
    pull(from, into, only.bit, keptMass(trigger, only.chance), moves);
  } else {
    const pulled = pulledActive(bits, from, spare);
    for (let set = 0; set < from.length; set += 1) {
      into[set] = quiet * (from[set] as number) + active * (pulled[set] as number);
    }
  }
}

/** What of a trigger with one bit leaves it as it was: it stayed quiet, or it was active and did not show. */
function keptMass({ quiet, active }: Trigger, chance: number): number {
  return quiet + active * (1 - chance);
}

/** The mass of an active trigger between what came before it and what is ahead. */
export function activeMass(
  { active, bits }: Trigger,
  before: Float64Array,
  ahead: Float64Array,
  spare: Float64Array,
): number {
  const [only] = bits;
  let mass = 0;
  if (only === undefined) {
    for (let set = 0; set < before.length; set += 1) {
      mass += (before[set] as number) * (ahead[set] as number);
    }
  } else if (bits.length === 1) {
    const { bit, chance } = only;
    const step = 1 << bit;
    for (let low = 0; low < before.length; low = (low + step + 1) & ~step) {
      const high = ahead[low + step] as number;
      const value = before[low] as number;
      mass += (before[low + step] as number) * high + value * chance * high;
      mass += value * (1 - chance) * (ahead[low] as number);
    }
  } else {
    const pulled = pulledActive(bits, ahead, spare);
    for (let set = 0; set < before.length; set += 1) {
      mass += (before[set] as number) * (pulled[set] as number);
    }
  }
  return active * mass;
}

function pulledActive(
  bits: readonly BitChance[],
  from: Float64Array,
  spare: Float64Array,
): Float64Array {
  const pulled = spare.subarray(0, from.length);
  pulled.set(from);
  for (const { bit, chance } of bits) pull(pulled, pulled, bit, 1 - chance, chance);
  return pulled;
}

/** Writes the row times a factor. */
function scale(from: Float64Array, into: Float64Array, factor: number): void {
  for (let set = 0; set < from.length; set += 1) into[set] = factor * (from[set] as number);
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
