import { day, humanText, LEAST_REASON } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, onLife } from './define.ts';
import { atWork } from './guards.ts';

const body = z.object({
  /** Null: the promise is taken back. */
  day: day.nullable(),
  /** Why it was given although the reckoning was against it. */
  despite: humanText(300, LEAST_REASON).optional(),
});

/** A day was promised to the customer on which it can be fetched. */
export const dayPromised = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atWork((_ticket, command) => accept(command)),
  apply: onLife((_life, { day: promised }) => ({ promised: promised ?? undefined })),
});
