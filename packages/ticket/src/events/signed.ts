import { sha256 } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, onLife } from './define.ts';
import { sinceItCame } from './guards.ts';

/** The signature is a picture kept like a photo, so that it can be erased with its person. */
const body = z.object({ photo: sha256, what: z.enum(['intake', 'collected']) });

/** The customer signed on the screen. */
export const signed = defineEvent({
  version: 1,
  command: body,
  body,
  decide: sinceItCame((_ticket, command) => accept(command)),
  apply: onLife((life, signature) => ({ signed: [...life.signed, signature] })),
});
