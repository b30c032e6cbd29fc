import { CoreFault } from '@nodo/core';
import { refuse } from '@nodo/kernel';
import { workTold as body, finenessOf, workCommand } from '../state/work.ts';
import { accept, defineEvent, reject } from './define.ts';
import { atWork } from './guards.ts';

/** What the customer sews with this machine: fabric and thread, by which a needle is chosen. */
export const workTold = defineEvent({
  type: 'work-told',
  version: 1,
  command: workCommand,
  body,
  decide: atWork((_ticket, command) => {
    try {
      return accept({ ...command, tex: finenessOf(command) });
    } catch (fault) {
      if (!(fault instanceof CoreFault)) throw fault;
      return reject(refuse('no-such-thread', 'command.thread', { ...fault.data }));
    }
  }),
  apply: (ticket, work) => ({ ...ticket, life: { ...ticket.life, work } }),
});
