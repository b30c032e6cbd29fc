import { tensionTry } from '../state/values.ts';
import { accept, defineEvent, onLife } from './define.ts';
import { atTheBench } from './guards.ts';

/** A seam was sewn with a setting of the tension, and its balance read. */
export const tensionTried = defineEvent({
  version: 1,
  command: tensionTry,
  body: tensionTry,
  decide: atTheBench((_ticket, command) => accept(command)),
  apply: onLife((life, tried, { seq }) => ({ tries: [...life.tries, { ...tried, seq }] })),
});
