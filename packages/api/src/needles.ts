import { AT_THE_BENCH, EVERY_ROLE, instant, uuid } from '@nodo/kernel';
import { openedNeedle } from '@nodo/shop';
import { needleIn, registerEntry } from '@nodo/ticket';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

const needleFile = z.object({
  /** Every entry of this machine, the earliest first. */
  entries: z.array(registerEntry),
  /** Opened needles that lie in the shop. */
  opened: z.array(openedNeedle),
});
export type NeedleFile = z.infer<typeof needleFile>;

const ofMachine = z.object({ machine: uuid });

/** Which needles are in a machine, were in it, and lie opened in the shop. */
export const readNeedles = defineEndpoint({
  ...ADDRESSES.readNeedles,
  roles: EVERY_ROLE,
  params: ofMachine,
  answer: needleFile,
});

/** An entry made without a ticket; sent again with the same id it counts once. */
export const registerNeedle = defineEndpoint({
  ...ADDRESSES.registerNeedle,
  roles: AT_THE_BENCH,
  params: ofMachine,
  body: needleIn.extend({ id: uuid, when: instant }),
  answer: needleFile,
});
