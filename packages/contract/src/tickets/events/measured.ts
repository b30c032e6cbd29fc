import { z } from 'zod';
import { QUANTITY_IDS } from '../../shop/quantities.ts';
import { accept, defineEvent } from './define.ts';
import { atTheBench } from './guards.ts';

const body = z.object({
  quantity: z.enum(QUANTITY_IDS),
  /** In the unit of the quantity. */
  value: z.number().min(-1000).max(10_000),
  when: z.enum(['found', 'set']),
});

/** Something was measured on the machine, as it was found or as it was set. */
export const measured = defineEvent({
  type: 'measured',
  version: 1,
  command: body,
  body,
  decide: atTheBench((_ticket, command) => accept(command)),
  apply: (ticket, told, { seq }) => ({
    ...ticket,
    life: { ...ticket.life, measures: [...ticket.life.measures, { ...told, seq }] },
  }),
});
