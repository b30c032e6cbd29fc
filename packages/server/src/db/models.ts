import type { Role } from '@nodo/kernel';
import type { KnowledgeSource } from '@nodo/knowledge';
import type { TableEvent } from '@nodo/tables';
import { type RecordedEvent, type TicketEvent, type TicketSummary, upgraded } from '@nodo/ticket';
import type {
  CreationOptional,
  InferAttributes,
  InferCreationAttributes,
  Model,
  ModelStatic,
  Sequelize,
} from 'sequelize';
import {
  AS_MIGRATED,
  document,
  id,
  instant,
  key,
  perhapsId,
  perhapsInstant,
  perhapsText,
  perhapsWhole,
  text,
  whole,
} from './columns.ts';

/** What both streams keep of an entry, whatever happened. */
interface StreamRow {
  shopId: string;
  seq: number;
  id: string;
  type: string;
  version: number;
  actorId: string;
  actorRole: Role;
  device: string;
  observedAt: Date;
  receivedAt: Date;
  body: object;
}

export interface TableEventRow
  extends Model<InferAttributes<TableEventRow>, InferCreationAttributes<TableEventRow>>,
    StreamRow {}

export interface EventRow
  extends Model<InferAttributes<EventRow>, InferCreationAttributes<EventRow>>,
    StreamRow {
  ticketId: string;
  epoch: number;
  knowledge: string;
}

export interface SummaryRow
  extends Model<InferAttributes<SummaryRow>, InferCreationAttributes<SummaryRow>> {
  shopId: string;
  ticketId: string;
  tag: number | null;
  status: string;
  customerId: string | null;
  machineId: string | null;
  changedAt: Date;
  line: TicketSummary;
}

export interface CustomerRow
  extends Model<InferAttributes<CustomerRow>, InferCreationAttributes<CustomerRow>> {
  shopId: string;
  id: string;
  name: string;
  phone: string;
  other: string;
  reach: string;
  notes: string;
  revision: CreationOptional<number>;
  mergedInto: CreationOptional<string | null>;
  erasedAt: CreationOptional<Date | null>;
}

export interface PersonRow
  extends Model<InferAttributes<PersonRow>, InferCreationAttributes<PersonRow>> {
  shopId: string;
  id: string;
  login: string;
  name: string;
  initials: string;
  role: string;
  thread: number;
  /** Null as long as nobody has turned the lead's code into a password. */
  passwordHash: string | null;
  pinHash: CreationOptional<string | null>;
  lockedAt: CreationOptional<Date | null>;
}

export interface ShopRow extends Model<InferAttributes<ShopRow>, InferCreationAttributes<ShopRow>> {
  id: string;
  name: string;
}

export interface EditionRow
  extends Model<InferAttributes<EditionRow>, InferCreationAttributes<EditionRow>> {
  shopId: string;
  hash: string;
  content: KnowledgeSource;
}

export interface Models {
  readonly events: ModelStatic<EventRow>;
  readonly tableEvents: ModelStatic<TableEventRow>;
  readonly summaries: ModelStatic<SummaryRow>;
  readonly customers: ModelStatic<CustomerRow>;
  readonly people: ModelStatic<PersonRow>;
  readonly shops: ModelStatic<ShopRow>;
  readonly editions: ModelStatic<EditionRow>;
}

const streamColumns = () => ({
  shopId: key(),
  seq: { ...whole(), primaryKey: true },
  id: id(),
  type: text(),
  version: whole(),
  actorId: id(),
  actorRole: text(),
  device: text(),
  observedAt: instant(),
  receivedAt: instant(),
  body: document(),
});

/** The tables as the migrations made them. */
export function defineModels(db: Sequelize): Models {
  return {
    events: db.define<EventRow>(
      'ticket_event',
      {
        ...streamColumns(),
        ticketId: key(),
        epoch: whole(),
        knowledge: text(),
      },
      AS_MIGRATED,
    ),
    tableEvents: db.define<TableEventRow>('table_event', streamColumns(), AS_MIGRATED),
    summaries: db.define<SummaryRow>(
      'ticket_summary',
      {
        shopId: key(),
        ticketId: key(),
        tag: perhapsWhole(),
        status: text(),
        customerId: perhapsId(),
        machineId: perhapsId(),
        changedAt: instant(),
        line: document(),
      },
      AS_MIGRATED,
    ),
    customers: db.define<CustomerRow>(
      'customer',
      {
        shopId: key(),
        id: key(),
        name: text(),
        phone: text(),
        other: text(),
        reach: text(),
        notes: text(),
        revision: { ...whole(), defaultValue: 0 },
        mergedInto: perhapsId(),
        erasedAt: perhapsInstant(),
      },
      AS_MIGRATED,
    ),
    people: db.define<PersonRow>(
      'person',
      {
        shopId: key(),
        id: key(),
        login: text(),
        name: text(),
        initials: text(),
        role: text(),
        thread: whole(),
        passwordHash: perhapsText(),
        pinHash: perhapsText(),
        lockedAt: perhapsInstant(),
      },
      AS_MIGRATED,
    ),
    shops: db.define<ShopRow>('shop', { id: key(), name: text() }, AS_MIGRATED),
    editions: db.define<EditionRow>(
      'knowledge_edition',
      {
        shopId: key(),
        hash: { ...text(), primaryKey: true },
        content: document(),
      },
      AS_MIGRATED,
    ),
  };
}

/** A stored event as this version reads it. */
export function toEvent(row: EventRow): TicketEvent {
  return upgraded({
    ...toStreamed(row),
    ticket: row.ticketId,
    epoch: row.epoch,
    knowledge: row.knowledge,
  });
}

export function fromEvent(shop: string, event: TicketEvent): InferCreationAttributes<EventRow> {
  return {
    ...fromStreamed(shop, event),
    ticketId: event.ticket,
    epoch: event.epoch,
    knowledge: event.knowledge,
  };
}

export function toTableEvent(row: TableEventRow): TableEvent {
  return toStreamed(row) as TableEvent;
}

/** The columns of either stream, for an entry of a shop. */
export function fromStreamed(shop: string, event: TicketEvent | TableEvent): StreamRow {
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

function toStreamed(row: StreamRow): Omit<RecordedEvent, 'ticket' | 'epoch' | 'knowledge'> {
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
