import type { CauseSource, CheckSource, FindingSource, KnowledgeSource } from '@nodo/knowledge';
import { STRENGTHS, type StrengthWord } from '@nodo/knowledge';
import type { Proposal } from '@nodo/tables';
import type { Column } from './csv.ts';
import { AND } from './sheets.ts';

export const CAUSE_COLUMNS: readonly Column<CauseSource>[] = [
  { name: 'id', of: ({ id }) => id },
  { name: 'name', of: ({ name }) => name },
  { name: 'remedy', of: ({ remedy }) => remedy },
  { name: 'per_mille', of: ({ perMille }) => perMille },
  { name: 'side', of: ({ side }) => side },
  { name: 'fix_minutes', of: ({ fixMinutes }) => fixMinutes },
  { name: 'by_phone', of: ({ byPhone }) => byPhone },
  { name: 'needs_trait', of: ({ applies }) => applies ?? null },
  { name: 'shown_by', of: ({ shownBy }) => shownBy ?? null },
];

/** One thing that a cause shows. */
export interface ShowsRow {
  readonly cause: string;
  readonly finding: string;
  readonly strength: StrengthWord;
}

export const SHOWS_COLUMNS: readonly Column<ShowsRow>[] = [
  { name: 'cause', of: ({ cause }) => cause },
  { name: 'finding', of: ({ finding }) => finding },
  { name: 'strength', of: ({ strength }) => strength },
  { name: 'chance', of: ({ strength }) => STRENGTHS[strength] },
];

export const CHECK_COLUMNS: readonly Column<CheckSource>[] = [
  { name: 'id', of: ({ id }) => id },
  { name: 'title', of: ({ title }) => title },
  { name: 'minutes', of: ({ minutes }) => minutes },
  { name: 'where', of: ({ where }) => where },
  { name: 'place', of: ({ place }) => place },
  { name: 'needs', of: ({ needs }) => needs },
  { name: 'needs_trait', of: ({ applies }) => applies ?? null },
  { name: 'hazard', of: ({ hazard }) => hazard ?? null },
  { name: 'tools', of: ({ tools = [] }) => tools.join(AND) },
  { name: 'requires', of: ({ requires = [] }) => requires.join(AND) },
  { name: 'how', of: ({ how }) => how },
  { name: 'normal', of: ({ normal }) => normal },
];

/** An answer of a check. */
export interface FindingRow {
  readonly check: string;
  readonly finding: FindingSource;
}

export const FINDING_COLUMNS: readonly Column<FindingRow>[] = [
  { name: 'check', of: ({ check }) => check },
  { name: 'id', of: ({ finding }) => finding.id },
  { name: 'answer', of: ({ finding }) => finding.answer },
  { name: 'by_itself', of: ({ finding }) => finding.leak },
  { name: 'defines', of: ({ finding }) => finding.defines ?? null },
  { name: 'needs_trait', of: ({ finding }) => finding.applies ?? null },
];

export const CHANGE_COLUMNS: readonly Column<Proposal>[] = [
  { name: 'id', of: ({ id }) => id },
  { name: 'state', of: ({ state }) => state },
  { name: 'kind', of: ({ change }) => change.kind },
  { name: 'change', of: ({ change: { kind: _kind, ...what } }) => JSON.stringify(what) },
  { name: 'reason', of: ({ reason }) => reason },
  { name: 'proposed_by', of: ({ by }) => by.person },
  { name: 'proposed_at', of: ({ at }) => at },
  { name: 'accepted_by', of: ({ accepted }) => accepted?.by.person ?? null },
  { name: 'accepted_at', of: ({ accepted }) => accepted?.at ?? null },
  { name: 'withdrawn_by', of: ({ withdrawn }) => withdrawn?.by.person ?? null },
  { name: 'withdrawn_at', of: ({ withdrawn }) => withdrawn?.at ?? null },
  { name: 'withdrawn_because', of: ({ withdrawn }) => withdrawn?.reason ?? null },
];

/** All causes of the tables. */
export function causesOf({ mechanisms }: KnowledgeSource): readonly CauseSource[] {
  return mechanisms.flatMap(({ causes }) => causes);
}

/** All checks of the tables. */
export function checksOf({ mechanisms }: KnowledgeSource): readonly CheckSource[] {
  return mechanisms.flatMap(({ checks }) => checks);
}

/** What the causes of the tables show, one row each. */
export function showsOf(source: KnowledgeSource): readonly ShowsRow[] {
  const words = Object.keys(STRENGTHS) as StrengthWord[];
  return causesOf(source).flatMap(({ id, shows }) =>
    words.flatMap((strength) =>
      (shows[strength] ?? []).map((finding) => ({ cause: id, finding, strength })),
    ),
  );
}

/** The answers of the tables' checks, one row each. */
export function findingsOf(source: KnowledgeSource): readonly FindingRow[] {
  return checksOf(source).flatMap(({ id, findings }) =>
    findings.map((finding) => ({ check: id, finding })),
  );
}
