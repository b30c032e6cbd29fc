import type { Candidate, Customer } from '@nodo/api';
import type { KnowledgeSource } from '@nodo/knowledge';
import type { TableEvent } from '@nodo/tables';
import { beginsTicket, type RackEntry, type TicketEvent, type TicketSummary } from '@nodo/ticket';
import { candidatesIn } from './candidates.ts';
import { type Appended, type Batch, byPlace, type Cursor, type EventStore } from './port.ts';

interface ShopMemory {
  readonly events: Map<string, TicketEvent[]>;
  readonly ids: Set<string>;
  readonly summaries: Map<string, TicketSummary>;
  readonly customers: Map<string, Customer>;
  readonly customerOf: Map<string, string>;
  readonly versions: Map<string, KnowledgeSource>;
  readonly tableEvents: TableEvent[];
}

/** Tickets in memory: for tests and simulations, under the same suite as PostgreSQL. */
export class MemoryEventStore implements EventStore {
  private readonly shops = new Map<string, ShopMemory>();

  async load(shop: string, ticket: string, after = 0): Promise<readonly TicketEvent[]> {
    return (this.of(shop).events.get(ticket) ?? []).filter(({ seq }) => seq > after);
  }

  async loadWithTables(
    shop: string,
    ticket: string,
    after = 0,
  ): Promise<{ readonly events: readonly TicketEvent[]; readonly tables: readonly TableEvent[] }> {
    return {
      events: await this.load(shop, ticket, after),
      tables: await this.tableEvents(shop),
    };
  }

  async loadAll(shop: string, tickets: readonly string[]): Promise<readonly TicketEvent[]> {
    return tickets.flatMap((ticket) => this.of(shop).events.get(ticket) ?? []);
  }

  async append(shop: string, batch: Batch): Promise<Appended> {
    const memory = this.of(shop);
    const stored = memory.events.get(batch.ticket) ?? [];
    const [first] = batch.events;
    if (batch.events.some(({ id }) => memory.ids.has(id))) return 'id-taken';
    if (!first || first.seq !== batch.after + 1 || stored.length !== batch.after)
      return 'seq-taken';
    const { summary } = batch;
    const hangs = [...memory.summaries.values()].some(
      ({ ticket, tag, status }) =>
        ticket !== batch.ticket && tag !== null && tag === summary.tag && status !== 'collected',
    );
    if (hangs && summary.status !== 'collected') return 'tag-taken';

    memory.events.set(batch.ticket, [...stored, ...batch.events]);
    for (const { id } of batch.events) memory.ids.add(id);
    memory.summaries.set(batch.ticket, summary);
    const [begins] = batch.events;
    if (batch.customer) memory.customers.set(batch.customer.id, batch.customer);
    if (begins && beginsTicket(begins) && begins.body.customer !== null) {
      memory.customerOf.set(batch.ticket, begins.body.customer);
    }
    if (batch.version) memory.versions.set(batch.version.hash, batch.version.content);
    return 'appended';
  }

  async rack(shop: string): Promise<readonly RackEntry[]> {
    const memory = this.of(shop);
    return [...memory.summaries.values()]
      .filter(({ status }) => status !== 'collected')
      .map((summary) => withName(memory, summary))
      .sort(byPlace);
  }

  async newsOf(
    shop: string,
    ticket: string,
    after: number,
  ): Promise<{ readonly events: readonly TicketEvent[]; readonly rack: RackEntry | undefined }> {
    const memory = this.of(shop);
    const summary = memory.summaries.get(ticket);
    return {
      events: await this.load(shop, ticket, after),
      rack: summary && withName(memory, summary),
    };
  }

  async customers(shop: string, ids: readonly string[]): Promise<ReadonlyMap<string, Customer>> {
    const { customers } = this.of(shop);
    return new Map(
      ids.flatMap((id) => {
        const customer = customers.get(id);
        return customer ? [[id, customer] as const] : [];
      }),
    );
  }

  async collected(
    shop: string,
    before: Cursor | undefined,
    most: number,
  ): Promise<readonly RackEntry[]> {
    const memory = this.of(shop);
    return [...memory.summaries.values()]
      .filter(({ status }) => status === 'collected')
      .sort((a, b) => (isEarlier(a, { at: b.collectedAt ?? '', id: b.ticket }) ? 1 : -1))
      .filter((line) => !before || isEarlier(line, before))
      .slice(0, most)
      .map((summary) => withName(memory, summary));
  }

  async linesOf(shop: string, tickets: readonly string[]): Promise<readonly RackEntry[]> {
    const memory = this.of(shop);
    return tickets.flatMap((ticket) => {
      const summary = memory.summaries.get(ticket);
      return summary ? [withName(memory, summary)] : [];
    });
  }

  async openAfter(
    shop: string,
    after: string | undefined,
    most: number,
  ): Promise<readonly string[]> {
    return (await this.ticketIds(shop, 'open'))
      .filter((id) => after === undefined || id > after)
      .sort()
      .slice(0, most);
  }

  async replaceSummary(shop: string, summary: TicketSummary): Promise<void> {
    const { summaries } = this.of(shop);
    const there = summaries.get(summary.ticket);
    if (there && there.seq <= summary.seq) summaries.set(summary.ticket, summary);
  }

  async ticketIds(shop: string, wanted?: TicketSummary['status']): Promise<readonly string[]> {
    return [...this.of(shop).summaries.values()]
      .filter(({ status }) => wanted === undefined || status === wanted)
      .map(({ ticket }) => ticket);
  }

  async version(shop: string, hash: string): Promise<KnowledgeSource | undefined> {
    return this.of(shop).versions.get(hash);
  }

  async tableEvents(shop: string): Promise<readonly TableEvent[]> {
    return [...this.of(shop).tableEvents];
  }

  async appendTableEvent(
    shop: string,
    event: TableEvent,
  ): Promise<'appended' | 'seq-taken' | 'id-taken'> {
    const { tableEvents } = this.of(shop);
    if (tableEvents.some(({ id }) => id === event.id)) return 'id-taken';
    if (event.seq !== tableEvents.length + 1) return 'seq-taken';
    tableEvents.push(event);
    return 'appended';
  }

  async candidates(shop: string): Promise<readonly Candidate[]> {
    return candidatesIn([...this.of(shop).events.values()].flat());
  }

  async announceTables(): Promise<void> {
    // Nobody listens to a memory.
  }

  private of(shop: string): ShopMemory {
    const known = this.shops.get(shop);
    if (known) return known;
    const fresh: ShopMemory = {
      events: new Map(),
      ids: new Set(),
      summaries: new Map(),
      customers: new Map(),
      customerOf: new Map(),
      versions: new Map(),
      tableEvents: [],
    };
    this.shops.set(shop, fresh);
    return fresh;
  }
}

function isEarlier({ collectedAt, ticket }: TicketSummary, { at, id }: Cursor): boolean {
  const own = collectedAt ?? '';
  return own === at ? ticket < id : own < at;
}

function withName(memory: ShopMemory, summary: TicketSummary): RackEntry {
  const customer = memory.customers.get(memory.customerOf.get(summary.ticket) ?? '');
  return {
    ...summary,
    customerName: customer?.name ?? null,
    customerPhone: customer?.phone ?? null,
  };
}
