import { refuse } from '@nodo/kernel';
import { z } from 'zod';
import { atTheClock, clockStopped as stopped } from '../state/life.ts';
import { accept, defineEvent, reject } from './define.ts';
import { atTheBench } from './guards.ts';

/** `interrupted`: something else came in between. */
const body = z.object({ why: z.enum(['interrupted', 'for-now']) });

/** Somebody stops working on it, for now or because of something else. */
export const clockStopped = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atTheBench(({ life }, command, { actor }) =>
    atTheClock(life).includes(actor.person) ? accept(command) : reject(refuse('already-so')),
  ),
  apply: (ticket, _body, { actor, observedAt }) => ({
    ...ticket,
    life: stopped(ticket.life, observedAt, actor.person),
  }),
});
