import { day, humanText, minorUnits } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, onLife } from './define.ts';
import { atTheBench } from './guards.ts';

const body = z.object({
  part: humanText(120),
  expected: day.nullable(),
  /** What one costs, where it is known. */
  each: minorUnits.optional(),
});

/** A part is on order; the machine waits for it. */
export const partAwaited = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atTheBench((_ticket, command) => accept(command)),
  apply: onLife((life, { part, expected, each }, { id }) => ({
    awaits: [...life.awaits, { part, expected, each, id, came: false, fitted: false }],
  })),
});
