import { sum } from './masses.ts';
import { type States, statesHaving } from './states.ts';

/**
 * Expected minutes of putting the machine right by repairing in a fixed order, with a sew-out
 * after each, until nothing that is wrong is left:
 * sum over the order of k_i x P(not every present cause is among those before i).
 * @param masses mass per state; the answer is for the states as weighed by them.
 * @param minutes k per cause: fix, opening and closing for it, and the sew-out after it.
 * @param order indexes of causes; one that is left out is never repaired and counts nothing.
 */
export function expectedRepairMinutes(
  states: States,
  masses: Float64Array,
  minutes: readonly number[],
  order: ArrayLike<number>,
): number {
  const until = new Float64Array(order.length);
  let spent = 0;
  for (let index = 0; index < order.length; index += 1) {
    spent += minutes[order[index] as number] as number;
    until[index] = spent;
  }
  // From the last repair back: a state is put right with the last of its causes.
  const counted = new Uint8Array(masses.length);
  let expected = 0;
  for (let index = order.length - 1; index >= 0; index -= 1) {
    const having = statesHaving(states, order[index] as number);
    let mass = 0;
    for (let at = 0; at < having.length; at += 1) {
      const state = having[at] as number;
      if (counted[state] === 1) continue;
      counted[state] = 1;
      mass += masses[state] as number;
    }
    expected += mass * (until[index] as number);
  }
  return expected / sum(masses);
}

/**
 * In which order to repair, by p / ((1 - p) k), greatest first: right for independent faults
 * with a sew-out after each repair (adjacent interchange), a good rule for dependent ones.
 * Causes that no state has are left out.
 * @param present per cause, the mass of the states in which it is present.
 * @param total mass of all states.
 * @param from an order to start from, over all causes that have mass: the nearer to the
 *   right one, the sooner it is found. Equal ones keep its order.
 */
export function repairOrder(
  present: Float64Array,
  total: number,
  minutes: readonly number[],
  from: ArrayLike<number> = indexesWithMass(present),
): Uint16Array {
  const order = Uint16Array.from(from);
  const index = new Float64Array(order.length);
  // By insertion: the inner loop of the planner orders nearly the same again and again.
  for (let position = 0; position < order.length; position += 1) {
    const cause = order[position] as number;
    const mass = present[cause] as number;
    const odds = mass >= total ? Number.POSITIVE_INFINITY : mass / (total - mass);
    const here = odds / (minutes[cause] ?? 1);
    let at = position;
    while (at > 0 && (index[at - 1] as number) < here) {
      index[at] = index[at - 1] as number;
      order[at] = order[at - 1] as number;
      at -= 1;
    }
    index[at] = here;
    order[at] = cause;
  }
  return order;
}

function indexesWithMass(present: Float64Array): readonly number[] {
  return [...present.keys()].filter((cause) => (present[cause] as number) > 0);
}
