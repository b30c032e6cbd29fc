import { seeded } from '../chance/seeded.ts';
import type { Branch } from './evidence.ts';
import { type CauseLayout, isNow, type PosteriorEngine } from './posteriorEngine.ts';

/** What may be wrong with the machine now: whole states, each with its chance. */
export interface States {
  /** Places of the causes that are present, state after state. */
  readonly causes: Uint16Array;
  /** Per state, where its causes begin; one more at the end. */
  readonly starts: Uint32Array;
  /** Per state, its chance. They add up to 1. */
  readonly chances: Float64Array;
  /** By the index of a cause, the states in which it is present; see {@link statesHaving}. */
  readonly statesWith: readonly Uint32Array[];
  /** The chance that one draw stands for; 0 when the states are all there are. */
  readonly grain: number;
}

/**
 * @param present per state, the indexes of the causes that are present.
 * @param grain the chance that one draw stands for; 0 when the states are all there are.
 */
export function statesOf(
  present: readonly (readonly number[])[],
  chances: readonly number[],
  grain = 0,
): States {
  const starts = new Uint32Array(present.length + 1);
  const statesWith: number[][] = [];
  present.forEach((causes, state) => {
    starts[state + 1] = (starts[state] as number) + causes.length;
    for (const cause of causes) {
      while (statesWith.length <= cause) statesWith.push([]);
      statesWith[cause]?.push(state);
    }
  });
  return {
    causes: Uint16Array.from(present.flat()),
    starts,
    chances: Float64Array.from(chances),
    // Plain arrays of numbers, read whole again and again: the inner loops of the planner.
    statesWith: statesWith.map((states) => Uint32Array.from(states)),
    grain,
  };
}

const NONE = new Uint32Array();

/** The states in which a cause is present. */
export function statesHaving({ statesWith }: States, cause: number): Uint32Array {
  return cause < statesWith.length ? (statesWith[cause] as Uint32Array) : NONE;
}

/** Per state, the product of a base and of the factors of its present causes. */
export function productPerState(
  states: States,
  factors: readonly number[],
  base = 1,
): Float64Array {
  const products = new Float64Array(states.chances.length).fill(base);
  factors.forEach((factor, cause) => {
    multiplyWhere(states, cause, factor, products);
  });
  return products;
}

/** Multiplies in place what stands at the states in which a cause is present. */
export function multiplyWhere(
  states: States,
  cause: number,
  factor: number,
  products: Float64Array,
): void {
  if (factor === 1) return;
  const having = statesHaving(states, cause);
  for (let at = 0; at < having.length; at += 1) {
    const state = having[at] as number;
    products[state] = (products[state] as number) * factor;
  }
}

/**
 * How many draws the planner uses. With the order of repair drawn towards that of before
 * (see worth.ts) as true as twice as many without: docs/method.md.
 */
const STATES_DRAWN = 1000;

/** Draws that have, so far back, the same set of things explained. */
type Groups = Map<number, number[]>;

/**
 * Draws from the exact joint distribution of what is present now: the walk back over the
 * causes that gives the masses, taken draw by draw. Draws alike are put together. The same
 * evidence gives the same draws.
 */
export function drawStates(engine: PosteriorEngine, count = STATES_DRAWN, seed = 1): States {
  engine.walkForward();
  const draw = seeded(seed);
  const found: number[][] = Array.from({ length: count }, () => []);
  engine.causes.forEach((layout, cause) => {
    if (layout.explains) return;
    const chance = chanceNow(engine.weights, layout);
    for (let one = nextHit(-1, chance, draw); one < count; one = nextHit(one, chance, draw)) {
      found[one]?.push(cause);
    }
  });
  let groups = drawnSets(engine, count, draw);
  const ways = new Ways();
  for (let step = engine.walked.length - 1; step >= 0; step -= 1) {
    const cause = engine.walked[step] as number;
    const layout = engine.causes[cause] as CauseLayout;
    const from = engine.before[step] as Float64Array;
    groups = knownSets(groups, from.length);
    const arrivals: [set: number, one: number][] = [];
    for (const [set, draws] of groups) {
      ways.find(engine.weights, layout, from, set);
      const moves = ways.chanceOfChange;
      const leaving: number[] = [];
      for (let at = nextHit(-1, moves, draw); at < draws.length; at = nextHit(at, moves, draw)) {
        const one = draws[at] as number;
        const way = ways.pickChange(draw());
        if (ways.isNow(way)) found[one]?.push(cause);
        if (ways.before(way) === set) continue;
        leaving.push(at);
        arrivals.push([ways.before(way), one]);
      }
      removeAll(draws, leaving);
      if (draws.length === 0) groups.delete(set);
    }
    for (const [set, one] of arrivals) join(groups, set, one);
  }
  return collect(found);
}

/** Walking back past the birth of a thing: it is known no more, its leak had explained it. */
function knownSets(groups: Groups, length: number): Groups {
  const known: Groups = new Map();
  for (const [set, draws] of groups) {
    const kept = set & (length - 1);
    const there = known.get(kept);
    if (there) for (const one of draws) there.push(one);
    else known.set(kept, draws);
  }
  return known;
}

/** Takes the items at these indexes out, in place. Indexes ascend. */
function removeAll(items: number[], indexes: readonly number[]): void {
  let taken = 0;
  let kept = 0;
  for (let index = 0; index < items.length; index += 1) {
    if (indexes[taken] === index) taken += 1;
    else {
      items[kept] = items[index] as number;
      kept += 1;
    }
  }
  items.length = kept;
}

function join(groups: Groups, set: number, one: number): void {
  const group = groups.get(set);
  if (group) group.push(one);
  else groups.set(set, [one]);
}

/** Chance of a cause that explains nothing shared: its branches alone decide. */
function chanceNow(weights: Float64Array, { first, branches }: CauseLayout): number {
  let now = 0;
  let all = 0;
  branches.forEach(({ presentBefore }, index) => {
    const weight = weights[first + index] as number;
    all += weight;
    if (isNow(presentBefore)) now += weight;
  });
  return now / all;
}

/** The next draw in which something of this chance happens: the misses between are geometric. */
function nextHit(last: number, chance: number, draw: () => number): number {
  if (chance >= 1) return last + 1;
  if (chance <= 0) return Number.POSITIVE_INFINITY;
  return last + 1 + Math.floor(Math.log(1 - draw()) / Math.log1p(-chance));
}

/** Which set of things ended up explained, per draw. Only a failed trial leaves a choice. */
function drawnSets(
  { before, accepted }: PosteriorEngine,
  count: number,
  draw: () => number,
): Groups {
  const last = before.at(-1) as Float64Array;
  const sets = [...accepted.keys()].filter((set) => accepted[set] === 1);
  const total = sets.reduce((sum, set) => sum + (last[set] as number), 0);
  const groups: Groups = new Map();
  for (let one = 0; one < count; one += 1) {
    let left = draw() * total;
    const picked = sets.find((set) => {
      left -= last[set] as number;
      return left < 0;
    });
    join(groups, picked ?? (sets.at(-1) as number), one);
  }
  return groups;
}

/**
 * The ways in which one cause can have led to a set of explained things: from which set, and
 * whether the cause is there. What a branch can explain was explained before (and stays so),
 * is explained by it, or is left unexplained. The way "nothing changed, it is not there" is
 * kept apart: most draws take it.
 */
class Ways {
  // Grown once and written over: this is the inner loop of the planner.
  private readonly sets: number[] = [];
  private readonly masses: number[] = [];
  private readonly now: boolean[] = [];
  private count = 0;
  private changing = 0;
  private unchanged = 0;

  find(
    weights: Float64Array,
    { first, branches }: CauseLayout,
    from: Float64Array,
    set: number,
  ): void {
    this.count = 0;
    this.changing = 0;
    this.unchanged = 0;
    for (let index = 0; index < branches.length; index += 1) {
      const { bits, presentBefore } = branches[index] as Branch;
      const weight = weights[first + index] as number;
      if (bits.length === 0 && !isNow(presentBefore)) {
        this.unchanged += weight * (from[set] as number);
        continue;
      }
      const start = this.count;
      this.put(set, weight);
      for (const explains of bits) this.spread(start, set, explains);
      this.weigh(start, from, set, isNow(presentBefore));
    }
  }

  private put(set: number, mass: number): void {
    this.sets[this.count] = set;
    this.masses[this.count] = mass;
    this.count += 1;
  }

  private spread(start: number, set: number, { bit, strength }: Branch['bits'][number]): void {
    const mask = 1 << bit;
    const end = this.count;
    for (let way = start; way < end; way += 1) {
      const mass = this.masses[way] as number;
      if (set & mask) this.put((this.sets[way] as number) & ~mask, mass * strength);
      else this.masses[way] = mass * (1 - strength);
    }
  }

  private weigh(start: number, from: Float64Array, set: number, now: boolean): void {
    for (let way = start; way < this.count; way += 1) {
      const before = this.sets[way] as number;
      let mass = (this.masses[way] as number) * (from[before] as number);
      if (before === set && !now) {
        this.unchanged += mass;
        mass = 0;
      }
      this.masses[way] = mass;
      this.now[way] = now;
      this.changing += mass;
    }
  }

  get chanceOfChange(): number {
    return this.changing / (this.changing + this.unchanged);
  }

  /** One of the ways that change something. @param at from 0 (included) to 1 (excluded). */
  pickChange(at: number): number {
    let left = at * this.changing;
    let last = 0;
    for (let way = 0; way < this.count; way += 1) {
      const mass = this.masses[way] as number;
      if (mass === 0) continue;
      last = way;
      left -= mass;
      if (left < 0) break;
    }
    return last;
  }

  before(way: number): number {
    return this.sets[way] as number;
  }

  isNow(way: number): boolean {
    return this.now[way] as boolean;
  }
}

function collect(found: readonly number[][]): States {
  const counts = new Map<string, { readonly present: readonly number[]; count: number }>();
  for (const causes of found) {
    // Drawn in the order of the walk.
    causes.sort((a, b) => a - b);
    const key = String.fromCharCode(...causes);
    const known = counts.get(key);
    if (known) known.count += 1;
    else counts.set(key, { present: causes, count: 1 });
  }
  const states = [...counts.values()];
  return statesOf(
    states.map(({ present }) => present),
    states.map(({ count }) => count / found.length),
    1 / found.length,
  );
}
