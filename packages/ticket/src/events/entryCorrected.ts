import { refuse, uuid } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, reject } from './define.ts';
import { atWork } from './guards.ts';

const body = z.object({ corrects: uuid });

/**
 * An earlier entry is taken back. Both stay in the record; the ticket is replayed without
 * the entry that was corrected. The intake cannot be taken back this way; closing and handing out only
 * by whoever did it, and only as long as nothing was entered after it.
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
    return isOwnEnd ? accept(command) : correct(ticket, command, context);
  },
  apply(ticket, { corrects }) {
    return { ...ticket, corrected: new Set([...ticket.corrected, corrects]) };
  },
});

const correct = atWork<{ readonly corrects: string }, { readonly corrects: string }>(
  (ticket, command) => {
    const earlier = ticket.entries.find(({ id }) => id === command.corrects);
    if (!earlier || !mayBeCorrected(earlier.type)) {
      return reject(refuse('nothing-to-correct', 'command.corrects'));
    }
    if (ticket.corrected.has(command.corrects)) {
      return reject(refuse('already-corrected', 'command.corrects'));
    }
    return accept(command);
  },
);

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
