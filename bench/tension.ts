import { spreadOf } from '../scripts/lib/spread.mjs';
import { assertFrozen, type BenchMachine, benchMachine } from './tension/machines.ts';
import { follow, METHODS, type Method, type Went } from './tension/methods.ts';

/** Machines that nobody tuned anything on. */
const SEEDS = { first: 1, count: 3000 } as const;
/** At how many places along the seam each sample is read. */
const PLACES = [3, 1] as const;

export const tensionBenches = PLACES.flatMap((places) =>
  METHODS.map((method) => ({
    name: `tension/${method.name}/read-at-${places}`,
    run: () => judged(places, method),
  })),
);

function judged(places: number, method: Method) {
  assertFrozen();
  const all = Array.from({ length: SEEDS.count }, (_, index) => {
    const machine = benchMachine(SEEDS.first + index);
    return { machine, went: follow(machine, places, method) };
  });
  const tension = all.filter(({ machine }) => isTension(machine)).map(({ went }) => went);
  const other = all.filter(({ machine }) => !isTension(machine)).map(({ went }) => went);
  return {
    machines: tension.length,
    // The first try with a truly balanced setting; never is more than any.
    medianTries: spreadOf(
      tension.map(({ first }) => first ?? 99),
      0,
    )(0.5),
    within3: share(tension, ({ first }) => (first ?? 99) <= 3),
    within5: share(tension, ({ first }) => (first ?? 99) <= 5),
    // Stricter: the method itself ended, and truly balanced.
    medianTriesToEnd: spreadOf(
      tension.map(({ tries }) => tries),
      0,
    )(0.5),
    endedRightWithin5: share(
      tension,
      ({ said, balanced, tries }) => said === 'balanced' && balanced && tries <= 5,
    ),
    endedRight: share(tension, ({ said, balanced }) => said === 'balanced' && balanced),
    saidNotTension: share(tension, isNotTension),
    others: other.length,
    othersSaidNotTension: share(other, isNotTension),
    othersSaidBalanced: share(other, ({ said }) => said === 'balanced'),
  };
}

function isTension({ kind }: BenchMachine): boolean {
  return kind === 'dial' || kind === 'screw';
}

function isNotTension({ said }: Went): boolean {
  return said === 'stop';
}

function share(all: readonly Went[], is: (went: Went) => boolean): number {
  return Number((all.filter(is).length / all.length).toFixed(3));
}
