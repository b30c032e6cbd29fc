/** What can be wrong with the tables; each kind has its test. */
export type KnowledgeIssueCode =
  | 'double-id'
  | 'unknown-cause'
  | 'unknown-check'
  | 'unknown-finding'
  | 'unknown-action'
  | 'unknown-access'
  | 'unknown-trait'
  | 'unknown-token'
  | 'unknown-strength'
  | 'link-twice'
  | 'definer-shared'
  | 'definer-unlinked'
  | 'cause-untreated'
  | 'cause-unseen'
  | 'check-without-normal'
  | 'check-without-finding'
  | 'trial-unclear'
  | 'trial-linked'
  | 'observes-unsewn'
  | 'observation-linked'
  | 'requires-circle'
  | 'access-circle'
  | 'out-of-range'
  | 'no-standing'
  | 'duty-cannot-clear';

export interface KnowledgeIssue {
  readonly code: KnowledgeIssueCode;
  /** Where it stands, outermost first: `case / case-burr / shows`. */
  readonly path: string;
  readonly detail: string;
}
