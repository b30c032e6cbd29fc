import { measure } from '../state/values.ts';
import { accept, defineEvent, onLife } from './define.ts';
import { atTheBench } from './guards.ts';

/** Something was measured on the machine, as it was found or as it was set. */
export const measured = defineEvent({
  version: 1,
  command: measure,
  body: measure,
  decide: atTheBench((_ticket, command) => accept(command)),
  apply: onLife((life, measure, { seq }) => ({
    measures: [...life.measures, { ...measure, seq }],
  })),
});
