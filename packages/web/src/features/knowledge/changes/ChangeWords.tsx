import {
  type ChangedValue,
  type KnowledgeVersion,
  type StrengthWord,
  type TableChange,
  valueInTables,
  valueOfChange,
} from '@nodo/knowledge';
import { write } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';

/** What a change is about, in words: the cause or check, and what of it. */
export function subjectOf(change: TableChange, { knowledge }: KnowledgeVersion): string {
  const { causes, checks, findings } = knowledge;
  switch (change.kind) {
    case 'new-cause':
      return later.tables.newCause(change.own.name);
    case 'risk-limit':
      return later.tables.limitTitle;
    case 'by-itself':
      return findings.get(change.finding)?.answer ?? change.finding;
    case 'check-minutes':
    case 'how':
      return checks.get(change.check)?.title ?? change.check;
    case 'how-often':
    case 'fix-minutes':
    case 'remedy':
    case 'shows':
      return causes.get(change.cause)?.name ?? change.cause;
  }
}

/** Which of its values: for a link, the finding that is shown. */
export function whichOf(change: TableChange, { knowledge }: KnowledgeVersion): string {
  if (change.kind !== 'shows') return later.tables.kinds[change.kind];
  const { answer } = knowledge.findings.get(change.finding) ?? { answer: change.finding };
  return `${later.knowledge.showsTitle}: ${answer}`;
}

/** A value of the tables as it is read: with its unit, or the word for how surely. */
function valueWords(change: TableChange, value: ChangedValue): string {
  switch (change.kind) {
    case 'how-often':
    case 'new-cause':
      return later.tables.inThousand(write.minutes(Number(value)));
    case 'fix-minutes':
    case 'check-minutes':
      return write.duration(Number(value));
    case 'by-itself':
    case 'risk-limit':
      return write.fine(Number(value));
    case 'shows':
      return value === 'never'
        ? later.tables.never
        : later.knowledge.strengths[value as StrengthWord];
    case 'remedy':
    case 'how':
      return String(value);
  }
}

/** From what to what, short values side by side, words below each other. */
export function FromTo({
  change,
  before,
  after = later.tables.to,
}: {
  readonly change: TableChange;
  /** The tables before the change, and how they are called. */
  readonly before: { readonly version: KnowledgeVersion; readonly name: string };
  readonly after?: string;
}) {
  const so = valueInTables(before.version.knowledge, change);
  return (
    <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-3">
      {so !== undefined && (
        <>
          <dt className="text-quiet">{before.name}</dt>
          <dd>{valueWords(change, so)}</dd>
        </>
      )}
      <dt className="text-quiet">{after}</dt>
      <dd className="font-semibold">{valueWords(change, valueOfChange(change))}</dd>
    </dl>
  );
}
