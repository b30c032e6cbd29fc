import { humanText } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, onLife } from './define.ts';
import { atTheBench } from './guards.ts';

const body = z.object({ minutes: z.number().int().min(1).max(1440), words: humanText(200) });

/** Work that the clock did not see. */
export const labourBooked = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atTheBench((_ticket, command) => accept(command)),
  apply: onLife((life, { minutes }) => ({ booked: life.booked + minutes })),
});
