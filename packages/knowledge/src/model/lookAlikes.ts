import { type CauseSource, STRENGTHS, type StrengthWord } from '../schema/schema.ts';
import type { FamilyModel } from './familyModel.ts';

/** A cause that shows much the same as another. */
export interface LookAlike {
  readonly cause: string;
  /** How much of what the other shows it shows as surely, 0 to 1. */
  readonly shared: number;
  /** The finding that tells them apart: what the one shows most surely beside the other, and the other beside it. */
  readonly ours: string | undefined;
  readonly theirs: string | undefined;
}

/** Less in common than this is no likeness. Ours, no source. */
const LEAST_SHARED = 0.2;
/** A finding tells two causes apart if the one shows it so much more surely. Ours, no source. */
const LEAST_APART = 0.25;

/** The causes that look most like one, the likest first, each with what tells them apart. */
export function lookAlikes(model: FamilyModel, of: string, most: number): readonly LookAlike[] {
  const cause = model.causes.get(of);
  if (!cause) return [];
  const ours = shownBy(cause);
  const whole = sum([...ours.values()]);
  if (whole === 0) return [];
  return [...model.causes.values()]
    .filter(({ id }) => id !== of)
    .map((other) => {
      const theirs = shownBy(other);
      const common = [...ours].map(([finding, chance]) =>
        Math.min(chance, theirs.get(finding) ?? 0),
      );
      return {
        cause: other.id,
        shared: sum(common) / whole,
        ours: apart(ours, theirs),
        theirs: apart(theirs, ours),
      };
    })
    .filter(({ shared }) => shared >= LEAST_SHARED)
    .sort((a, b) => b.shared - a.shared)
    .slice(0, most);
}

/** What a cause shows, and how surely. */
function shownBy({ shows }: CauseSource): ReadonlyMap<string, number> {
  return new Map(
    (Object.keys(STRENGTHS) as StrengthWord[]).flatMap((strength) =>
      (shows[strength] ?? []).map((finding): [string, number] => [finding, STRENGTHS[strength]]),
    ),
  );
}

/** What the first shows so much more surely than the second. */
function apart(
  first: ReadonlyMap<string, number>,
  second: ReadonlyMap<string, number>,
): string | undefined {
  const [best] = [...first]
    .map(([finding, chance]) => ({ finding, more: chance - (second.get(finding) ?? 0) }))
    .sort((a, b) => b.more - a.more);
  return best && best.more >= LEAST_APART ? best.finding : undefined;
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}
