import { day, humanText } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, onLife } from './define.ts';
import { atTheBench } from './guards.ts';

const body = z.object({ part: humanText(120), expected: day.nullable() });

/** A part is on order; the machine waits for it. */
export const partAwaited = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atTheBench((_ticket, command) => accept(command)),
  apply: onLife((life, part, { id }) => ({
    awaits: [...life.awaits, { ...part, id, came: false }],
  })),
});
