import { randomUUID } from 'node:crypto';
import type { Customer, NewMachine } from '@nodo/api';
import { type Actor, type Refusal, refuse } from '@nodo/kernel';
import { canonicalJson, type KnowledgeVersion } from '@nodo/knowledge';
import { foldChangeRequests, versionInForce } from '@nodo/tables';
import {
  applyTicketEvent,
  decide,
  foldTicket,
  modelOfTicket,
  summaryOf,
  type Ticket,
  type TicketCommand,
  type TicketEvent,
  type TicketSummary,
} from '@nodo/ticket';
import type { EventStore } from './port.ts';
import { RecentTickets } from './recentTickets.ts';

export interface RecordRequest {
  readonly shop: string;
  readonly ticket: string;
  readonly commands: readonly TicketCommand[];
  readonly actor: Actor;
  /** Who stood at the screen that sent it. */
  readonly sentBy?: string;
  readonly customer?: Customer;
  readonly machine?: NewMachine;
}

export type Recorded =
  | { readonly ok: true; readonly events: readonly TicketEvent[] }
  | { readonly ok: false; readonly refusal: Refusal };

/** The tables that a shop judges with now. */
export async function versionIn(store: EventStore, shop: string): Promise<KnowledgeVersion> {
  return versionInForce(foldChangeRequests(await store.tableEvents(shop)));
}

/** Somebody else can win the race this often before we say that something is wrong. */
export const MOST_RACES = 50;

/**
 * Replays the ticket, decides each command, appends them together. A command that is stored
 * already counts as done, so that sending again is safe.
 * @param now the instant at which the server received the commands.
 * @param recent tickets that need not be replayed from the start
 */
export async function recordCommands(
  store: EventStore,
  request: RecordRequest,
  now: () => Date,
  recent = new RecentTickets(),
): Promise<Recorded> {
  const { shop, ticket: id } = request;
  for (let race = 0; race < MOST_RACES; race += 1) {
    const before = recent.before(shop, id);
    const { events: newer, tables } = await store.loadWithTables(shop, id, before.seq);
    const stored = recent.after(shop, before, newer);
    const version = versionInForce(foldChangeRequests(tables));
    const { source: content, knowledge } = version;
    const recording = project(stored, request, version, now().toISOString());
    if (!recording.ok) return recording;
    if (recording.fresh.length === 0) return { ok: true, events: recording.events };

    const model = modelOfTicket(recording.ticket, version);
    const summary = model && summaryOf(recording.ticket, model);
    if (!summary) return { ok: false, refusal: refuse('not-taken-in') };
    const appended = await store.append(request.shop, {
      ticket: request.ticket,
      after: stored.seq,
      events: recording.fresh,
      summary,
      ...(request.customer && stored.seq === 0 ? { customer: request.customer } : {}),
      ...(request.machine && stored.seq === 0 ? { machine: request.machine } : {}),
      ...(stored.entries.some((event) => event.knowledge === knowledge.hash)
        ? {}
        : { version: { hash: knowledge.hash, content } }),
    });
    switch (appended) {
      case 'appended':
        return { ok: true, events: recording.events };
      case 'tag-taken':
        return { ok: false, refusal: refuse('tag-taken', 'command.tag', { tag: summary.tag }) };
      case 'unknown-customer':
        return { ok: false, refusal: refuse('no-such-customer', 'command.customer') };
      case 'unknown-machine':
        return { ok: false, refusal: refuse('no-such-machine', 'command.machine') };
      case 'id-taken': {
        const again = await store.load(request.shop, request.ticket);
        const known = new Set(again.map(({ id }) => id));
        // The id belongs to another ticket: it can never be stored here.
        if (!recording.fresh.some(({ id }) => known.has(id))) {
          return { ok: false, refusal: refuse('id-used-otherwise', 'id') };
        }
        break;
      }
      case 'seq-taken':
        break;
    }
  }
  throw new Error(`Ticket ${request.ticket}: lost ${MOST_RACES} races to append`);
}

type Recording =
  | {
      readonly ok: true;
      readonly ticket: Ticket;
      /** One per command, stored before or fresh. */
      readonly events: readonly TicketEvent[];
      readonly fresh: readonly TicketEvent[];
    }
  | { readonly ok: false; readonly refusal: Refusal };

function project(
  stored: Ticket,
  request: RecordRequest,
  version: KnowledgeVersion,
  receivedAt: string,
): Recording {
  const { actor, sentBy } = request;
  const sender = sentBy === undefined || sentBy === actor.person ? {} : { sentBy };
  let ticket = stored;
  const events: TicketEvent[] = [];
  const fresh: TicketEvent[] = [];
  for (const command of request.commands) {
    const before = stored.entries.find(({ id }) => id === command.id);
    if (before) {
      if (!isSame(before, command))
        return { ok: false, refusal: refuse('id-used-otherwise', 'id') };
      events.push(before as TicketEvent);
      continue;
    }
    for (const one of [...adoption(ticket, command, version), command]) {
      const verdict = decide(ticket, one, actor, version);
      if (!verdict.ok) return verdict;
      // As the database will give it back.
      const observedAt = new Date(one.observedAt).toISOString();
      const event = { ...verdict.event, ...sender, observedAt, receivedAt } as TicketEvent;
      ticket = applyTicketEvent(ticket, event);
      fresh.push(event);
      if (one === command) events.push(event);
    }
  }
  return { ok: true, ticket, events, fresh };
}

/**
 * An open ticket moves to the present tables with its first entry after they moved on. A
 * closed one never does.
 */
function adoption(
  ticket: Ticket,
  { epoch, observedAt, device }: TicketCommand,
  { knowledge }: KnowledgeVersion,
): readonly TicketCommand[] {
  if (ticket.status !== 'open' || ticket.knowledge === knowledge.hash) return [];
  const id = randomUUID();
  return [{ id, type: 'knowledge-adopted', command: {}, epoch, observedAt, device }];
}

/** The stored body repeats its command, so a resent command must be found in it. */
export function isSame(
  stored: { readonly type: string; readonly body: object },
  command: { readonly type: string; readonly command: object },
): boolean {
  const body: Readonly<Record<string, unknown>> = { ...stored.body };
  return (
    stored.type === command.type &&
    Object.entries(command.command).every(
      ([field, value]) => canonicalJson(body[field]) === canonicalJson(value),
    )
  );
}

/**
 * Projects the ticket summaries of a shop again from the events.
 * @param status those with this one only; all, when left out.
 * @returns how many
 */
export async function rebuildSummaries(
  store: EventStore,
  shop: string,
  status?: TicketSummary['status'],
): Promise<number> {
  const ids = await store.ticketIds(shop, status);
  const version = await versionIn(store, shop);
  for (const id of ids) {
    const ticket = foldTicket(id, await store.load(shop, id));
    const model = modelOfTicket(ticket, version);
    const summary = model && summaryOf(ticket, model);
    if (summary) await store.replaceSummary(shop, summary);
  }
  return ids.length;
}
