import { setUpFound } from '../state/values.ts';
import { accept, defineEvent, onLife } from './define.ts';
import { atWork } from './guards.ts';

/** How needle, threads, dial and case screw were found, before anybody changed them. */
export const setUpNoted = defineEvent({
  version: 1,
  command: setUpFound,
  body: setUpFound,
  decide: atWork((_ticket, command) => accept(command)),
  apply: onLife((_life, setUp) => ({ setUp })),
});
