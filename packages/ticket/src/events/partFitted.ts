import { partPut } from '../state/values.ts';
import { accept, defineEvent, onLife } from './define.ts';
import { atTheBench } from './guards.ts';

/** A part went into the machine, or goes home with it. */
export const partFitted = defineEvent({
  version: 1,
  command: partPut,
  body: partPut,
  decide: atTheBench((_ticket, command) => accept(command)),
  apply: onLife((life, part) => ({ parts: [...life.parts, part] })),
});
