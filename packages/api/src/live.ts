import { EVERY_ROLE, uuid } from '@nodo/kernel';
import { rackEntry, ticketEvent } from '@nodo/ticket';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

/** What somebody looks at on one screen. */
const presence = z.object({
  screen: uuid,
  person: uuid,
  ticket: uuid.nullable(),
  /** The check or repair that is in front of them. */
  check: z.string().nullable(),
});
export type Presence = z.infer<typeof presence>;

/** What the server pushes to a screen. */
export const liveFrame = z.discriminatedUnion('kind', [
  /** New events of one ticket, in order, with its line on the Rack. */
  z.object({
    kind: z.literal('events'),
    ticket: uuid,
    events: z.array(ticketEvent),
    rack: rackEntry,
  }),
  /** The tables of the shop moved on, or a change to them was proposed. */
  z.object({ kind: z.literal('tables') }),
  /** A card moved: of the shop, a customer or a machine. */
  z.object({ kind: z.literal('cards') }),
  /** Who looks at what, on all screens of the shop. */
  z.object({ kind: z.literal('presence'), who: z.array(presence) }),
  /** Something may have been missed: read again what is on the screen. */
  z.object({ kind: z.literal('resync') }),
  /** Nothing new. Where it does not come, the stream is dead without knowing it. */
  z.object({ kind: z.literal('beat') }),
]);
export type LiveFrame = z.infer<typeof liveFrame>;

/** A stream of server-sent events for the whole shop; each `data` is a {@link LiveFrame}. */
export const live = defineEndpoint({
  ...ADDRESSES.live,
  sends: 'text/event-stream',
  notByToken: true,
  roles: EVERY_ROLE,
  answer: liveFrame,
});
