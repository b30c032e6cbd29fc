import type { Branch, Prepared } from './evidence.ts';

/**
 * Renumbers the things to explain so that what few causes can explain comes last. Taken in
 * the order of their highest bit, most causes then come before the last bits exist, and each
 * bit that does not exist yet halves the work.
 */
export function rareBitsLast(prepared: Prepared): Prepared {
  const place = placesOf(prepared);
  const moved = (mask: number): number =>
    place.reduce((sum, to, bit) => (mask & (1 << bit) ? sum | (1 << to) : sum), 0);
  const bitLeaks = new Array<number>(place.length);
  prepared.bitLeaks.forEach((leak, bit) => {
    bitLeaks[place[bit] as number] = leak;
  });
  return {
    ...prepared,
    bitLeaks,
    required: moved(prepared.required),
    failedTrials: prepared.failedTrials.map(({ stillShown, blamed }) => ({
      stillShown: place[stillShown] as number,
      blamed: place[blamed] as number,
    })),
    branches: prepared.branches.map((own) =>
      own.map((branch) => ({
        ...branch,
        bits: branch.bits.map(({ bit, strength }) => ({ bit: place[bit] as number, strength })),
      })),
    ),
  };
}

/** Per bit, its new place: from the last place down, the bit that fewest causes still need. */
function placesOf({ bitLeaks, branches }: Prepared): readonly number[] {
  const place = new Array<number>(bitLeaks.length);
  let causes = branches.map(maskOf);
  let left = [...bitLeaks.keys()];
  for (let to = bitLeaks.length - 1; to >= 0; to -= 1) {
    const needing = (bit: number): number => causes.filter((mask) => mask & (1 << bit)).length;
    const rarest = left.reduce((best, bit) => (needing(bit) < needing(best) ? bit : best));
    place[rarest] = to;
    left = left.filter((bit) => bit !== rarest);
    causes = causes.filter((mask) => !(mask & (1 << rarest)));
  }
  return place;
}

function maskOf(own: readonly Branch[]): number {
  return own.reduce((mask, { bits }) => bits.reduce((sum, { bit }) => sum | (1 << bit), mask), 0);
}

/** How many bits must exist before a cause can be taken: 0 when it explains nothing shared. */
export function bitsNeeded(own: readonly Branch[]): number {
  return 32 - Math.clz32(maskOf(own));
}
