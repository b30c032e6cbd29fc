import { EVERY_ROLE, LEADS, uuid } from '@nodo/kernel';
import { ownCause, tableCommand, tableEvent } from '@nodo/tables';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

/** What this shop changed in the tables, from the beginning. */
export const readTables = defineEndpoint({
  ...ADDRESSES.readTables,
  roles: EVERY_ROLE,
  answer: z.array(tableEvent),
});

const candidate = z.object({ ticket: uuid, own: ownCause });
export type Candidate = z.infer<typeof candidate>;

/** Causes that somebody named on a ticket because no table has them, the latest first. */
export const listCandidates = defineEndpoint({
  ...ADDRESSES.listCandidates,
  roles: LEADS,
  answer: z.array(candidate),
});

/** Proposes, accepts or withdraws a change. Sending the same command again answers with the stored event. */
export const recordTableEvent = defineEndpoint({
  ...ADDRESSES.recordTableEvent,
  roles: LEADS,
  body: tableCommand,
  answer: tableEvent,
});
