import { z } from 'zod';
import { accept, defineEvent } from './define.ts';
import { atWork } from './guards.ts';

const body = z.object({ plan: z.enum(['per-minute', 'one-at-a-time', 'full-sweep']) });

/** The plan of work was changed. */
export const planChosen = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atWork((_ticket, command) => accept(command)),
  apply: (ticket, { plan }) => ({ ...ticket, plan }),
});
