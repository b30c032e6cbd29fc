import { refuse, uuid } from '@nodo/kernel';
import { z } from 'zod';
import type { RecordedEvent } from '../state/envelope.ts';
import { paidSum } from '../state/life.ts';
import type { Ticket } from '../state/ticket.ts';
import { accept, type Decision, defineEvent, reject } from './define.ts';
import { atWork, sinceItCame } from './guards.ts';

const body = z.object({ corrects: uuid });
type Body = z.infer<typeof body>;

/**
 * An earlier entry is taken back. Both stay in the record; the ticket is replayed without
 * the entry that was corrected. The intake cannot be taken back this way; closing, handing out and money only
 * by whoever did it, and only as long as nothing was entered after it. A part on the
 * closing sheet, money and a call can be taken back by anybody until the customer has the machine.
 */
export const entryCorrected = defineEvent({
  version: 1,
  command: body,
  body,
  decide(ticket, command, context) {
    const latest = ticket.entries.findLast(
      ({ id, type }) => type !== 'entry-corrected' && !ticket.corrected.has(id),
    );
    const isOwnLast =
      latest?.id === command.corrects &&
      mayBeUndoneAsLast(latest.type) &&
      latest.actor.person === context.actor.person;
    if (isOwnLast) return accept(command);
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
  if (!earlier || !mayBeCorrected(earlier)) {
    return reject(refuse('nothing-to-correct', 'command.corrects'));
  }
  if (ticket.corrected.has(command.corrects)) {
    return reject(refuse('already-corrected', 'command.corrects'));
  }
  return accept(command);
};
const correct = atWork(correctOnce);

/** As `correctOnce`; a payment stands as long as money went back that only it covers. */
const correctAfterwards = sinceItCame((ticket: Ticket, command: Body): Decision<Body> => {
  const paid = paidSum(ticket.life);
  const payment = ticket.life.payments.find(({ entry }) => entry === command.corrects);
  return payment && payment.amount > paid && payment.amount > 0
    ? reject(refuse('given-back-since', 'command.corrects', { paid }))
    : correctOnce(ticket, command);
});

/** What the counter enters, before and after closing. */
const AFTER_CLOSING: ReadonlySet<string> = new Set([
  'part-fitted',
  'payment-taken',
  'payment-returned',
  'signed',
  'customer-told',
  'contact-tried',
]);

/** Whether an entry of this type is undone also after the end, by whoever made it, as long as it is the last. */
export function mayBeUndoneAsLast(type: string): boolean {
  return UNDONE_AS_LAST.has(type);
}

const UNDONE_AS_LAST: ReadonlySet<string> = new Set([
  'ticket-closed',
  'machine-collected',
  'payment-taken',
  'payment-returned',
]);

/** Whether an entry can be taken back; a signature only with the hand-out for which it was given. */
export function mayBeCorrected({ type, body }: Pick<RecordedEvent, 'type' | 'body'>): boolean {
  if (type === 'signed') return 'what' in body && body.what === 'collected';
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
]);
