import type { Branch, Prepared, Trigger } from './branches.ts';

/**
 * Renumbers the things to explain so that what few causes can explain comes last. Taken in
 * the order of their highest bit, most causes then come before the last bits exist, and each
 * bit that does not exist yet halves the work. In place: nobody else has these branches yet.
 */
export function rareBitsLast({ bitLeaks, branches, ...rest }: Prepared): Prepared {
  const position = positionsOf(bitLeaks.length, branches.map(maskOf));
  const leaks = new Array<number>(position.length);
  bitLeaks.forEach((leak, bit) => {
    leaks[position[bit] as number] = leak;
  });
  const renumber = ({ bits }: Trigger): void => {
    for (const one of bits) one.bit = position[one.bit] as number;
  };
  for (const own of branches) {
    for (const { triggers, blamed } of own) {
      triggers.forEach(renumber);
      blamed.forEach(renumber);
    }
  }
  return { ...rest, bitLeaks: leaks, branches };
}

/** Per bit, its new position: from the last one down, the bit that fewest causes still need. */
function positionsOf(count: number, masks: readonly number[]): readonly number[] {
  const position = new Array<number>(count);
  let causes = masks.filter((mask) => mask !== 0);
  let left = [...position.keys()];
  for (let to = count - 1; to >= 0; to -= 1) {
    const needing = (bit: number): number => causes.filter((mask) => mask & (1 << bit)).length;
    const rarest = left.reduce((best, bit) => (needing(bit) < needing(best) ? bit : best));
    position[rarest] = to;
    left = left.filter((bit) => bit !== rarest);
    causes = causes.filter((mask) => !(mask & (1 << rarest)));
  }
  return position;
}

function maskOf(own: readonly Branch[]): number {
  let mask = 0;
  for (const { triggers, blamed } of own) {
    for (const { bits } of triggers) for (const { bit } of bits) mask |= 1 << bit;
    for (const { bits } of blamed) for (const { bit } of bits) mask |= 1 << bit;
  }
  return mask;
}

/** How many bits must exist before a cause can be taken: 0 when it explains nothing shared. */
export function bitsNeeded(own: readonly Branch[]): number {
  return 32 - Math.clz32(maskOf(own));
}
