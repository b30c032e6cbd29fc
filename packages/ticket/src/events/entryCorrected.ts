import { refuse, uuid } from '@nodo/kernel';
import { z } from 'zod';
import type { Ticket } from '../state/ticket.ts';
import { accept, type Decision, defineEvent, reject } from './define.ts';
import { atWork, sinceItCame } from './guards.ts';

const body = z.object({ corrects: uuid });
type Body = z.infer<typeof body>;

/**
 * An earlier entry is taken back. Both stay in the record; the ticket is replayed without
 * the entry that was corrected. The intake cannot be taken back this way; closing and handing out only
 * by whoever did it, and only as long as nothing was entered after it. A part on the
 * closing sheet and a call can be taken back until the customer has the machine.
 */
export const entryCorrected = defineEvent({
  version: 1,
  command: body,
  body,
  decide(ticket, command, context) {
    const latest = ticket.entries.findLast(
      ({ id, type }) => type !== 'entry-corrected' && !ticket.corrected.has(id),
    );
    const isOwnEnd =
      latest?.id === command.corrects &&
      isEnd(latest.type) &&
      latest.actor.person === context.actor.person;
    if (isOwnEnd) return accept(command);
    const earlier = ticket.entries.find(({ id }) => id === command.corrects);
    return earlier && AFTER_CLOSING.has(earlier.type)
      ? correctAfterwards(ticket, command, context)
      : correct(ticket, command, context);
  },
  apply(ticket, { corrects }) {
    return { ...ticket, corrected: new Set([...ticket.corrected, corrects]) };
  },
});

const correctOnce = (ticket: Ticket, command: Body): Decision<Body> => {
  const earlier = ticket.entries.find(({ id }) => id === command.corrects);
  if (!earlier || !mayBeCorrected(earlier.type)) {
    return reject(refuse('nothing-to-correct', 'command.corrects'));
  }
  if (ticket.corrected.has(command.corrects)) {
    return reject(refuse('already-corrected', 'command.corrects'));
  }
  return accept(command);
};
const correct = atWork(correctOnce);
const correctAfterwards = sinceItCame(correctOnce);

/** What the counter enters, before and after closing. */
const AFTER_CLOSING: ReadonlySet<string> = new Set([
  'part-fitted',
  'payment-taken',
  'customer-told',
  'contact-tried',
]);

/** Whether an entry of this type ends the work or the stay: undone only as the last. */
export function isEnd(type: string): boolean {
  return type === 'ticket-closed' || type === 'machine-collected';
}

/** Whether an entry of this type can be taken back. */
export function mayBeCorrected(type: string): boolean {
  return !NEVER_CORRECTED.has(type);
}

const NEVER_CORRECTED: ReadonlySet<string> = new Set([
  'intake-taken',
  'call-taken',
  'call-ended',
  'machine-arrived',
  'entry-corrected',
  'ticket-closed',
  'ticket-reopened',
  'machine-collected',
  'knowledge-adopted',
  'came-back',
  'signed',
]);
