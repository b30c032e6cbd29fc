import type { Notice } from '@nodo/api';
import type { Role } from '@nodo/kernel';
import type { KnowledgeSource } from '@nodo/knowledge';
import type { TableEvent } from '@nodo/tables';
import { type RecordedEvent, type TicketEvent, type TicketSummary, upgraded } from '@nodo/ticket';
import type { CreationAttributes, Sequelize } from 'sequelize';
import {
  document,
  fromZero,
  id,
  inKey,
  instant,
  key,
  perhaps,
  type Row,
  table,
  text,
  whole,
} from './columns.ts';

/** What both streams keep of an entry, whatever happened. */
const streamColumns = () => ({
  shopId: key(),
  seq: inKey(whole()),
  id: id(),
  type: text(),
  version: whole(),
  actorId: id(),
  actorRole: text<Role>(),
  device: text(),
  observedAt: instant(),
  receivedAt: instant(),
  body: document<object>(),
});

/** The tables as the migrations made them. */
export function defineModels(db: Sequelize) {
  return {
    events: table(db, 'ticket_event', {
      ...streamColumns(),
      ticketId: key(),
      epoch: whole(),
      knowledge: text(),
      sentBy: perhaps(id()),
    }),
    tableEvents: table(db, 'table_event', streamColumns()),
    summaries: table(db, 'ticket_summary', {
      shopId: key(),
      ticketId: key(),
      tag: perhaps(whole()),
      status: text(),
      customerId: perhaps(id()),
      machineId: perhaps(id()),
      changedAt: instant(),
      collectedAt: perhaps(instant()),
      line: document<TicketSummary>(),
    }),
    customers: table(db, 'customer', {
      shopId: key(),
      id: key(),
      name: text(),
      phone: text(),
      other: text(),
      reach: text(),
      notes: text(),
      revision: fromZero(whole()),
      mergedInto: perhaps(id()),
      erasedAt: perhaps(instant()),
    }),
    people: table(db, 'person', {
      shopId: key(),
      id: key(),
      login: text(),
      name: text(),
      initials: text(),
      role: text(),
      thread: whole(),
      /** Null as long as nobody has turned the lead's code into a password. */
      passwordHash: perhaps(text()),
      pinHash: perhaps(text()),
      lockedAt: perhaps(instant()),
    }),
    shops: table(db, 'shop', { id: key(), name: text(), filledAt: perhaps(instant()) }),
    notices: table(db, 'notice', {
      shopId: key(),
      id: key(),
      at: instant(),
      body: document<Notice>(),
      putAwayAt: perhaps(instant()),
      putAwayBy: perhaps(id()),
    }),
    versions: table(db, 'knowledge_edition', {
      shopId: key(),
      hash: inKey(text()),
      content: document<KnowledgeSource>(),
    }),
  };
}

export type Models = ReturnType<typeof defineModels>;
export type EventRow = Row<Models['events']>;
export type TableEventRow = Row<Models['tableEvents']>;
export type SummaryRow = Row<Models['summaries']>;
export type CustomerRow = Row<Models['customers']>;
export type PersonRow = Row<Models['people']>;

/** A stored event as this version reads it. */
export function toEvent(row: EventRow): TicketEvent {
  return upgraded({
    ...toStreamed(row),
    ticket: row.ticketId,
    epoch: row.epoch,
    knowledge: row.knowledge,
    ...(row.sentBy ? { sentBy: row.sentBy } : {}),
  });
}

export function fromEvent(shop: string, event: TicketEvent): CreationAttributes<EventRow> {
  return {
    ...fromStreamed(shop, event),
    ticketId: event.ticket,
    epoch: event.epoch,
    knowledge: event.knowledge,
    sentBy: event.sentBy ?? null,
  };
}

export function toTableEvent(row: TableEventRow): TableEvent {
  return toStreamed(row) as TableEvent;
}

/** The columns of either stream, for an entry of a shop. */
export function fromStreamed(
  shop: string,
  event: TicketEvent | TableEvent,
): CreationAttributes<TableEventRow> {
  return {
    shopId: shop,
    seq: event.seq,
    id: event.id,
    type: event.type,
    version: event.version,
    actorId: event.actor.person,
    actorRole: event.actor.role,
    device: event.device,
    observedAt: new Date(event.observedAt),
    receivedAt: new Date(event.receivedAt),
    body: event.body,
  };
}

function toStreamed(
  row: EventRow | TableEventRow,
): Omit<RecordedEvent, 'ticket' | 'epoch' | 'knowledge'> {
  return {
    id: row.id,
    seq: row.seq,
    type: row.type,
    version: row.version,
    actor: { person: row.actorId, role: row.actorRole },
    device: row.device,
    observedAt: row.observedAt.toISOString(),
    receivedAt: row.receivedAt.toISOString(),
    body: row.body,
  };
}
