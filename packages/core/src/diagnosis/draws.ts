import { seeded } from '../chance/seeded.ts';
import type { Branch, Trigger } from './branches.ts';
import { Draws, type Half } from './drawTree.ts';
import { type CauseLayout, isNow, type PosteriorEngine, plainMass } from './posteriorEngine.ts';
import { type States, statesOf } from './states.ts';

/**
 * How many draws the planner uses; docs/method.md says what more would bring. One symptom has few sets
 * of causes that can be to blame, and more draws then cost little.
 */
const STATES_DRAWN = { oneSymptom: 2800, few: 900, many: 400 } as const;
/** More than these are many. */
const FEW_SYMPTOMS = 3;

function drawsFor(symptoms: number): number {
  if (symptoms <= 1) return STATES_DRAWN.oneSymptom;
  return symptoms <= FEW_SYMPTOMS ? STATES_DRAWN.few : STATES_DRAWN.many;
}

/** Draws that have, so far back, the same set of things explained: of the first half and of the second. */
type Group = readonly [number[], number[]];
type Groups = Map<number, Group>;

/**
 * Draws from the exact joint distribution of what acts now: the walk back over the causes that gives the
 * masses, taken draw by draw. A cause that does not act is there with a chance that nothing else moves
 * (see {@link States}). Draws alike are put together. The same evidence gives the same draws.
 *
 * Each draw has the exact chances; within a half they are spread evenly, step by step, so that what is
 * likely is drawn about as often as it should be (systematic sampling). The halves know nothing of each
 * other.
 */
export function drawStates(
  engine: PosteriorEngine,
  count: number = drawsFor(engine.reported.length),
  seed = 1,
): States {
  engine.walkForward();
  const draw = seeded(seed);
  const found = new Draws(count);
  const quietChances = engine.causes.map(quietChance);
  engine.causes.forEach(({ branches, explains }, cause) => {
    if (!explains) drawPlain(found, cause, branches, draw);
  });
  // Everything was explained in the end: that is the evidence.
  const last = (engine.before.at(-1) as Float64Array).length - 1;
  const [first, second] = found.halves;
  let groups: Groups = new Map([[last, [drawsOf(first), drawsOf(second)]]]);
  const ways = new Ways();
  for (let step = engine.walked.length - 1; step >= 0; step -= 1) {
    const cause = engine.walked[step] as number;
    const layout = engine.causes[cause] as CauseLayout;
    const from = engine.before[step] as Float64Array;
    groups = knownSets(groups, from.length);
    const arrivals: [set: number, half: number, one: number][] = [];
    const quietMass = quietMassOf(layout.branches);
    const unborn = engine.unbornFactor(step);
    const after = engine.before[step + 1] as Float64Array;
    for (const [set, group] of groups) {
      // Nothing of it acts in so much of the mass that led here; its ways are distinguished only where it acts.
      const quiet = quietMass * (from[set] as number) * unborn;
      const acts = 1 - quiet / (after[set] as number);
      let isFound = false;
      group.forEach((draws, half) => {
        const leaving: number[] = [];
        const start = draw();
        eachHit(draws.length, acts, draw(), (at, turn) => {
          const one = draws[at] as number;
          if (!isFound) ways.find(layout, from, set);
          isFound = true;
          const way = ways.pickActing((start + turn * GOLDEN) % 1);
          found.add(one, cause, ways.isNow(way), ways.active(way));
          if (ways.before(way) === set) return;
          leaving.push(at);
          arrivals.push([ways.before(way), half, one]);
        });
        removeAll(draws, leaving);
      });
      if (group.every(({ length }) => length === 0)) groups.delete(set);
    }
    for (const [set, half, one] of arrivals) join(groups, set, half, one);
  }
  if (engine.reported.length > 0) return collect(found, engine.reported, quietChances);
  // Nothing is reported: whatever is there counts, and is drawn.
  quietChances.forEach((chance, cause) => {
    for (const { from, to } of found.halves) {
      eachHit(to - from, chance, draw(), (at) => {
        if (!found.has(from + at, cause)) found.add(from + at, cause, true, 0);
      });
    }
  });
  return collect(found, [], []);
}

function drawsOf({ from, to }: Half): number[] {
  return Array.from({ length: to - from }, (_, at) => from + at);
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

/** Chance that a cause is there to this day, of the ways in which none of its triggers is active. */
function quietChance({ branches }: CauseLayout): number {
  const all = quietMassOf(branches);
  const now = branches.find(isNow);
  return all > 0 && now ? quietMassIn(now) / all : 0;
}

/** A cause that explains nothing acts only where a symptom that it was not seen to show is reported. */
function drawPlain(
  found: Draws,
  cause: number,
  branches: readonly Branch[],
  draw: () => number,
): void {
  const now = branches.find(isNow);
  const all = branches.reduce((sum, branch) => sum + plainMass(branch, false), 0);
  if (!now || now.blamed.length === 0 || all === 0) return;
  const { blamed } = now;
  const acts = (plainMass(now, false) - plainMass(now, true)) / all;
  for (const { from, to } of found.halves) {
    eachHit(to - from, acts, draw(), (at) => {
      let active = 0;
      while (active === 0) {
        for (const { quiet, active: mass, reported } of blamed) {
          if (draw() * (quiet + mass) < mass) active |= 1 << reported;
        }
      }
      found.add(from + at, cause, true, active);
    });
  }
}

/** Walking back past the birth of a thing: it is known no more, its leak had explained it. */
function knownSets(groups: Groups, length: number): Groups {
  const known: Groups = new Map();
  for (const [set, group] of groups) {
    const kept = set & (length - 1);
    const there = known.get(kept);
    if (!there) known.set(kept, group);
    else for (const half of [0, 1] as const) for (const one of group[half]) there[half].push(one);
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

function join(groups: Groups, set: number, half: number, one: number): void {
  const group = groups.get(set) ?? [[], []];
  group[half]?.push(one);
  groups.set(set, group);
}

/**
 * The places among `length` at which something of this chance happens: each with that chance, evenly
 * spread, as many as nearly as can be.
 * @param start from 0 (included) to 1 (excluded), at random.
 */
function eachHit(
  length: number,
  chance: number,
  start: number,
  visit: (at: number, turn: number) => void,
): void {
  if (chance <= 0) return;
  for (let turn = 0; ; turn += 1) {
    const at = Math.floor((start + turn) / chance);
    if (at >= length) return;
    visit(at, turn);
  }
}

/** Multiples of it, less their whole part, fill 0 to 1 evenly however many there are. */
const GOLDEN = (Math.sqrt(5) - 1) / 2;

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
  private readonly masks: number[] = [];
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
    this.masks[this.count] = active;
    this.count += 1;
  }

  /** @param flag what marks it as active. */
  private spread(start: number, { quiet, active, bits }: Trigger, flag: number): void {
    const end = this.count;
    for (let way = start; way < end; way += 1) {
      const mass = this.masses[way] as number;
      const first = this.count;
      this.put(this.sets[way] as number, mass * active, (this.masks[way] as number) | flag);
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
      if (at & mask) this.put(at & ~mask, mass * chance, this.masks[way] as number);
      else this.masses[way] = mass * (1 - chance);
    }
  }

  private weigh(start: number, from: Float64Array, now: boolean): void {
    for (let way = start; way < this.count; way += 1) {
      const before = from[this.sets[way] as number] as number;
      const mass = this.masks[way] === 0 ? 0 : (this.masses[way] as number) * before;
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

  isNow(way: number): boolean {
    return this.now[way] as boolean;
  }

  /** Mask of its active triggers, by place of the reported symptom. */
  active(way: number): number {
    return (this.masks[way] as number) & ~ORDINARY;
  }
}

function collect(
  found: Draws,
  reported: readonly string[],
  quietChances: readonly number[],
): States {
  const grain = 1 / found.count;
  return statesOf(
    found.alike().map(({ count, first, acting }) => {
      const { present, gone, active } = acting;
      return { present, gone, active, chance: count * grain, firstHalf: first / count };
    }),
    { reported, quietChances, grain },
  );
}
