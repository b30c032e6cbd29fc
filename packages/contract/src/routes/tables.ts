import { z } from 'zod';
import { tableDraft, tableEvent } from '../tables/events.ts';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint, EVERY_ROLE } from './endpoint.ts';

/** What this shop changed in the tables, from the beginning. */
export const readTables = defineEndpoint({
  ...ADDRESSES.readTables,
  roles: EVERY_ROLE,
  params: z.object({}),
  body: z.undefined(),
  answer: z.array(tableEvent),
});

/** Proposes, accepts or withdraws a change. Sending the same draft again answers with the stored event. */
export const recordTableEvent = defineEndpoint({
  ...ADDRESSES.recordTableEvent,
  roles: ['lead'],
  params: z.object({}),
  body: tableDraft,
  answer: tableEvent,
});
