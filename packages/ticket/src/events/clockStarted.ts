import { refuse } from '@nodo/kernel';
import { atTheClock } from '../state/life.ts';
import { accept, defineEvent, nothing, onLife, reject } from './define.ts';
import { atTheBench } from './guards.ts';

/** Somebody begins to work on it, or goes on. The clock counts for the person. */
export const clockStarted = defineEvent({
  version: 1,
  command: nothing,
  body: nothing,
  decide: atTheBench(({ life }, command, { actor }) =>
    atTheClock(life).includes(actor.person) ? reject(refuse('already-so')) : accept(command),
  ),
  apply: onLife((life, _body, { actor, observedAt }) => ({
    worked: [...life.worked, { person: actor.person, from: observedAt, until: undefined }],
  })),
});
