import { refuse, uuid } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, onLife, reject } from './define.ts';
import { atTheBench } from './guards.ts';

/** Which entry it was awaited by. */
const body = z.object({ awaited: uuid });

/** A part that was waited for is in the shop, or is not needed any more. */
export const partCame = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atTheBench(({ life }, command) =>
    life.awaits.some(({ id, came }) => id === command.awaited && !came)
      ? accept(command)
      : reject(refuse('not-awaited', 'command.awaited')),
  ),
  apply: onLife((life, { awaited }) => ({
    awaits: life.awaits.map((one) => (one.id === awaited ? { ...one, came: true } : one)),
  })),
});
