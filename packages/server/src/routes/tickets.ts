import { ENDPOINTS, proofOf, type TicketFile } from '@nodo/api';
import { type Actor, refuse } from '@nodo/kernel';
import { beginsTicket, type TicketCommand } from '@nodo/ticket';
import type { Express, Request } from 'express';
import type { Auth } from '../auth/auth.ts';
import type { Caller } from '../auth/people.ts';
import { isSameText } from '../auth/secrets.ts';
import { fileFor, rackFor } from '../http/names.ts';
import { identityOf, route } from '../http/route.ts';
import type { PhotoStore } from '../photos/photoStore.ts';
import { derivedId } from '../store/derivedId.ts';
import { inTurn } from '../store/inTurn.ts';
import type { EventStore } from '../store/port.ts';
import { RecentTickets } from '../store/recentTickets.ts';
import { type Recorded, type RecordRequest, recordCommands } from '../store/record.ts';

/** Open tickets in one answer; each is some kilobytes. */
const PAGE = 100;

/** The entry that counts a comeback; its id follows from the taking in. */
function cameBack({ id, observedAt, device }: TicketCommand, ticket: string): TicketCommand {
  return {
    id: derivedId(`came back ${id}`),
    type: 'came-back',
    command: { ticket },
    epoch: 0,
    observedAt,
    device,
  };
}

export function ticketRoutes(
  app: Express,
  { people, audit }: Auth,
  store: EventStore,
  photos: PhotoStore,
  now: () => Date,
): void {
  const oneByOne = inTurn();
  const recent = new RecentTickets();
  const filesOf = async (shop: string, ids: readonly string[]): Promise<TicketFile[]> => {
    const events = await store.loadAll(shop, ids);
    const customers = await store.customers(
      shop,
      events.flatMap((event) => (beginsTicket(event) ? (event.body.customer ?? []) : [])),
    );
    return ids.flatMap((ticket) => {
      const own = events.filter((event) => event.ticket === ticket);
      const [first] = own;
      if (!first || !beginsTicket(first)) return [];
      const customer = customers.get(first.body.customer ?? '') ?? null;
      return [{ ticket, events: own, customer }];
    });
  };
  const fileOf = async (shop: string, ticket: string): Promise<TicketFile | undefined> =>
    (await filesOf(shop, [ticket]))[0];

  /** What names a photo waits until the photo is kept. */
  const record = async (
    shop: string,
    ticket: string,
    commands: readonly TicketCommand[],
    actor: Actor,
    known: Pick<RecordRequest, 'customer' | 'machine' | 'sentBy'> = {},
  ): Promise<Recorded> => {
    for (const { type, command } of commands) {
      if (
        (type === 'photo-kept' || type === 'signed') &&
        !(await photos.has(shop, command.photo))
      ) {
        return { ok: false, refusal: refuse('no-such-photo', 'command.photo') };
      }
    }
    const request = { shop, ticket, commands, actor, ...known };
    return oneByOne(`${shop} ${ticket}`, () => recordCommands(store, request, now, recent));
  };
  /** By the very bytes that came: what is proven is what was entered, not what we read of it. */
  const makerOf = async (request: Request, ticket: string, by: string) => {
    const identity = identityOf(request);
    if (!identity) return 'stranger';
    const { by: _by, proof, ...command } = request.body as { by: string; proof?: string };
    return people.makerAt(identity, by, (key) => isSameText(proof, proofOf(key, ticket, command)));
  };
  const caller = ({ person }: Caller): Actor => ({ person: person.id, role: person.role });

  route(app, people, ENDPOINTS.listTickets, async ({ session }) => ({
    ok: true,
    answer: rackFor(session.person.role, await store.rack(session.shop.id)),
  }));

  route(app, people, ENDPOINTS.openTickets, async ({ params, session }) => {
    const shop = session.shop.id;
    const ids = await store.openAfter(shop, params.after, PAGE);
    const files = await filesOf(shop, ids);
    await audit.note({ shop, person: session.person.id, what: 'tickets-kept' });
    const shown = files.map((file) => fileFor(session.person.role, file));
    return {
      ok: true,
      answer: { files: shown, next: (ids.length === PAGE && ids.at(-1)) || null },
    };
  });

  route(app, people, ENDPOINTS.readTicket, async ({ params, session }) => {
    const { ticket } = params;
    const shop = session.shop.id;
    const file = await fileOf(shop, ticket);
    if (!file) return { ok: false, refusal: refuse('no-such-ticket', 'params.ticket') };
    await audit.note({ shop, person: session.person.id, what: 'ticket-read', ticket });
    return { ok: true, answer: fileFor(session.person.role, file) };
  });

  route(app, people, ENDPOINTS.takeIn, async ({ body, session }) => {
    const [first] = body.drafts;
    if (!first || !beginsTicket(first)) {
      return { ok: false, refusal: refuse('bad-input', 'drafts.0') };
    }
    const { customer, machine } = body;
    // What is written down with it is what the first entry names.
    if (customer && first.command.customer !== customer.id) {
      return { ok: false, refusal: refuse('bad-input', 'drafts.0.command.customer') };
    }
    if (machine && first.command.machine !== machine.id) {
      return { ok: false, refusal: refuse('bad-input', 'drafts.0.command.machine') };
    }
    const shop = session.shop.id;
    const earlier = first.type === 'intake-taken' ? (first.command.comebackOf ?? null) : null;
    if (earlier !== null && (await store.load(shop, earlier)).length === 0) {
      return { ok: false, refusal: refuse('no-such-ticket', 'drafts.0.command.comebackOf') };
    }
    const actor = caller(session);
    const known = { ...(customer ? { customer } : {}), ...(machine ? { machine } : {}) };
    const recorded = await record(shop, body.ticket, body.drafts, actor, known);
    if (!recorded.ok) return recorded;
    if (earlier !== null) {
      // Counted where it comes back from; once, however often this is sent.
      const counted = await record(shop, earlier, [cameBack(first, body.ticket)], actor);
      if (!counted.ok && counted.refusal.code !== 'already-so') return counted;
    }
    return { ok: true, answer: (await fileOf(shop, body.ticket)) as TicketFile };
  });

  route(app, people, ENDPOINTS.recordEvent, async ({ params, body, session, request }) => {
    if (beginsTicket(body)) return { ok: false, refusal: refuse('bad-input', 'type') };
    // An entry stays with the person who made it, whoever stands at the screen when it is sent.
    const { by = session.person.id } = body;
    const maker =
      by === session.person.id ? caller(session) : await makerOf(request, params.ticket, by);
    if (typeof maker === 'string') {
      // One code for both: a page of before there were proofs keeps what it cannot send.
      const unproven = maker === 'unproven';
      return { ok: false, refusal: refuse('not-at-this-screen', 'by', { unproven }) };
    }
    const sentBy = session.person.id;
    const recorded = await record(session.shop.id, params.ticket, [body], maker, { sentBy });
    if (!recorded.ok) return recorded;
    const [event] = recorded.events;
    return event
      ? { ok: true, answer: event }
      : { ok: false, refusal: refuse('no-such-ticket', 'params.ticket') };
  });
}
