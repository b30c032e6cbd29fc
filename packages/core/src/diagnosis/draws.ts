import { seeded } from '../chance/seeded.ts';
import type { Branch, Trigger } from './branches.ts';
import { type CauseLayout, isNow, type PosteriorEngine, plainMass } from './posteriorEngine.ts';
import { type ActiveTrigger, type StateSource, type States, statesOf } from './states.ts';

/**
 * How many draws the planner uses; docs/method.md says what more would bring. One symptom has few sets
 * of causes that can be to blame, and more draws then cost little.
 */
const STATES_DRAWN = { oneSymptom: 4000, few: 1000, many: 500 } as const;
/** More than these are many. */
const FEW_SYMPTOMS = 3;

function drawsFor(symptoms: number): number {
  if (symptoms <= 1) return STATES_DRAWN.oneSymptom;
  return symptoms <= FEW_SYMPTOMS ? STATES_DRAWN.few : STATES_DRAWN.many;
}

/** Draws that have, so far back, the same set of things explained. */
type Groups = Map<number, number[]>;

/**
 * One draw as far as it is known: per acting cause its index, whether it is there now, and the mask of
 * its active triggers by place of the reported symptom. Acting causes come in the order of the walk, so
 * that draws alike are equal strings.
 */
type DrawCode = string;

/** A mask takes two characters. */
const LOW_BITS = 15;
const LOW = (1 << LOW_BITS) - 1;

function actingCode(cause: number, isThere: boolean, active: number): DrawCode {
  return String.fromCharCode(cause, isThere ? 1 : 0, active & LOW, active >> LOW_BITS);
}

function decode(code: DrawCode): StateSource {
  const present: number[] = [];
  const gone: number[] = [];
  const active: ActiveTrigger[] = [];
  for (let at = 0; at < code.length; at += 4) {
    const cause = code.charCodeAt(at);
    (code.charCodeAt(at + 1) === 1 ? present : gone).push(cause);
    const low = code.charCodeAt(at + 2);
    for (let mask = (code.charCodeAt(at + 3) << LOW_BITS) | low; mask !== 0; mask &= mask - 1) {
      active.push({ cause, reported: 31 - Math.clz32(mask & -mask) });
    }
  }
  return { chance: 0, present, gone, active };
}

/**
 * Draws from the exact joint distribution of what acts now: the walk back over the causes that gives the
 * masses, taken draw by draw. A cause that does not act is there with a chance that nothing else moves
 * (see {@link States}). Draws alike are put together. The same evidence gives the same draws.
 */
export function drawStates(
  engine: PosteriorEngine,
  count: number = drawsFor(engine.reported.length),
  seed = 1,
): States {
  engine.walkForward();
  const draw = seeded(seed);
  const found = new Array<DrawCode>(count).fill('');
  const quietChances = engine.causes.map(quietChance);
  engine.causes.forEach(({ branches, explains }, cause) => {
    if (!explains) drawPlain(found, cause, branches, draw);
  });
  // Everything was explained in the end: that is the evidence.
  const last = (engine.before.at(-1) as Float64Array).length - 1;
  let groups: Groups = new Map([[last, [...found.keys()]]]);
  const ways = new Ways();
  for (let step = engine.walked.length - 1; step >= 0; step -= 1) {
    const cause = engine.walked[step] as number;
    const layout = engine.causes[cause] as CauseLayout;
    const from = engine.before[step] as Float64Array;
    groups = knownSets(groups, from.length);
    const arrivals: [set: number, one: number][] = [];
    const quietMass = quietMassOf(layout.branches);
    const unborn = engine.unbornFactor(step);
    const after = engine.before[step + 1] as Float64Array;
    for (const [set, draws] of groups) {
      // Nothing of it acts in so much of the mass that led here; its ways are told apart only where it acts.
      const quiet = quietMass * (from[set] as number) * unborn;
      const acts = 1 - quiet / (after[set] as number);
      let isFound = false;
      const leaving: number[] = [];
      for (let at = nextHit(-1, acts, draw); at < draws.length; at = nextHit(at, acts, draw)) {
        const one = draws[at] as number;
        if (!isFound) ways.find(layout, from, set);
        isFound = true;
        const way = ways.pickActing(draw());
        add(found, one, ways.codeOf(way, cause));
        if (ways.before(way) === set) continue;
        leaving.push(at);
        arrivals.push([ways.before(way), one]);
      }
      removeAll(draws, leaving);
      if (draws.length === 0) groups.delete(set);
    }
    for (const [set, one] of arrivals) join(groups, set, one);
  }
  if (engine.reported.length > 0) return collect(found, engine.reported, quietChances);
  // Nothing is reported: whatever is there counts, and is drawn.
  const acting = found.map(decode);
  quietChances.forEach((chance, cause) => {
    for (let one = nextHit(-1, chance, draw); one < count; one = nextHit(one, chance, draw)) {
      const { present = [], gone = [] } = acting[one] ?? {};
      if (!present.includes(cause) && !gone.includes(cause)) {
        add(found, one, actingCode(cause, true, 0));
      }
    }
  });
  return collect(found, [], []);
}

/** The mass, over all branches, in which none of the triggers is active. */
function quietMassOf(branches: readonly Branch[]): number {
  return branches.reduce((sum, branch) => sum + quietMassIn(branch), 0);
}

function quietMassIn({ weight, triggers, blamed }: Branch): number {
  let mass = weight;
  for (const { quiet } of triggers) mass *= quiet;
  for (const { quiet } of blamed) mass *= quiet;
  return mass;
}

function add(found: DrawCode[], one: number, code: DrawCode): void {
  found[one] = (found[one] ?? '') + code;
}

/** Chance that a cause is there to this day, of the ways in which none of its triggers is active. */
function quietChance({ branches }: CauseLayout): number {
  const all = quietMassOf(branches);
  const now = branches.find(isNow);
  return all > 0 && now ? quietMassIn(now) / all : 0;
}

/** A cause that explains nothing acts only where a symptom that it was not seen to show is reported. */
function drawPlain(
  found: DrawCode[],
  cause: number,
  branches: readonly Branch[],
  draw: () => number,
): void {
  const now = branches.find(isNow);
  const all = branches.reduce((sum, branch) => sum + plainMass(branch, false), 0);
  if (!now || now.blamed.length === 0 || all === 0) return;
  const { blamed } = now;
  const acts = (plainMass(now, false) - plainMass(now, true)) / all;
  for (let one = nextHit(-1, acts, draw); one < found.length; one = nextHit(one, acts, draw)) {
    let active = 0;
    while (active === 0) {
      for (const { quiet, active: mass, reported } of blamed) {
        if (draw() * (quiet + mass) < mass) active |= 1 << reported;
      }
    }
    add(found, one, actingCode(cause, true, active));
  }
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

/** The next draw in which something of this chance happens: the misses between are geometric. */
function nextHit(last: number, chance: number, draw: () => number): number {
  if (chance >= 1) return last + 1;
  if (chance <= 0) return Number.POSITIVE_INFINITY;
  return last + 1 + Math.floor(Math.log(1 - draw()) / Math.log1p(-chance));
}

/** Marks a trigger of an ordinary finding as active. */
const ORDINARY = 1 << 30;

/**
 * The ways in which an acting cause can have led to a set of explained things: from which set, whether
 * the cause is there, and what of it is active. What an active trigger can explain was explained before
 * (and stays so), is explained by it, or is left unexplained.
 */
class Ways {
  // Grown once and written over: this is the inner loop of the planner.
  private readonly sets: number[] = [];
  private readonly masses: number[] = [];
  private readonly now: boolean[] = [];
  /** Mask of the active triggers, by place of the reported symptom. */
  private readonly active: number[] = [];
  private count = 0;
  private acting = 0;

  find({ branches }: CauseLayout, from: Float64Array, set: number): void {
    this.count = 0;
    this.acting = 0;
    for (const branch of branches) {
      const start = this.count;
      this.put(set, branch.weight, 0);
      for (const trigger of branch.triggers) this.spread(start, trigger, ORDINARY);
      for (const trigger of branch.blamed) this.spread(start, trigger, 1 << trigger.reported);
      this.weigh(start, from, isNow(branch));
    }
  }

  private put(set: number, mass: number, active: number): void {
    this.sets[this.count] = set;
    this.masses[this.count] = mass;
    this.active[this.count] = active;
    this.count += 1;
  }

  /** @param flag what marks it as active. */
  private spread(start: number, { quiet, active, bits }: Trigger, flag: number): void {
    const end = this.count;
    for (let way = start; way < end; way += 1) {
      const mass = this.masses[way] as number;
      const first = this.count;
      this.put(this.sets[way] as number, mass * active, (this.active[way] as number) | flag);
      for (const { bit, chance } of bits) this.explain(first, bit, chance);
      this.masses[way] = mass * quiet;
    }
  }

  /** An active trigger at one of its bits, over the ways from `first` on. */
  private explain(first: number, bit: number, chance: number): void {
    const mask = 1 << bit;
    const end = this.count;
    for (let way = first; way < end; way += 1) {
      const mass = this.masses[way] as number;
      const at = this.sets[way] as number;
      if (at & mask) this.put(at & ~mask, mass * chance, this.active[way] as number);
      else this.masses[way] = mass * (1 - chance);
    }
  }

  private weigh(start: number, from: Float64Array, now: boolean): void {
    for (let way = start; way < this.count; way += 1) {
      const before = from[this.sets[way] as number] as number;
      const mass = this.active[way] === 0 ? 0 : (this.masses[way] as number) * before;
      this.masses[way] = mass;
      this.now[way] = now;
      this.acting += mass;
    }
  }

  /** One of the ways in which something is active. @param at from 0 (included) to 1 (excluded). */
  pickActing(at: number): number {
    let left = at * this.acting;
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

  codeOf(way: number, cause: number): DrawCode {
    return actingCode(cause, this.now[way] as boolean, (this.active[way] as number) & ~ORDINARY);
  }
}

function collect(
  found: readonly DrawCode[],
  reported: readonly string[],
  quietChances: readonly number[],
): States {
  const counts = new Map<DrawCode, { count: number; first: number }>();
  found.forEach((code, one) => {
    const known = counts.get(code);
    if (known) {
      known.count += 1;
      known.first += one % 2;
    } else counts.set(code, { count: 1, first: one % 2 });
  });
  return statesOf(
    [...counts].map(([code, { count, first }]) => ({
      ...decode(code),
      chance: count / found.length,
      firstHalf: first / count,
    })),
    { reported, quietChances, grain: 1 / found.length },
  );
}
