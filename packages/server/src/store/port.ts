import type { Candidate, Customer, NewMachine } from '@nodo/api';
import type { KnowledgeSource } from '@nodo/knowledge';
import type { TableEvent } from '@nodo/tables';
import type { RackEntry, TicketEvent, TicketSummary } from '@nodo/ticket';

/** Where a page ends: that far back in time, and which of one instant. */
export interface Cursor {
  readonly at: string;
  readonly id: string;
}

/** One version of the tables in full, kept with the events that were judged with it. */
export interface StoredVersion {
  readonly hash: string;
  readonly content: KnowledgeSource;
}

/** What is written together or not at all. */
export interface Batch {
  readonly ticket: string;
  /** Place of the last event the writer knew of; 0 for a new ticket. */
  readonly after: number;
  /** The next events, without a gap. */
  readonly events: readonly TicketEvent[];
  /** The ticket's line on the Rack after them. */
  readonly summary: TicketSummary;
  /** A customer to be written down with a new ticket; one that is known already stays as it is. */
  readonly customer?: Customer;
  /** A machine to be written down with a new ticket, likewise. */
  readonly machine?: NewMachine;
  /** The tables that these events were judged with, when they may be new to the shop. */
  readonly version?: StoredVersion;
}

/**
 * `seq-taken`: somebody else appended first, read again and decide again.
 * `id-taken`: an event of this id is stored already.
 * `tag-taken`: another machine in the shop hangs on this shelf tag.
 * `unknown-customer`, `unknown-machine`: it names one that the shop does not have.
 */
export type Appended =
  | 'appended'
  | 'seq-taken'
  | 'id-taken'
  | 'tag-taken'
  | 'unknown-customer'
  | 'unknown-machine';

/**
 * Where tickets are kept. Append-only: no call changes or removes an event. Every call is
 * of one shop and sees nothing of another. All adapters pass `eventStoreSuite`.
 */
export interface EventStore extends TablesStore {
  /** All events of a ticket after a place, in order; empty for an unknown ticket. */
  load(shop: string, ticket: string, after?: number): Promise<readonly TicketEvent[]>;
  /** The events of a ticket after a place, and those of the shop's tables, as they were at one moment. */
  loadWithTables(
    shop: string,
    ticket: string,
    after?: number,
  ): Promise<{ readonly events: readonly TicketEvent[]; readonly tables: readonly TableEvent[] }>;
  /** All events of several tickets, each ticket's in order. */
  loadAll(shop: string, tickets: readonly string[]): Promise<readonly TicketEvent[]>;
  append(shop: string, batch: Batch): Promise<Appended>;
  /** Every machine that is in the shop, by shelf and tag. */
  rack(shop: string): Promise<readonly RackEntry[]>;
  /** What is new on a ticket after a place, with its line on the Rack as it is then. */
  newsOf(
    shop: string,
    ticket: string,
    after: number,
  ): Promise<{ readonly events: readonly TicketEvent[]; readonly rack: RackEntry | undefined }>;
  /**
   * Customers by the ids that tickets name. One that turned out to be a double is returned as the
   * one it was merged into; an erased one is left out.
   */
  customers(shop: string, ids: readonly string[]): Promise<ReadonlyMap<string, Customer>>;
  /** What was fetched, the latest first. @param before the last of the page before */
  collected(shop: string, before: Cursor | undefined, most: number): Promise<readonly RackEntry[]>;
  /** The lines of these tickets, wherever their machines are. */
  linesOf(shop: string, tickets: readonly string[]): Promise<readonly RackEntry[]>;
  /** Ids of open tickets after one of them, in the order of the ids. */
  openAfter(shop: string, after: string | undefined, most: number): Promise<readonly string[]>;
  /**
   * Writes a ticket summary again; for rebuilding them from the events. A summary of a later
   * event stays.
   */
  replaceSummary(shop: string, summary: TicketSummary): Promise<void>;
  /** @param status those with this one only; all, when left out. */
  ticketIds(shop: string, status?: TicketSummary['status']): Promise<readonly string[]>;
  /** The tables of that hash; undefined when no event of the shop was judged with them. */
  version(shop: string, hash: string): Promise<KnowledgeSource | undefined>;
}

/** Where the changes to a shop's tables are kept; append-only like its tickets. */
export interface TablesStore {
  tableEvents(shop: string): Promise<readonly TableEvent[]>;
  appendTableEvent(shop: string, event: TableEvent): Promise<'appended' | 'seq-taken' | 'id-taken'>;
  /** Causes named on tickets because no table has them, the latest first; not those taken back. */
  candidates(shop: string): Promise<readonly Candidate[]>;
  /** Tells every screen of the shop that its tables or all of its Rack may have changed. */
  announceTables(shop: string): Promise<void>;
}

/** Shelf by shelf, along the tags; what is not in the shop before them. */
export function byPlace(a: RackEntry, b: RackEntry): number {
  return a.shelf === b.shelf ? (a.tag ?? 0) - (b.tag ?? 0) : a.shelf < b.shelf ? -1 : 1;
}
