import { humanText, uuid } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, onLife } from './define.ts';
import { atWork } from './guards.ts';

const body = z.object({
  /** Who goes on with it; null for whoever comes first. */
  to: uuid.nullable(),
  note: humanText(500),
});

/** One person leaves the machine to another, with what that one must know. */
export const handedOver = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atWork((_ticket, command) => accept(command)),
  // Who got it does it: the plan leaves it at that bench.
  apply: onLife((_life, { to }, { observedAt }) => ({
    pin: to === null ? undefined : { person: to, at: observedAt },
  })),
});
