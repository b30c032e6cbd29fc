import { TREATMENT_SUCCESS } from './evidence.ts';
import { sum } from './masses.ts';
import type { Outcome } from './outcomes.ts';
import { blameMasses, type States } from './states.ts';

/** Something that puts causes right. */
export interface Remedy {
  readonly id: string;
  /** Indexes of the causes that it treats. */
  readonly treats: readonly number[];
  /**
   * Its own, with the opening and closing that it newly makes necessary; without the proof. Of one that
   * waits for a look: of mending what was found.
   */
  readonly minutes: number;
  /**
   * Minutes of looking whether it is needed, opening and closing among them: they are paid when its turn
   * comes, the mending and its proof only where something is found. Left out where it is done on suspicion.
   */
  readonly lookMinutes?: number;
  /** Comes after all others, whatever it promises. */
  readonly isLast?: boolean;
}

/** What expected minutes are weighed with. */
export interface Stakes {
  readonly remedies: readonly Remedy[];
  /** Minutes of sewing it after a remedy. */
  readonly proofMinutes: number;
  /** What a machine that comes back with its complaint costs. */
  readonly comebackMinutes: number;
  /** Remedies that save more together than their separate proofs cost share one. */
  readonly sharesProofs: boolean;
}

/** What is left to pay in one state of knowledge. */
export interface Left {
  /**
   * Expected minutes: of putting it right, or of the comebacks when that is dearer. Of draws told twice,
   * once by each half; how far they are apart is what chance makes of it.
   */
  readonly minutes: readonly [number, number];
  /** Comeback risk after that. */
  readonly risk: number;
  /** Giving it back as it is costs less than putting it right. */
  readonly isLeft: boolean;
}

/** A remedy in its place of the order. */
export interface PlannedRemedy {
  readonly remedy: Remedy;
  /** Chance that the symptom is still there when its turn comes. */
  readonly needed: number;
  /** Chance that it silences it then. */
  readonly silences: number;
}

/** A remedy that takes only part of what is to blame counts so much of one that takes all. */
const PART_COUNTS = 1 / 3;
/** What is left over when the order ends; nobody plans further. */
const NEGLIGIBLE = 1e-3;
/** Ours, no source: few draws would order what hardly ever happens by chance. */
const OLD_DRAWS = 40;

/**
 * Expected minutes until the symptom is silent, by remedies in greedy order: the chance that one
 * silences what is to blame, a third of that where it takes only part of it, per minute; what treats
 * nothing that is left is passed over. Works on the sets of causes that are to blame together; keeps
 * what many states of knowledge share.
 */
export class RemedyOrder {
  /** Per set, the place where its remedies begin in {@link touching}; one more at the end. */
  private readonly starts: Uint32Array;
  /** Remedies that take something of a set, set after set. */
  private readonly touching: Uint16Array;
  /** What that counts: 1 for all of it, a third for part. */
  private readonly counts: Float64Array;
  /** Per set, the chance that something in it stays although all of it was treated. */
  private readonly fails: Float64Array;
  private readonly first: Float64Array;
  private readonly second: Float64Array;
  private readonly before: Float64Array;
  private readonly worth: Float64Array;
  private readonly placeOf: Uint16Array;
  /** Mass that is silenced at each place of the order. */
  private readonly silencedAt: Float64Array;
  private readonly ordered: number[] = [];

  constructor(
    private readonly states: States,
    private readonly stakes: Stakes,
  ) {
    const { blameSets } = states;
    const { remedies } = stakes;
    const treating: number[][] = [];
    remedies.forEach(({ treats }, remedy) => {
      for (const cause of treats) treating[cause] = [...(treating[cause] ?? []), remedy];
    });
    const starts = [0];
    const touching: number[] = [];
    const counts: number[] = [];
    const taken = new Uint16Array(remedies.length);
    for (const causes of blameSets) {
      const from = touching.length;
      for (const cause of causes) {
        for (const remedy of treating[cause] ?? []) {
          if (taken[remedy] === 0) touching.push(remedy);
          taken[remedy] = (taken[remedy] as number) + 1;
        }
      }
      for (let at = from; at < touching.length; at += 1) {
        const remedy = touching[at] as number;
        counts.push(taken[remedy] === causes.length ? 1 : PART_COUNTS);
        taken[remedy] = 0;
      }
      starts.push(touching.length);
    }
    this.starts = Uint32Array.from(starts);
    this.touching = Uint16Array.from(touching);
    this.counts = Float64Array.from(counts);
    this.fails = Float64Array.from(blameSets, ({ length }) => 1 - TREATMENT_SUCCESS ** length);
    this.before = blameMasses(states, states.chances);
    this.first = new Float64Array(blameSets.length);
    this.second = states.firstHalf ? new Float64Array(blameSets.length) : this.first;
    this.worth = new Float64Array(remedies.length);
    let last = treating.length;
    for (const causes of blameSets) last = Math.max(last, causes.at(-1) ?? 0);
    this.placeOf = new Uint16Array(last + 1);
    this.silencedAt = new Float64Array(remedies.length + 1);
  }

  /** Expected minutes until the symptom is silent, remedy after remedy: by each half of the draws. */
  expectedMinutes(masses: Float64Array, chance: number): readonly [number, number] {
    this.spread(masses);
    const { first, second } = this;
    if (first === second) {
      const all = this.minutesBy(first, first) / chance;
      return [all, all];
    }
    return [
      (2 * this.minutesBy(first, second)) / chance,
      (2 * this.minutesBy(second, first)) / chance,
    ];
  }

  /**
   * Writes the masses by set, in two halves of the draws: what is chosen by one is paid by the other.
   * States that are all there are make one.
   */
  private spread(masses: Float64Array): void {
    const { first, second } = this;
    const { blameOf, firstHalf } = this.states;
    first.fill(0);
    if (!firstHalf) {
      for (let state = 0; state < masses.length; state += 1) {
        const set = blameOf[state] as number;
        first[set] = (first[set] as number) + (masses[state] as number);
      }
      return;
    }
    second.fill(0);
    for (let state = 0; state < masses.length; state += 1) {
      const set = blameOf[state] as number;
      const mass = masses[state] as number;
      const share = mass * (firstHalf[state] as number);
      first[set] = (first[set] as number) + share;
      second[set] = (second[set] as number) + mass - share;
    }
  }

  /**
   * What is left to pay in the states as weighed by these masses, which add up to `chance`.
   * @param extra minutes that putting it right costs besides.
   */
  left(masses: Float64Array, chance: number, extra = 0): Left {
    const { comebackMinutes } = this.stakes;
    const [byFirst, bySecond] = this.expectedMinutes(masses, chance);
    let wrong = 0;
    let stays = 0;
    const { blameOf } = this.states;
    for (let state = 0; state < masses.length; state += 1) {
      const fails = this.fails[blameOf[state] as number] as number;
      if (fails === 0) continue;
      const mass = masses[state] as number;
      wrong += mass;
      stays += mass * fails;
    }
    const risk = Math.min(1, wrong / chance);
    const after = Math.min(1, stays / chance);
    const leaving = comebackMinutes * risk;
    const failing = comebackMinutes * after + extra;
    const isLeft = leaving <= (byFirst + bySecond) / 2 + failing;
    return isLeft
      ? { minutes: [leaving, leaving], risk, isLeft }
      : { minutes: [byFirst + failing, bySecond + failing], risk: after, isLeft };
  }

  /** The order for the states as they are. */
  order(): readonly PlannedRemedy[] {
    const { remedies } = this.stakes;
    const order = this.choose(this.before);
    let left = this.placeMasses(this.before, order);
    return order.flatMap((remedy, place) => {
      const needed = left;
      const silences = this.silencedAt[place] as number;
      left -= silences;
      return needed > NEGLIGIBLE ? [{ remedy: remedies[remedy] as Remedy, needed, silences }] : [];
    });
  }

  /** The states in which the first remedy of the order does not silence the symptom. */
  afterFirst(): Outcome | undefined {
    const [first] = this.choose(this.before);
    if (first === undefined) return undefined;
    const treats = new Set((this.stakes.remedies[first] as Remedy).treats);
    const { blameSets, blameOf, chances } = this.states;
    const stays = blameSets.map((causes) => causes.some((cause) => !treats.has(cause)));
    const masses = chances.map((chance, state) => (stays[blameOf[state] as number] ? chance : 0));
    const chance = sum(masses);
    return chance > 0 ? { chance, masses } : undefined;
  }

  /**
   * What an order costs that some masses choose (what was known before counted as some draws more),
   * counted in others.
   * @returns expected minutes, not divided by the mass.
   */
  private minutesBy(choosing: Float64Array, paying: Float64Array): number {
    const { remedies, proofMinutes, sharesProofs } = this.stakes;
    const order = this.choose(choosing);
    let left = this.placeMasses(paying, order);
    let total = 0;
    for (let set = 0; set < paying.length; set += 1) total += paying[set] as number;
    let batch = 0;
    let spent = 0;
    for (let place = 0; place < order.length; place += 1) {
      if (left <= NEGLIGIBLE * total) break;
      const { minutes, lookMinutes } = remedies[order[place] as number] as Remedy;
      const silenced = this.silencedAt[place] as number;
      if (lookMinutes !== undefined) {
        spent += (place === 0 ? total : left) * lookMinutes + silenced * (minutes + proofMinutes);
        left -= silenced;
        continue;
      }
      // The first is done before anybody knows whether the machine is silent already. A later one, done
      // before the last proof, costs as often as that; done after it, only where the symptom showed.
      const isShared =
        sharesProofs && batch > 0 && batch * minutes < left * (minutes + proofMinutes);
      if (isShared) spent += batch * minutes;
      else {
        batch = place === 0 ? total : left;
        spent += batch * (minutes + proofMinutes);
      }
      left -= silenced;
    }
    return spent;
  }

  /** Remedies by worth; sets {@link placeOf} each cause to the place of the first that treats it. */
  private choose(choosing: Float64Array): readonly number[] {
    const { worth, starts, touching, counts, before, placeOf, ordered: order } = this;
    const { remedies, proofMinutes } = this.stakes;
    const old = OLD_DRAWS * this.states.grain;
    worth.fill(0);
    let wrong = 0;
    for (let set = 0; set < choosing.length; set += 1) {
      const mass = (choosing[set] as number) + old * (before[set] as number);
      if (mass === 0) continue;
      const end = starts[set + 1] as number;
      if (end > (starts[set] as number)) wrong += mass;
      for (let at = starts[set] as number; at < end; at += 1) {
        const remedy = touching[at] as number;
        worth[remedy] = (worth[remedy] as number) + mass * (counts[at] as number);
      }
    }
    order.length = 0;
    for (let remedy = 0; remedy < worth.length; remedy += 1) {
      if (worth[remedy] === 0) continue;
      const { minutes, lookMinutes, isLast } = remedies[remedy] as Remedy;
      const mended = minutes + proofMinutes;
      const all = worth[remedy] as number;
      const cost = lookMinutes === undefined ? mended : lookMinutes + (all / wrong) * mended;
      const here = isLast ? Number.MIN_VALUE : all / cost;
      worth[remedy] = here;
      let at = order.length;
      while (at > 0 && (worth[order[at - 1] as number] as number) < here) {
        order[at] = order[at - 1] as number;
        at -= 1;
      }
      order[at] = remedy;
    }
    placeOf.fill(NEVER);
    let place = 0;
    for (const remedy of order) {
      let isNeeded = false;
      for (const cause of (remedies[remedy] as Remedy).treats) {
        if (placeOf[cause] !== NEVER) continue;
        placeOf[cause] = place;
        isNeeded = true;
      }
      if (!isNeeded) continue;
      order[place] = remedy;
      place += 1;
    }
    order.length = place;
    return order;
  }

  /** Fills {@link silencedAt}: a set is silent with the last of its causes. @returns what is wrong at all. */
  private placeMasses(masses: Float64Array, order: readonly number[]): number {
    const { placeOf, silencedAt } = this;
    const { blameSets } = this.states;
    silencedAt.fill(0);
    let wrong = 0;
    for (let set = 0; set < masses.length; set += 1) {
      const causes = blameSets[set] as readonly number[];
      if (causes.length === 0) continue;
      let last = 0;
      for (let at = 0; at < causes.length; at += 1) {
        const place = placeOf[causes[at] as number] as number;
        if (place > last) last = place;
      }
      const mass = masses[set] as number;
      wrong += mass;
      const place = Math.min(last, order.length);
      silencedAt[place] = (silencedAt[place] as number) + mass;
    }
    return wrong;
  }
}

/** The place of a cause that no remedy treats. */
const NEVER = 0xffff;
