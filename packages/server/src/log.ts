/** One thing that happened, for whoever looks after the server; never what people wrote, nor who they are. */
export interface LogEntry {
  /** A warning needs no hand; an error does if it stays. */
  readonly level: 'info' | 'warn' | 'error';
  /** What happened, by a name that stays the same; what is special to this time stands in other fields. */
  readonly event: string;
  readonly [field: string]: string | number | undefined;
}
export type Log = (entry: LogEntry) => void;

/** What went wrong, with where. */
export function faultText(fault: unknown): string {
  return fault instanceof Error ? (fault.stack ?? fault.message) : String(fault);
}
