import { type HowOften, type Network, TREATMENT_SUCCESS, visibilityOf } from '@nodo/core';
import type { FamilyModel } from '../src/index.ts';
import { factorsOf, sewnAmount } from '../src/model/evidence.ts';

/** What is really wrong with a machine. */
export interface Truth {
  readonly causes: readonly string[];
  /** Active triggers, as `cause symptom`. */
  readonly active: ReadonlySet<string>;
  readonly often: Readonly<Record<string, HowOften>>;
  /** Where looks are drawn from; the model's own network when left out. */
  readonly network?: Network;
}

/** A drawn machine under the hand: what it shows when it is looked at or sewn, and what a treatment takes. */
export class DrawnMachine {
  private present: ReadonlySet<string>;
  /** What was looked at is answered alike until something treats it. */
  private readonly kept = new Map<string, boolean>();

  constructor(
    private readonly model: FamilyModel,
    private readonly truth: Truth,
    private readonly told: ReadonlyMap<string, boolean>,
    private readonly draw: () => number,
  ) {
    this.present = new Set(truth.causes);
  }

  /** Minutes until a symptom shows; undefined when it does not in so many. */
  showsAfter(
    symptom: string,
    length: number,
    factors: Readonly<Record<string, number>> = {},
  ): number | undefined {
    const often = this.truth.often[symptom] ?? 'seam';
    const short = 0.01;
    const seen = visibilityOf(sewnAmount(this.model, symptom, short), often);
    const perMinute = -Math.log1p(-seen) / short;
    const times = [...this.present]
      .filter((cause) => this.truth.active.has(`${cause} ${symptom}`))
      .map((cause) => -Math.log(1 - this.draw()) / (perMinute * (factors[cause] ?? 1)));
    const first = Math.min(...times);
    return first <= length ? first : undefined;
  }

  look(check: string): ReadonlyMap<string, boolean> {
    const own = this.model.checks.get(check);
    const sewn = this.model.sewing.get(check);
    const factors = factorsOf(this.model, check, false);
    return new Map(
      (own?.findings ?? []).map(({ id }) => {
        const watched = sewn?.observes.get(id);
        if (watched === undefined) return [id, this.answer(id)] as const;
        const symptoms = watched === 'reported' ? this.reported() : [watched];
        const shows = symptoms.some(
          (symptom) => this.showsAfter(symptom, own?.minutes ?? 1, factors) !== undefined,
        );
        return [id, sewn?.isTrial ? !shows : shows] as const;
      }),
    );
  }

  private reported(): readonly string[] {
    return [...this.told].flatMap(([id, yes]) =>
      yes && this.model.findings.get(id)?.symptom ? [id] : [],
    );
  }

  private answer(id: string): boolean {
    const shownHere = [...this.present].filter((cause) => shownBy(this.model, id).has(cause));
    const key = `${id} ${shownHere.join()}`;
    const kept =
      this.kept.get(key) ?? drawFinding(this.model, this.truth, id, this.present, this.draw);
    this.kept.set(key, kept);
    return kept;
  }

  /** Takes with .95 what is there of it; what was looked at there is looked at anew. */
  treat(causes: readonly string[]): void {
    for (const key of [...this.kept.keys()]) {
      const [finding = ''] = key.split(' ');
      if (causes.some((cause) => shownBy(this.model, finding).has(cause))) this.kept.delete(key);
    }
    for (const cause of causes) {
      if (this.present.has(cause) && this.draw() < TREATMENT_SUCCESS) {
        this.present = new Set([...this.present].filter((one) => one !== cause));
      }
    }
  }

  /** Finds what no table names, and puts it right. */
  searchOn(): void {
    this.present = new Set([...this.present].filter((cause) => this.model.causes.has(cause)));
  }

  /** Nothing of what was reported will show again. */
  isCured(): boolean {
    const reported = this.reported();
    return ![...this.present].some((cause) =>
      reported.some((symptom) => this.truth.active.has(`${cause} ${symptom}`)),
    );
  }
}

function shownBy({ network }: FamilyModel, finding: string): ReadonlySet<string> {
  const index = network.findingIndex.get(finding);
  const parents = index === undefined ? [] : (network.parents[index] ?? []);
  return new Set(parents.flatMap(({ cause }) => network.causes[cause]?.id ?? []));
}

function drawFinding(
  model: FamilyModel,
  { network = model.network }: Truth,
  id: string,
  present: ReadonlySet<string>,
  draw: () => number,
): boolean {
  const index = network.findingIndex.get(id);
  // What the truth does not know shows just what it is the finding of.
  if (index === undefined) return present.has(model.findings.get(id)?.defines ?? '');
  let no = 1 - (network.findings[index]?.leak ?? 0);
  for (const { cause, strength } of network.parents[index] ?? []) {
    if (present.has(network.causes[cause]?.id ?? '')) no *= 1 - strength;
  }
  return draw() >= no;
}
