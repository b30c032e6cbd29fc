import { refuse } from '@nodo/kernel';
import { surfaceOf } from '@nodo/knowledge';
import { markFound as found } from '../state/marks.ts';
import { accept, defineEvent, onLife, reject } from './define.ts';
import { atTheBench } from './guards.ts';

/** A mark was found on a part that the needle can reach. */
export const markFound = defineEvent({
  version: 1,
  command: found,
  body: found,
  decide: atTheBench((_ticket, command, { model }) =>
    model.checks.has(surfaceOf(command.surface).check)
      ? accept(command)
      : reject(refuse('not-on-this-machine', 'command.surface', { id: command.surface })),
  ),
  apply: onLife((life, found, { id }) => ({
    marks: [...life.marks, { ...found, id, end: null, gone: false }],
  })),
});
