import type { ActiveTrigger, StateSource } from './states.ts';

/** Which draws make a half; `to` is not among them. */
export interface Half {
  readonly from: number;
  readonly to: number;
}

/** Draws that are alike. */
export interface AlikeDraws {
  readonly count: number;
  /** How many of them are in the first half. */
  readonly first: number;
  readonly acting: Pick<StateSource, 'present'> & Required<Pick<StateSource, 'gone' | 'active'>>;
}

/**
 * What acts in each of many draws, cause after cause in one order, so that draws alike come to the same
 * place of one tree: nothing is written down twice, and nothing compared.
 */
export class Draws {
  readonly halves: readonly [Half, Half];
  /** Per draw, its place. */
  private readonly places: Uint32Array;
  /** Of a place: from which it was come to, and by which cause, there now or gone, with what active. */
  private readonly from: number[] = [ROOT];
  private readonly cause: number[] = [0];
  private readonly isThere: boolean[] = [false];
  private readonly active: number[] = [0];
  /** Of a place, the places that were come to from it: the latest, and of a place, the one before. */
  private readonly lastChild: number[] = [ROOT];
  private readonly sibling: number[] = [ROOT];

  constructor(readonly count: number) {
    this.places = new Uint32Array(count);
    const middle = Math.ceil(count / 2);
    this.halves = [
      { from: 0, to: middle },
      { from: middle, to: count },
    ];
  }

  /** @param active mask of the active triggers, by place of the reported symptom. */
  add(one: number, cause: number, isThere: boolean, active: number): void {
    const from = this.places[one] as number;
    let place = this.lastChild[from] as number;
    while (
      place !== ROOT &&
      !(
        this.cause[place] === cause &&
        this.active[place] === active &&
        this.isThere[place] === isThere
      )
    ) {
      // Causes come one after the other: what was put down for an earlier one is not looked through.
      place = this.cause[place] === cause ? (this.sibling[place] as number) : ROOT;
    }
    this.places[one] = place === ROOT ? this.grow(from, cause, isThere, active) : place;
  }

  private grow(from: number, cause: number, isThere: boolean, active: number): number {
    const place = this.from.push(from) - 1;
    this.cause.push(cause);
    this.isThere.push(isThere);
    this.active.push(active);
    this.sibling.push(this.lastChild[from] as number);
    this.lastChild.push(ROOT);
    this.lastChild[from] = place;
    return place;
  }

  /** Whether this cause acts in a draw. */
  has(one: number, cause: number): boolean {
    for (
      let place = this.places[one] as number;
      place !== ROOT;
      place = this.from[place] as number
    ) {
      if (this.cause[place] === cause) return true;
    }
    return false;
  }

  /** Alike draws put together, in the order in which the first of each was drawn. */
  alike(): readonly AlikeDraws[] {
    const counts = new Map<number, { count: number; first: number }>();
    const [{ to: middle }] = this.halves;
    this.places.forEach((place, one) => {
      const first = one < middle ? 1 : 0;
      const known = counts.get(place);
      if (known) {
        known.count += 1;
        known.first += first;
      } else counts.set(place, { count: 1, first });
    });
    return [...counts].map(([place, counted]) => ({ ...counted, acting: this.actingAt(place) }));
  }

  private actingAt(last: number): AlikeDraws['acting'] {
    const present: number[] = [];
    const gone: number[] = [];
    const active: ActiveTrigger[] = [];
    for (let place = last; place !== ROOT; place = this.from[place] as number) {
      const cause = this.cause[place] as number;
      (this.isThere[place] ? present : gone).push(cause);
      for (let mask = this.active[place] as number; mask !== 0; mask &= mask - 1) {
        active.push({ cause, reported: 31 - Math.clz32(mask & -mask) });
      }
    }
    return { present, gone, active };
  }
}

/** The place of a draw in which nothing acts yet. */
const ROOT = 0;
