import {
  type AnswerOf,
  ENDPOINTS,
  type EndpointName,
  type LiveFrame,
  liveFrame,
  proofOf,
} from '@nodo/api';
import { instant, refusal, refuse, sha256, uuid } from '@nodo/kernel';
import { ticketCommand, ticketEvent } from '@nodo/ticket';
import { z } from 'zod';
import type { OutboxEntry } from './outbox.ts';
import type { TabMessage } from './ports.ts';

/**
 * What comes from outside of this page may be another version's: the server and the other tabs
 * may be newer, what lies on this device may be older. It is checked before it is believed.
 *
 * Loaded by {@link Boundary}.
 */

const outboxEntry = z.object({
  ticket: uuid,
  draft: ticketCommand,
  person: uuid,
  number: z.number().int().positive().optional(),
  proof: sha256.optional(),
  refusal: refusal.optional(),
});

/** As much of a stored entry as is needed to show it in the tray. */
const storedEntry = outboxEntry.extend({
  draft: z.looseObject({ id: uuid, type: z.string(), command: z.object({}), observedAt: instant }),
});

/**
 * An entry as it lies on this device.
 * @returns undefined for what is none; refused, where it is one that this version does not know
 */
export function readEntry(text: string): OutboxEntry | undefined {
  const stored = jsonOf(text);
  const whole = outboxEntry.safeParse(stored);
  // As it was written: what was proven of it is what was entered.
  if (whole.success) return stored as OutboxEntry;
  if (!storedEntry.safeParse(stored).success) return undefined;
  const path = whole.error.issues[0]?.path.join('.') ?? '';
  return { ...(stored as OutboxEntry), unknown: true, refusal: refuse('bad-input', path) };
}

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

const outboxAction = z.discriminatedUnion('type', [
  z.object({ type: z.literal('outbox/added'), payload: outboxEntry }),
  z.object({ type: z.literal('outbox/removed'), payload: z.string() }),
  z.object({ type: z.literal('outbox/refused'), payload: z.object({ id: uuid, refusal }) }),
  z.object({ type: z.literal('outbox/retried'), payload: z.string() }),
  z.object({ type: z.literal('outbox/proven'), payload: z.object({ id: uuid, proof: sha256 }) }),
  z.object({
    type: z.literal('outbox/unproven'),
    payload: z.object({ id: uuid, proof: sha256.optional() }),
  }),
  z.object({ type: z.literal('outbox/unreachable'), payload: z.undefined().optional() }),
]);

const tabMessage = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('frame'), frame: liveFrame }),
  z.object({ kind: z.literal('stream'), state: z.enum(['live', 'lost']) }),
  z.object({ kind: z.literal('hello') }),
  z.object({ kind: z.literal('outbox'), action: outboxAction }),
  z.object({ kind: z.literal('confirmed'), ticket: uuid, event: ticketEvent }),
  z.object({ kind: z.literal('session') }),
]);

/** Undefined for what this version does not understand. */
export function readTabMessage(said: unknown): TabMessage | undefined {
  return tabMessage.safeParse(said).data;
}

/** Undefined for what this version does not understand. */
export function readFrame(said: unknown): LiveFrame | undefined {
  return liveFrame.safeParse(said).data;
}

/** An answer of an endpoint as it was kept on this device. Undefined for what an older version kept otherwise. */
export function readAnswer<Name extends EndpointName>(
  name: Name,
  kept: unknown,
): AnswerOf<Name> | undefined {
  return ENDPOINTS[name].answer.safeParse(kept).data as AnswerOf<Name> | undefined;
}

/** Shows that a command is this person's; kept out of the first load like the checks. */
export function prove(key: string, ticket: string, command: object): string {
  return proofOf(key, ticket, command);
}
