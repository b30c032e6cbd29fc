import type { Knowledge } from '../compile/compile.ts';
import { FIRST_VERSION } from '../schema/provenance.ts';
import type {
  CauseSource,
  CheckSource,
  FindingSource,
  KnowledgeSource,
  Mechanism,
  StrengthWord,
} from '../schema/schema.ts';
import { STRENGTHS } from '../schema/schema.ts';
import type { OwnCause } from './ownCause.ts';
import { ownTables } from './ownCause.ts';

/** One change that a shop makes to the tables. */
export type TableChange =
  /** How often a cause is met, among a thousand tickets. */
  | { readonly kind: 'how-often'; readonly cause: string; readonly perMille: number }
  /** Minutes that putting it right takes. */
  | { readonly kind: 'fix-minutes'; readonly cause: string; readonly minutes: number }
  /** What puts it right, in words. */
  | { readonly kind: 'remedy'; readonly cause: string; readonly text: string }
  /** How surely a cause shows a finding; `never` takes the link away. */
  | {
      readonly kind: 'shows';
      readonly cause: string;
      readonly finding: string;
      readonly strength: StrengthWord | 'never';
    }
  /** Chance that a finding is seen although no cause shows it. */
  | { readonly kind: 'by-itself'; readonly finding: string; readonly chance: number }
  | { readonly kind: 'check-minutes'; readonly check: string; readonly minutes: number }
  /** How a check is done, in words. */
  | { readonly kind: 'how'; readonly check: string; readonly text: string }
  /** The comeback risk with which the shop gives a machine back; 0 to 1. */
  | { readonly kind: 'risk-limit'; readonly limit: number }
  /** A cause found on machines of this shop that the tables do not have yet. */
  | { readonly kind: 'new-cause'; readonly own: OwnCause; readonly perMille: number };

/** Where causes stand that a shop found itself. */
const FOUND_HERE = 'found-here';

/** The tables with one change; undefined when it names something that they do not have. */
export function withChange(
  source: KnowledgeSource,
  change: TableChange,
): KnowledgeSource | undefined {
  switch (change.kind) {
    case 'how-often':
      return withCause(source, change.cause, () => ({ perMille: change.perMille }));
    case 'fix-minutes':
      return withCause(source, change.cause, () => ({ fixMinutes: change.minutes }));
    case 'remedy':
      return withCause(source, change.cause, () => ({ remedy: change.text }));
    case 'shows':
      return withCause(source, change.cause, ({ shows }) => ({
        shows: relinked(shows, change.finding, change.strength),
      }));
    case 'by-itself':
      return withFinding(source, change.finding, () => ({ leak: change.chance }));
    case 'check-minutes':
      return withCheck(source, change.check, () => ({ minutes: change.minutes }));
    case 'how':
      return withCheck(source, change.check, () => ({ how: change.text }));
    case 'risk-limit':
      return { ...source, riskLimit: change.limit };
    case 'new-cause':
      return withNewCause(source, change.own, change.perMille);
  }
}

/** The tables with all changes in their order; what names something unknown is left out. */
export function withChanges(
  source: KnowledgeSource,
  changes: readonly TableChange[],
): KnowledgeSource {
  return changes.reduce((before, change) => withChange(before, change) ?? before, source);
}

/** What a change would have stand in its place: a number, a word, or words. */
export type ChangedValue = number | string;

export function valueOfChange(change: TableChange): ChangedValue {
  switch (change.kind) {
    case 'how-often':
    case 'new-cause':
      return change.perMille;
    case 'fix-minutes':
    case 'check-minutes':
      return change.minutes;
    case 'remedy':
    case 'how':
      return change.text;
    case 'shows':
      return change.strength;
    case 'by-itself':
      return change.chance;
    case 'risk-limit':
      return change.limit;
  }
}

/** What stands in the place of a change; undefined for what the tables do not have. */
export function valueInTables(
  {
    causes,
    checks,
    findings,
    riskLimit,
  }: Pick<Knowledge, 'causes' | 'checks' | 'findings' | 'riskLimit'>,
  change: TableChange,
): ChangedValue | undefined {
  switch (change.kind) {
    case 'how-often':
      return causes.get(change.cause)?.perMille;
    case 'new-cause':
      return causes.get(change.own.id)?.perMille;
    case 'fix-minutes':
      return causes.get(change.cause)?.fixMinutes;
    case 'remedy':
      return causes.get(change.cause)?.remedy;
    case 'shows': {
      const shows = causes.get(change.cause)?.shows;
      return shows && strengthIn(shows, change.finding);
    }
    case 'by-itself':
      return findings.get(change.finding)?.leak;
    case 'check-minutes':
      return checks.get(change.check)?.minutes;
    case 'how':
      return checks.get(change.check)?.how;
    case 'risk-limit':
      return riskLimit;
  }
}

/** How surely a cause shows a finding. */
export function strengthIn(shows: CauseSource['shows'], finding: string): StrengthWord | 'never' {
  const words = Object.keys(STRENGTHS) as StrengthWord[];
  return words.find((word) => shows[word]?.includes(finding)) ?? 'never';
}

type Changed<Item> = (item: Item) => Partial<Item>;

function withCause(
  source: KnowledgeSource,
  id: string,
  changed: Changed<CauseSource>,
): KnowledgeSource | undefined {
  return withIn(source, 'causes', id, changed);
}

function withCheck(
  source: KnowledgeSource,
  id: string,
  changed: Changed<CheckSource>,
): KnowledgeSource | undefined {
  return withIn(source, 'checks', id, changed);
}

function withFinding(
  source: KnowledgeSource,
  id: string,
  changed: Changed<FindingSource>,
): KnowledgeSource | undefined {
  const check = source.mechanisms
    .flatMap(({ checks }) => checks)
    .find(({ findings }) => findings.some((finding) => finding.id === id));
  return (
    check &&
    withCheck(source, check.id, ({ findings }) => ({
      findings: findings.map((finding) =>
        finding.id === id ? { ...finding, ...changed(finding) } : finding,
      ),
    }))
  );
}

function withIn<Table extends 'causes' | 'checks'>(
  source: KnowledgeSource,
  table: Table,
  id: string,
  changed: Changed<Mechanism[Table][number]>,
): KnowledgeSource | undefined {
  const isKnown = source.mechanisms.some((mechanism) =>
    mechanism[table].some((item) => item.id === id),
  );
  if (!isKnown) return undefined;
  const mechanisms = source.mechanisms.map((mechanism) => {
    const items: readonly Mechanism[Table][number][] = mechanism[table];
    if (!items.some((item) => item.id === id)) return mechanism;
    return {
      ...mechanism,
      [table]: items.map((item) => (item.id === id ? { ...item, ...changed(item) } : item)),
    };
  });
  return { ...source, mechanisms };
}

function relinked(
  shows: CauseSource['shows'],
  finding: string,
  strength: StrengthWord | 'never',
): CauseSource['shows'] {
  const links = (Object.keys(STRENGTHS) as StrengthWord[]).flatMap((word) => {
    const others = (shows[word] ?? []).filter((other) => other !== finding);
    const here = word === strength ? [...others, finding] : others;
    return here.length > 0 ? [[word, here] as const] : [];
  });
  return Object.fromEntries(links);
}

function withNewCause(
  source: KnowledgeSource,
  own: OwnCause,
  perMille: number,
): KnowledgeSource | undefined {
  const known = source.mechanisms.some(({ causes }) => causes.some(({ id }) => id === own.id));
  if (known) return undefined;
  const { cause, check, repair } = ownTables(own);
  const here = source.mechanisms.find(({ id }) => id === FOUND_HERE);
  const grown: Mechanism = {
    id: FOUND_HERE,
    title: 'Found here',
    standing: {
      ...FIRST_VERSION,
      priors: 'shop',
      strengths: 'shop',
      leaks: 'shop',
      minutes: 'shop',
    },
    causes: [...(here?.causes ?? []), { ...cause, perMille }],
    checks: [...(here?.checks ?? []), check],
    actions: [...(here?.actions ?? []), repair],
  };
  return {
    ...source,
    mechanisms: [...source.mechanisms.filter(({ id }) => id !== FOUND_HERE), grown],
  };
}
