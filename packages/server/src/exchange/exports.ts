import type { ExportName } from '@nodo/api';
import {
  BILL_COLUMNS,
  CAUSE_COLUMNS,
  CHANGE_COLUMNS,
  CHECK_COLUMNS,
  type Column,
  CUSTOMER_COLUMNS,
  causesOf,
  checksOf,
  csvHeader,
  csvLines,
  FINDING_COLUMNS,
  findingsOf,
  MACHINE_COLUMNS,
  MEASURE_COLUMNS,
  PART_COLUMNS,
  SHOWS_COLUMNS,
  showsOf,
  TICKET_COLUMNS,
  type TicketLine,
  ticketSchema,
} from '@nodo/exchange';
import { type ChangeRequests, foldChangeRequests, versionInForce } from '@nodo/tables';
import { byTicket, foldTicket, type RackEntry, type Ticket, type TicketEvent } from '@nodo/ticket';
import type { ExchangeRows } from './rows.ts';

/** So many tickets are read at a time: a shop's whole life does not lie in memory. */
const AT_A_TIME = 200;

/** A ticket as it is written out. */
interface Written {
  readonly line: RackEntry;
  readonly events: readonly TicketEvent[];
  readonly ticket: Ticket;
}

/** What the shop wrote, as the text of a file, piece by piece. */
export async function* exportOf(
  name: ExportName,
  rows: ExchangeRows,
  shop: string,
): AsyncGenerator<string> {
  switch (name) {
    case 'customers.csv':
      yield sheet(CUSTOMER_COLUMNS, (await rows.customers(shop)).there);
      return;
    case 'machines.csv':
      yield sheet(MACHINE_COLUMNS, await rows.machines(shop));
      return;
    case 'bills.csv':
      yield sheet(
        BILL_COLUMNS,
        (await rows.bills(shop)).map((bill) => ({ bill })),
      );
      return;
    case 'tickets.csv':
    case 'measures.csv':
    case 'parts.csv':
      yield* ofTickets(name, rows, shop);
      return;
    case 'tickets.jsonl':
      for await (const page of tickets(rows, shop)) {
        yield page.map((one) => `${JSON.stringify(lineOf(one))}\n`).join('');
      }
      return;
    case 'ticket.schema.json':
      yield JSON.stringify(ticketSchema(), null, 2);
      return;
    case 'changes.json':
      yield JSON.stringify(await rows.store.tableEvents(shop), null, 2);
      return;
    case 'changes.csv':
    case 'causes.csv':
    case 'checks.csv':
    case 'shows.csv':
    case 'findings.csv':
    case 'tables.json':
      yield ofTables(name, foldChangeRequests(await rows.store.tableEvents(shop)));
  }
}

function ofTables(
  name: 'changes.csv' | 'causes.csv' | 'checks.csv' | 'shows.csv' | 'findings.csv' | 'tables.json',
  requests: ChangeRequests,
): string {
  const { source, knowledge } = versionInForce(requests);
  switch (name) {
    case 'changes.csv':
      return sheet(CHANGE_COLUMNS, requests.proposals);
    case 'causes.csv':
      return sheet(CAUSE_COLUMNS, causesOf(source));
    case 'checks.csv':
      return sheet(CHECK_COLUMNS, checksOf(source));
    case 'shows.csv':
      return sheet(SHOWS_COLUMNS, showsOf(source));
    case 'findings.csv':
      return sheet(FINDING_COLUMNS, findingsOf(source));
    case 'tables.json':
      return JSON.stringify({ hash: knowledge.hash, tables: source }, null, 2);
  }
}

async function* ofTickets(
  name: 'tickets.csv' | 'measures.csv' | 'parts.csv',
  rows: ExchangeRows,
  shop: string,
): AsyncGenerator<string> {
  const currency = await rows.currency(shop);
  const columns = {
    'tickets.csv': TICKET_COLUMNS,
    'measures.csv': MEASURE_COLUMNS,
    'parts.csv': PART_COLUMNS,
  };
  yield csvHeader<never>(columns[name]);
  for await (const page of tickets(rows, shop)) {
    if (name === 'tickets.csv') {
      const lines = page.map((one) => ({ line: one.line, customer: customerOf(one), currency }));
      yield csvLines(TICKET_COLUMNS, lines);
    } else if (name === 'measures.csv') {
      const lines = page.flatMap(({ line, ticket }) =>
        ticket.life.measures.map((measure) => ({ line, currency, measure })),
      );
      yield csvLines(MEASURE_COLUMNS, lines);
    } else {
      const lines = page.flatMap(({ line, ticket }) =>
        ticket.life.parts.map((part) => ({ line, currency, part })),
      );
      yield csvLines(PART_COLUMNS, lines);
    }
  }
}

/** Every ticket of the shop, in the order of the ids; what is written meanwhile may be among it or not. */
async function* tickets({ store }: ExchangeRows, shop: string): AsyncGenerator<readonly Written[]> {
  const ids = (await store.ticketIds(shop)).toSorted();
  for (let from = 0; from < ids.length; from += AT_A_TIME) {
    const page = ids.slice(from, from + AT_A_TIME);
    const [lines, events] = await Promise.all([
      store.linesOf(shop, page),
      store.loadAll(shop, page),
    ]);
    const found = byTicket(events);
    yield lines
      .toSorted((a, b) => (a.ticket < b.ticket ? -1 : 1))
      .map((line) => {
        const own = found.get(line.ticket) ?? [];
        return { line, events: own, ticket: foldTicket(line.ticket, own) };
      });
  }
}

function lineOf(written: Written): TicketLine {
  const { line, events } = written;
  return {
    format: 'nodo-ticket',
    version: 1,
    ticket: line.ticket,
    customer: customerOf(written),
    machine: line.machine,
    events: [...events],
  };
}

function customerOf({ ticket }: Written): string | null {
  return ticket.intake?.customer ?? null;
}

function sheet<Row>(columns: readonly Column<Row>[], rows: readonly Row[]): string {
  return csvHeader(columns) + csvLines(columns, rows);
}
