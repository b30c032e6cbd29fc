import { uuid } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, onLife } from './define.ts';
import { atTheBench } from './guards.ts';

const body = z.object({
  /** At whose bench it is done; null: wherever the plan puts it, the pin is off. */
  to: uuid.nullable(),
  /** The ticket it is done right behind, null for before all others; left out, the plan gives it its turn there. */
  after: uuid.nullish(),
});

/** Somebody decided where a job is done, against what the plan would do. */
export const jobPinned = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atTheBench((_ticket, command) => accept(command)),
  apply: onLife((_life, { to, after }, { observedAt }) => ({
    pin: to === null ? undefined : { person: to, after, at: observedAt },
  })),
});
