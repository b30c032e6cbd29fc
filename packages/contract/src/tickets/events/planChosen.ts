import { z } from 'zod';
import { accept, defineEvent, reject } from './define.ts';
import { atWork } from './guards.ts';

const body = z.object({ plan: z.enum(['per-minute', 'one-at-a-time', 'full-sweep']) });

/** The plan of work was changed. */
export const planChosen = defineEvent({
  type: 'plan-chosen',
  version: 1,
  command: body,
  body,
  decide(ticket, command, context) {
    const { model, refusal } = atWork(ticket, context);
    return model ? accept(command) : reject(refusal);
  },
  apply: (ticket, { plan }) => ({ ...ticket, plan }),
});
