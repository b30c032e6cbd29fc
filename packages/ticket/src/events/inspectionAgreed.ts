import { minorUnits } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, onLife } from './define.ts';
import { atWork } from './guards.ts';

const body = z.object({ fee: minorUnits });

/** What the look alone costs, agreed before it began: it is due even where the repair is refused. */
export const inspectionAgreed = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atWork((_ticket, command) => accept(command)),
  apply: onLife((_life, { fee }) => ({ inspectionFee: fee })),
});
