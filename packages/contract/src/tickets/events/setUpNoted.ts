import { z } from 'zod';
import { humanText } from '../../text.ts';
import { accept, defineEvent } from './define.ts';
import { atWork } from './guards.ts';

/** Each in the words of who looked; empty where nobody did. */
const body = z.object({
  needle: humanText(120, 0),
  thread: humanText(120, 0),
  bobbin: humanText(120, 0),
  dial: humanText(40, 0),
  screw: humanText(40, 0),
});

/** How needle, threads, dial and case screw were found, before anybody changed them. */
export const setUpNoted = defineEvent({
  type: 'set-up-noted',
  version: 1,
  command: body,
  body,
  decide: atWork((_ticket, command) => accept(command)),
  apply: (ticket, setUp) => ({ ...ticket, life: { ...ticket.life, setUp } }),
});
