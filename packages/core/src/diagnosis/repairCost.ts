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
  const { statesWith } = states;
  const until = new Float64Array(order.length);
  let spent = 0;
  order.forEach((cause, place) => {
    spent += minutes[cause] as number;
    until[place] = spent;
  });
  // From the last repair back: a state is put right with the last of its causes.
  const counted = new Uint8Array(masses.length);
  let expected = 0;
  for (let place = order.length - 1; place >= 0; place -= 1) {
    const having = statesWith.get(order[place] as number);
    if (!having) continue;
    let mass = 0;
    for (let at = 0; at < having.length; at += 1) {
      const state = having[at] as number;
      if (counted[state] === 1) continue;
      counted[state] = 1;
      mass += masses[state] as number;
    }
    expected += mass * (until[place] as number);
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
