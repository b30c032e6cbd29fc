/** A remedy that takes only part of what is to blame counts so much of one that takes all. */
const PART_COUNTS = 1 / 3;
/** The place of a cause that no remedy treats. */
const NEVER = 0xffff;

/**
 * Which remedies take something of which sets of causes that are to blame together, arranged for the
 * inner loops of the planner. An order of remedies is put in with {@link place}; {@link silence} then
 * says what it silences where.
 */
export class RemedySets {
  /** Mass that is silenced at each place of the order; what nothing silences comes after the last. */
  readonly silencedAt: Float64Array;
  /** Per set, the place where its remedies begin in {@link touching}; one more at the end. */
  private readonly starts: Uint32Array;
  /** Remedies that take something of a set, set after set. */
  private readonly touching: Uint16Array;
  /** What that counts: 1 for all of it, a third for part. */
  private readonly counts: Float64Array;
  /** Per set, the place where its causes begin in {@link causes}; one more at the end. */
  private readonly causeStarts: Uint32Array;
  /** The causes of a set, set after set. */
  private readonly causes: Uint16Array;
  /** By cause, the place of the first remedy that treats it. */
  private readonly placeOf: Uint16Array;
  private places = 0;

  /**
   * @param sets of causes that are to blame together, each ascending.
   * @param remedies with the causes that they treat.
   */
  constructor(
    sets: readonly (readonly number[])[],
    remedies: readonly { readonly treats: readonly number[] }[],
  ) {
    const treating: number[][] = [];
    remedies.forEach(({ treats }, remedy) => {
      for (const cause of treats) treating[cause] = [...(treating[cause] ?? []), remedy];
    });
    const starts = [0];
    const touching: number[] = [];
    const counts: number[] = [];
    const taken = new Uint16Array(remedies.length);
    for (const causes of sets) {
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
    this.causes = Uint16Array.from(sets.flat());
    this.causeStarts = new Uint32Array(sets.length + 1);
    sets.forEach(({ length }, set) => {
      this.causeStarts[set + 1] = (this.causeStarts[set] as number) + length;
    });
    const last = sets.reduce((most, causes) => Math.max(most, causes.at(-1) ?? 0), 0);
    this.placeOf = new Uint16Array(Math.max(treating.length, last + 1));
    this.silencedAt = new Float64Array(remedies.length + 1);
  }

  /** Adds what each remedy counts in these masses. @returns the mass in which a remedy takes something. */
  addWorth(masses: Float64Array, worth: Float64Array): number {
    const { starts, touching, counts } = this;
    let wrong = 0;
    for (let set = 0; set < masses.length; set += 1) {
      const mass = masses[set] as number;
      if (mass === 0) continue;
      const start = starts[set] as number;
      const end = starts[set + 1] as number;
      if (end > start) wrong += mass;
      for (let at = start; at < end; at += 1) {
        const remedy = touching[at] as number;
        worth[remedy] = (worth[remedy] as number) + mass * (counts[at] as number);
      }
    }
    return wrong;
  }

  /** Lays an order in, and takes out of it, in place, what treats nothing that is left. */
  place(order: number[], remedies: readonly { readonly treats: readonly number[] }[]): void {
    const { placeOf } = this;
    placeOf.fill(NEVER);
    let place = 0;
    for (const remedy of order) {
      let isNeeded = false;
      for (const cause of remedies[remedy]?.treats ?? []) {
        if (placeOf[cause] !== NEVER) continue;
        placeOf[cause] = place;
        isNeeded = true;
      }
      if (!isNeeded) continue;
      order[place] = remedy;
      place += 1;
    }
    order.length = place;
    this.places = place;
  }

  /** Fills {@link silencedAt}: a set is silent with the last of its causes. @returns what is wrong at all. */
  silence(masses: Float64Array): number {
    const { placeOf, silencedAt, causes, causeStarts, places } = this;
    silencedAt.fill(0);
    let wrong = 0;
    for (let set = 0; set < masses.length; set += 1) {
      const mass = masses[set] as number;
      const start = causeStarts[set] as number;
      const end = causeStarts[set + 1] as number;
      if (mass === 0 || end === start) continue;
      let last = 0;
      for (let at = start; at < end; at += 1) {
        const place = placeOf[causes[at] as number] as number;
        if (place > last) last = place;
      }
      wrong += mass;
      const place = Math.min(last, places);
      silencedAt[place] = (silencedAt[place] as number) + mass;
    }
    return wrong;
  }
}
