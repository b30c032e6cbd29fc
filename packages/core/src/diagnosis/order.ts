import type { Branch, Prepared, Trigger } from './branches.ts';

/**
 * Renumbers the things to explain so that what few causes can explain comes last. Taken in
 * the order of their highest bit, most causes then come before the last bits exist, and each
 * bit that does not exist yet halves the work.
 */
export function rareBitsLast(prepared: Prepared): Prepared {
  const position = positionsOf(prepared);
  const bitLeaks = new Array<number>(position.length);
  prepared.bitLeaks.forEach((leak, bit) => {
    bitLeaks[position[bit] as number] = leak;
  });
  const moved = <Own extends Trigger>(trigger: Own): Own => ({
    ...trigger,
    bits: trigger.bits.map(({ bit, chance }) => ({ bit: position[bit] as number, chance })),
  });
  return {
    ...prepared,
    bitLeaks,
    branches: prepared.branches.map((own) =>
      own.map((branch) => ({
        ...branch,
        triggers: branch.triggers.map(moved),
        blamed: branch.blamed.map(moved),
      })),
    ),
  };
}

/** Per bit, its new position: from the last one down, the bit that fewest causes still need. */
function positionsOf({ bitLeaks, branches }: Prepared): readonly number[] {
  const position = new Array<number>(bitLeaks.length);
  let causes = branches.map(maskOf);
  let left = [...bitLeaks.keys()];
  for (let to = bitLeaks.length - 1; to >= 0; to -= 1) {
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
