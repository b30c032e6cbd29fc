import { humanText, refuse } from '@nodo/kernel';
import { z } from 'zod';
import { SPOKEN } from '../state/life.ts';
import { accept, defineEvent, onLife, reject } from './define.ts';
import { sinceItCame } from './guards.ts';

const body = z.object({ how: z.enum(SPOKEN), words: humanText(500, 0) });

/** The customer was informed that the machine is ready, or reminded of it. */
export const customerTold = defineEvent({
  version: 1,
  command: body,
  body,
  decide: sinceItCame((ticket, command) =>
    ticket.status === 'closed' ? accept(command) : reject(refuse('ticket-open')),
  ),
  apply: onLife((_life, _told, { observedAt }) => ({ toldAt: observedAt })),
});
