import { AT_THE_COUNTER, cursor, EVERY_ROLE, humanText, instant, uuid } from '@nodo/kernel';
import { rackEntry, STAGES, UNREPAIRED } from '@nodo/ticket';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

/** One thing that was found, the best first. */
const hit = z.object({
  kind: z.enum(['ticket', 'machine', 'customer']),
  id: uuid,
  /** Machine or person by name. */
  title: z.string(),
  /** Whose, which serial, which number. */
  more: z.string(),
  /** Of a ticket: its tag while it hangs, and where it stands. */
  tag: z.number().int().nullable(),
  state: z.enum(STAGES).nullable(),
  /** Of a ticket that goes or went back as it came: why. */
  unrepaired: z.enum(UNREPAIRED).nullable(),
  at: instant.nullable(),
});
export type Hit = z.infer<typeof hit>;

export const search = defineEndpoint({
  ...ADDRESSES.search,
  roles: AT_THE_COUNTER,
  params: z.object({ find: humanText(80) }),
  answer: z.array(hit),
});

/** What was fetched, the latest first. @param before the cursor of the page before. */
export const listCollected = defineEndpoint({
  ...ADDRESSES.listCollected,
  roles: EVERY_ROLE,
  params: z.object({ before: cursor.optional() }),
  answer: z.object({ entries: z.array(rackEntry), next: z.string().nullable() }),
});
