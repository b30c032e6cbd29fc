import { TREATMENT_SUCCESS } from './evidence.ts';
import { dot } from './masses.ts';
import type { Outcome } from './outcomes.ts';
import { expectedRepairMinutes, repairOrder } from './repairCost.ts';
import { productPerState, type States } from './states.ts';

/** What the planner weighs checks against. */
export interface Stakes {
  /** Per cause, in the network's order: fix, opening and closing for it, and the sew-out after. */
  readonly repairMinutes: readonly number[];
  /** Per cause: chance that, present, it shows none of the reported complaints. */
  readonly quiet: readonly number[];
  /** From this chance on a cause counts as found and is put right. */
  readonly sureEnough: number;
  /** What a machine that comes back with its complaint costs. */
  readonly comebackMinutes: number;
}

/** Ours, no source: with 1 000 draws the worth of checks is then as true as with 2 000 without. */
const OLD_DRAWS = 40;

/** What is left to pay when nothing more is looked at. */
export interface Left {
  /** Expected minutes of repairing without another look. */
  readonly repairMinutes: number;
  /**
   * Comeback risk after everything that is sure enough was put right, which takes with the
   * chance of {@link TREATMENT_SUCCESS}. Leaks left out, they are not the machine's.
   */
  readonly risk: number;
}

/**
 * What is still to be paid in the states as an outcome leaves them (as weighed by masses).
 * Keeps what many outcomes share.
 */
export class Worth {
  private readonly silentByFound = new Map<string, Float64Array>();
  private readonly orderBefore: Uint16Array;

  constructor(
    private readonly states: States,
    private readonly stakes: Stakes,
    /** Nothing asked yet. */
    private readonly before: Outcome,
  ) {
    this.orderBefore = repairOrder(before.present, before.chance, stakes.repairMinutes);
  }

  /** What is still to be paid, in minutes and in comeback risk. */
  left({ chance: total, masses, present }: Outcome): Left {
    const { states, stakes } = this;
    const order = this.repairOrder({ chance: total, present });
    const found: number[] = [];
    for (let index = 0; index < order.length; index += 1) {
      const cause = order[index] as number;
      if ((present[cause] as number) >= stakes.sureEnough * total) found.push(cause);
    }
    const silent = dot(masses, this.silentOnceRepaired(found)) / total;
    return {
      repairMinutes: expectedRepairMinutes(states, masses, stakes.repairMinutes, order),
      risk: Math.min(1, Math.max(0, 1 - silent)),
    };
  }

  /**
   * In which order to repair. Few draws would order what hardly ever happens by chance and look
   * wiser than they are, so what was known before counts as {@link OLD_DRAWS} draws more.
   */
  private repairOrder({ chance, present }: Pick<Outcome, 'chance' | 'present'>): Uint16Array {
    const { before, orderBefore, stakes } = this;
    const old = OLD_DRAWS * this.states.grain;
    const steadied = new Float64Array(present.length);
    for (let cause = 0; cause < steadied.length; cause += 1) {
      steadied[cause] = (present[cause] as number) + old * (before.present[cause] as number);
    }
    const total = chance + old * before.chance;
    return repairOrder(steadied, total, stakes.repairMinutes, orderBefore);
  }

  /** Per state, the chance that no complaint shows once these causes were put right. */
  private silentOnceRepaired(found: readonly number[]): Float64Array {
    const key = found.toSorted((a, b) => a - b).join();
    const known = this.silentByFound.get(key);
    if (known) return known;
    const silent = silentOnceRepaired(this.states, this.stakes.quiet, found);
    this.silentByFound.set(key, silent);
    return silent;
  }
}

/**
 * Per state, the chance that no complaint shows once these causes were put right, which takes
 * with the chance of {@link TREATMENT_SUCCESS}.
 * @param quiet per cause: chance that, present, it shows none of the complaints.
 * @param repaired indexes of the causes.
 */
export function silentOnceRepaired(
  states: States,
  quiet: readonly number[],
  repaired: readonly number[],
): Float64Array {
  const right = new Set(repaired);
  const factors = quiet.map((own, cause) =>
    right.has(cause) ? TREATMENT_SUCCESS + (1 - TREATMENT_SUCCESS) * own : own,
  );
  return productPerState(states, factors);
}
