import { humanText, sha256, tableId } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent } from './define.ts';
import { atWork } from './guards.ts';

/** A photo is named by the SHA-256 of what is kept of it. */
const body = z.object({
  photo: sha256,
  words: humanText(500, 0),
  /** The check at which it was taken. */
  check: tableId.optional(),
});

/** A photo of this machine, kept with the ticket; the server stores it before the entry names it. */
export const photoKept = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atWork((_ticket, command) => accept(command)),
  apply: (ticket) => ticket,
});
