import { refuse, uuid } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, reject } from './define.ts';
import { atWork } from './guards.ts';

const body = z.object({ corrects: uuid });

/**
 * An earlier entry is taken back. Both stay in the record; the ticket is replayed without
 * the entry that was corrected. The intake and the closing cannot be taken back this way.
 */
export const entryCorrected = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atWork((ticket, command) => {
    const earlier = ticket.entries.find(({ id }) => id === command.corrects);
    if (!earlier || !mayBeCorrected(earlier.type)) {
      return reject(refuse('nothing-to-correct', 'command.corrects'));
    }
    if (ticket.corrected.has(command.corrects)) {
      return reject(refuse('already-corrected', 'command.corrects'));
    }
    return accept(command);
  }),
  apply(ticket, { corrects }) {
    return { ...ticket, corrected: new Set([...ticket.corrected, corrects]) };
  },
});

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
