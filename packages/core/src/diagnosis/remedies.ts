import { TREATMENT_SUCCESS } from './evidence.ts';
import { sum } from './masses.ts';
import type { Outcome } from './outcomes.ts';
import { RemedySets } from './remedySets.ts';
import { addTo } from './sets.ts';
import { addByBlame, blameMasses, type States } from './states.ts';

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
  /** What it costs more once the machine was closed and sewn: opening again what stands open now. */
  readonly reopening?: number;
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
   * Expected minutes: of putting it right, or of the comebacks when that is dearer. Of draws counted twice,
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

/** What is left over when the order ends; nobody plans further. */
const NEGLIGIBLE = 1e-3;
/** What silences it less often, of the times that its turn comes, is not tried. Ours, no source. */
export const LEAST_TRIED = 0.02;
/** Ours, no source: few draws would order what hardly ever happens by chance. */
const OLD_DRAWS = 40;

/**
 * Expected minutes until the symptom is silent, by remedies in greedy order: the chance that one
 * silences what is to blame, a third of that where it takes only part of it, per minute; what treats
 * nothing that is left is passed over. Works on the sets of causes that are to blame together; keeps
 * what many states of knowledge share.
 */
export class RemedyOrder {
  private readonly sets: RemedySets;
  /** Per set, the chance that something in it stays although all of it was treated. */
  private readonly fails: Float64Array;
  private readonly first: Float64Array;
  private readonly second: Float64Array;
  private readonly before: Float64Array;
  /** Per remedy, what the few draws of before add to its worth; and what is wrong in them at all. */
  private readonly oldWorth: Float64Array;
  private readonly oldWrong: number;
  private readonly worth: Float64Array;
  /** Per remedy, minutes of mending and proving. */
  private readonly mended: Float64Array;
  /** All remedies, as the last choice left them: the next one is nearly in order already. */
  private readonly turn: Uint16Array;
  private readonly ordered: number[] = [];

  constructor(
    readonly states: States,
    private readonly stakes: Stakes,
  ) {
    const { blameSets } = states;
    const { remedies, proofMinutes } = stakes;
    this.sets = new RemedySets(blameSets, remedies);
    this.fails = Float64Array.from(blameSets, ({ length }) => 1 - TREATMENT_SUCCESS ** length);
    this.before = blameMasses(states, states.chances);
    this.first = new Float64Array(blameSets.length);
    this.second = states.firstHalf ? new Float64Array(blameSets.length) : this.first;
    this.worth = new Float64Array(remedies.length);
    this.oldWorth = new Float64Array(remedies.length);
    const old = OLD_DRAWS * states.grain;
    this.oldWrong = old * this.sets.addWorth(this.before, this.oldWorth);
    this.oldWorth.forEach((worth, remedy) => {
      this.oldWorth[remedy] = old * worth;
    });
    this.mended = Float64Array.from(remedies, ({ minutes }) => minutes + proofMinutes);
    this.turn = Uint16Array.from(remedies.keys());
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
      addByBlame(this.states, masses, first);
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
    const [byFirst, bySecond] = this.expectedMinutes(masses, chance);
    const { first, second, fails } = this;
    if (first !== second) addTo(first, second, 1);
    const { comebackMinutes } = this.stakes;
    let wrong = 0;
    let stays = 0;
    for (let set = 0; set < fails.length; set += 1) {
      const failing = fails[set] as number;
      if (failing === 0) continue;
      const mass = first[set] as number;
      wrong += mass;
      stays += mass * failing;
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
    let left = this.sets.silence(this.before);
    return order.flatMap((remedy, place) => {
      const needed = left;
      const silences = this.sets.silencedAt[place] as number;
      left -= silences;
      return needed > NEGLIGIBLE ? [{ remedy: remedies[remedy] as Remedy, needed, silences }] : [];
    });
  }

  /** The states in which the first remedy of the order that is worth trying does not silence the symptom. */
  afterFirst(): Outcome | undefined {
    const first = this.order().find(({ needed, silences }) => silences >= LEAST_TRIED * needed);
    if (!first) return undefined;
    const treats = new Set(first.remedy.treats);
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
    const { remedies, proofMinutes, comebackMinutes, sharesProofs } = this.stakes;
    const order = this.choose(choosing);
    let left = this.sets.silence(paying);
    let total = 0;
    for (let set = 0; set < paying.length; set += 1) total += paying[set] as number;
    let batch = 0;
    let spent = 0;
    let isBegun = false;
    for (let place = 0; place < order.length; place += 1) {
      if (left <= NEGLIGIBLE * total) break;
      const remedy = remedies[order[place] as number] as Remedy;
      const { minutes, lookMinutes } = remedy;
      // What comes after a proof finds the machine closed.
      const again = batch > 0 ? (remedy.reopening ?? 0) : 0;
      const silenced = this.sets.silencedAt[place] as number;
      const here = isBegun ? left : total;
      const waits = lookMinutes !== undefined;
      // The first is done before anybody knows whether the machine is silent already. A later one, done
      // before the last proof, costs as often as that; done after it, only where the symptom showed.
      const proven = here * (minutes + again + proofMinutes);
      const isShared = !waits && sharesProofs && batch > 0 && batch * minutes < proven;
      const cost = waits
        ? here * (lookMinutes + again) + silenced * (minutes + proofMinutes)
        : isShared
          ? batch * minutes
          : proven;
      const leaving = silenced * comebackMinutes;
      // So rare that its comebacks cost less.
      if (leaving < cost && !remedy.isLast) spent += leaving;
      else {
        spent += cost;
        isBegun = true;
        if (!waits && !isShared) batch = here;
      }
      left -= silenced;
    }
    return spent;
  }

  /** Remedies by worth, without those that treat nothing which is left. */
  private choose(choosing: Float64Array): readonly number[] {
    const { worth, mended, turn, ordered } = this;
    const { remedies } = this.stakes;
    worth.set(this.oldWorth);
    const wrong = this.oldWrong + this.sets.addWorth(choosing, worth);
    let count = 0;
    for (let remedy = 0; remedy < worth.length; remedy += 1) {
      const all = worth[remedy] as number;
      if (all === 0) continue;
      count += 1;
      const { lookMinutes, isLast } = remedies[remedy] as Remedy;
      const own = mended[remedy] as number;
      const cost = lookMinutes === undefined ? own : lookMinutes + (all / wrong) * own;
      worth[remedy] = isLast ? Number.MIN_VALUE : all / cost;
    }
    sortByWorth(turn, worth);
    ordered.length = 0;
    for (let at = 0; at < count; at += 1) ordered.push(turn[at] as number);
    this.sets.place(ordered, remedies);
    return ordered;
  }
}

/** In place, the greatest worth first and equal ones by index; by insertion, for what is nearly sorted. */
function sortByWorth(turn: Uint16Array, worth: Float64Array): void {
  for (let next = 1; next < turn.length; next += 1) {
    const remedy = turn[next] as number;
    const own = worth[remedy] as number;
    let at = next;
    while (at > 0) {
      const other = turn[at - 1] as number;
      const its = worth[other] as number;
      if (its > own || (its === own && other < remedy)) break;
      turn[at] = other;
      at -= 1;
    }
    turn[at] = remedy;
  }
}
