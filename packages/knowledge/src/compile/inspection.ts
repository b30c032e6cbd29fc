import type {
  ActionSource,
  CauseSource,
  CheckSource,
  DutySource,
  Family,
  FindingSource,
  KnowledgeSource,
} from '../schema/schema.ts';
import type { KnowledgeIssue, KnowledgeIssueCode } from './issues.ts';

/** The tables by id while they are looked over, and the faults seen so far. */
export class Inspection {
  readonly faults: KnowledgeIssue[] = [];
  readonly families: ReadonlyMap<string, Family>;
  readonly causes: ReadonlyMap<string, CauseSource>;
  readonly checks: ReadonlyMap<string, CheckSource>;
  readonly findings: ReadonlyMap<string, FindingSource & { readonly check: string }>;
  readonly actions: ReadonlyMap<string, ActionSource>;
  readonly duties: ReadonlyMap<string, DutySource>;
  readonly accessIds: ReadonlySet<string>;
  /** Traits, with family ids among them: `applies` may name either. */
  readonly traits: ReadonlySet<string>;

  constructor(readonly source: KnowledgeSource) {
    const { mechanisms } = source;
    this.families = this.index('families', source.families);
    this.causes = this.index(
      'causes',
      mechanisms.flatMap(({ causes }) => causes),
    );
    this.checks = this.index(
      'checks',
      mechanisms.flatMap(({ checks }) => checks),
    );
    this.findings = this.index(
      'findings',
      [...this.checks.values()].flatMap((check) =>
        check.findings.map((finding) => ({ ...finding, check: check.id })),
      ),
    );
    this.actions = this.index(
      'actions',
      mechanisms.flatMap(({ actions }) => actions),
    );
    this.duties = this.index('duties', source.duties);
    this.accessIds = new Set(source.access.map(({ id }) => id));
    this.traits = new Set(source.families.flatMap(({ id, traits }) => [id, ...traits]));
  }

  report(code: KnowledgeIssueCode, path: string, detail: string): void {
    this.faults.push({ code, path, detail });
  }

  /** Reports a number outside `from` to `to`, both included. */
  range(path: string, value: number, from: number, to: number): void {
    if (!(value >= from && value <= to)) {
      this.report('out-of-range', path, `${String(value)} is not within ${from} to ${to}`);
    }
  }

  trait(path: string, applies: string | undefined): void {
    if (applies !== undefined && !this.traits.has(applies)) {
      this.report('unknown-trait', path, applies);
    }
  }

  private index<T extends { readonly id: string }>(
    table: string,
    items: readonly T[],
  ): Map<string, T> {
    const byId = new Map<string, T>();
    for (const item of items) {
      if (byId.has(item.id)) this.report('double-id', table, item.id);
      byId.set(item.id, item);
    }
    return byId;
  }
}
