/** In which order the things to explain come into being. */
export interface BitOrder {
  /** Per bit, its place. */
  readonly position: readonly number[];
  /** Per cause, how many bits must exist before it can be taken; nothing for one that explains none. */
  readonly needed: readonly number[];
}

/**
 * Numbers the things to explain so that what few causes can explain comes last. Taken in the order of
 * their highest bit, most causes then come before the last bits exist, and each bit that does not exist
 * yet halves the work.
 * @param explainedBy per bit, the causes that can explain it.
 */
export function rareBitsLast(count: number, explainedBy: readonly (readonly number[])[]): BitOrder {
  const position: number[] = [];
  const needed: number[] = [];
  const left = new Set(Array.from({ length: count }, (_, bit) => bit));
  for (let to = count - 1; to >= 0; to -= 1) {
    let rarest = -1;
    let fewest = Number.POSITIVE_INFINITY;
    for (const bit of left) {
      let causes = 0;
      // Those that a later bit holds back wait for that one in any case.
      for (const cause of explainedBy[bit] ?? []) if (needed[cause] === undefined) causes += 1;
      if (causes >= fewest) continue;
      fewest = causes;
      rarest = bit;
    }
    position[rarest] = to;
    left.delete(rarest);
    for (const cause of explainedBy[rarest] ?? []) needed[cause] ??= to + 1;
  }
  return { position, needed };
}
