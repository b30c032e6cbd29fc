import { refuse, sha256 } from '@nodo/kernel';
import { z } from 'zod';
import { ENGINE } from '../state/closingSnapshot.ts';
import { accept, defineEvent, nothing, reject } from './define.ts';
import { atWork } from './guards.ts';

const body = z.object({
  from: sha256,
  to: sha256,
  /** The reckoning that judges it from here on; left out by entries before there was a second. */
  engine: z.string().optional(),
});

/**
 * From here on the ticket is judged with another version of the tables, and by the
 * reckoning that came with it. Recorded with the
 * first entry after the tables moved on; a closed ticket stays with the version it was
 * closed under.
 */
export const knowledgeAdopted = defineEvent({
  version: 1,
  command: nothing,
  body,
  decide: atWork((ticket, _command, { knowledge }) => {
    const from = ticket.knowledge;
    if (from === undefined || from === knowledge) return reject(refuse('already-so'));
    return accept({ from, to: knowledge, engine: ENGINE });
  }),
  apply: (ticket, { to }) => ({ ...ticket, knowledge: to }),
});
