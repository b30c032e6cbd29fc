import { partPut } from '../state/values.ts';
import { accept, defineEvent, onLife } from './define.ts';
import { sinceItCame } from './guards.ts';

/**
 * A part went into the machine, or goes home with it. What nobody wrote down at the bench is added on the
 * closing sheet, until the customer has the machine.
 */
export const partFitted = defineEvent({
  version: 1,
  command: partPut,
  body: partPut,
  decide: sinceItCame((_ticket, command) => accept(command)),
  apply: onLife((life, part, { id }) => ({
    parts: [...life.parts, { ...part, entry: id }],
    // What went in has come, whether or not somebody said so.
    awaits: life.awaits.map((one) =>
      one.id === part.awaited ? { ...one, came: true, fitted: true } : one,
    ),
  })),
});
