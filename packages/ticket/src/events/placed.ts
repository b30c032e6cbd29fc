import { humanText } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent } from './define.ts';
import { sinceItCame } from './guards.ts';

const body = z.object({ shelf: humanText(12) });

/** The machine stands somewhere else now. */
export const placed = defineEvent({
  version: 1,
  command: body,
  body,
  decide: sinceItCame((_ticket, command) => accept(command)),
  apply: (ticket, { shelf }) =>
    ticket.intake ? { ...ticket, intake: { ...ticket.intake, shelf } } : ticket,
});
