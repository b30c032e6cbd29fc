import { minorUnits } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, onLife } from './define.ts';
import { atWork } from './guards.ts';

/** Null: nothing is to be spent without asking. */
const body = z.object({ limit: minorUnits.nullable() });

/** What may be spent without asking the customer again. */
export const limitAgreed = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atWork((_ticket, command) => accept(command)),
  apply: onLife((_life, { limit }) => ({ limit })),
});
