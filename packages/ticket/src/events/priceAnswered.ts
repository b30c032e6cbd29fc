import { humanText, refuse } from '@nodo/kernel';
import { z } from 'zod';
import { SPOKEN } from '../state/life.ts';
import { accept, defineEvent, reject } from './define.ts';
import { atWork } from './guards.ts';

const body = z.object({
  agreed: z.boolean(),
  how: z.enum(SPOKEN),
  words: humanText(1000, 0),
});

/** What the customer said to the price; a later word counts over an earlier one. */
export const priceAnswered = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atWork((ticket, command) =>
    ticket.life.asked ? accept(command) : reject(refuse('nothing-asked')),
  ),
  apply(ticket, said, { observedAt }) {
    const { asked } = ticket.life;
    const answer = { ...said, at: observedAt };
    return asked ? { ...ticket, life: { ...ticket.life, asked: { ...asked, answer } } } : ticket;
  },
});
