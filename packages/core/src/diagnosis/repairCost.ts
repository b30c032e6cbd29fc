import { sum } from './masses.ts';
import type { States } from './states.ts';

/**
 * Expected minutes of putting the machine right by repairing in a fixed order, with a sew-out
 * after each, until nothing that is wrong is left:
 * sum over the order of k_i x P(not every present cause is among those before i).
 * @param masses mass per state; the answer is for the states as weighed by them.
 * @param minutes k per cause: fix, opening and closing for it, and the sew-out after it.
 * @param order places of causes; one that is left out is never repaired and counts nothing.
 */
export function expectedRepairMinutes(
  states: States,
  masses: Float64Array,
  minutes: readonly number[],
  order: readonly number[],
): number {
  const { causes, starts } = states;
  /** Minutes until this cause is put right, 0 for what is never repaired. */
  const until = new Float64Array(minutes.length);
  let spent = 0;
  for (const cause of order) {
    spent += minutes[cause] as number;
    until[cause] = spent;
  }
  let expected = 0;
  for (let state = 0; state < masses.length; state += 1) {
    const mass = masses[state] as number;
    if (mass === 0) continue;
    const end = starts[state + 1] as number;
    let last = 0;
    for (let at = starts[state] as number; at < end; at += 1) {
      const done = until[causes[at] as number] as number;
      if (done > last) last = done;
    }
    expected += mass * last;
  }
  return expected / sum(masses);
}

/**
 * In which order to repair, by p / ((1 - p) k), greatest first: right for independent faults
 * with a sew-out after each repair (adjacent interchange), a good rule for dependent ones.
 * Causes that no state has are left out.
 * @param present per cause, the mass of the states in which it is present.
 * @param total mass of all states.
 */
export function repairOrder(
  present: Float64Array,
  total: number,
  minutes: readonly number[],
): readonly number[] {
  const index = new Float64Array(present.length);
  const order: number[] = [];
  for (let cause = 0; cause < present.length; cause += 1) {
    const mass = present[cause] as number;
    if (mass <= 0) continue;
    const odds = mass >= total ? Number.POSITIVE_INFINITY : mass / (total - mass);
    index[cause] = odds / (minutes[cause] ?? 1);
    order.push(cause);
  }
  return order.sort((a, b) => (index[b] as number) - (index[a] as number));
}
