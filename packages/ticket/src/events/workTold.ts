import { sewingWork as body, finenessOf, workCommand } from '../state/work.ts';
import { defineEvent, onLife } from './define.ts';
import { acceptValid, atWork } from './guards.ts';

/** What the customer sews with this machine: fabric and thread, by which a needle is chosen. */
export const workTold = defineEvent({
  version: 1,
  command: workCommand,
  body,
  decide: atWork((_ticket, command) =>
    acceptValid(
      () => ({ ...command, tex: finenessOf(command) }),
      'no-such-thread',
      'command.thread',
    ),
  ),
  apply: onLife((_life, work) => ({ work })),
});
