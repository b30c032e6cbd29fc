import { z } from 'zod';
import { humanText, minorUnits } from '../../text.ts';
import { accept, defineEvent } from './define.ts';
import { atTheBench } from './guards.ts';

const body = z.object({
  words: humanText(120),
  count: z.number().int().min(1).max(999),
  /** Price of one. */
  each: minorUnits,
});

/** A part went into the machine, or goes home with it. */
export const partFitted = defineEvent({
  type: 'part-fitted',
  version: 1,
  command: body,
  body,
  decide: atTheBench((_ticket, command) => accept(command)),
  apply: (ticket, part) => ({
    ...ticket,
    life: { ...ticket.life, parts: [...ticket.life.parts, part] },
  }),
});
