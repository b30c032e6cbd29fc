import { AT_THE_COUNTER, cursor, EVERY_ROLE, humanText, instant, uuid } from '@nodo/kernel';
import { rackEntry, STAGES, UNREPAIRED } from '@nodo/ticket';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

/**
 * One thing that was found, the best first. A machine is one row, however many of its tickets fit: the ticket while it
 * stands in the shop, else the machine as it left last.
 */
const hit = z.object({
  kind: z.enum(['ticket', 'machine', 'customer']),
  id: uuid,
  /** Of a ticket and of a machine: which machine, where it is known, and what kind. */
  machine: uuid.nullable(),
  family: z.string().nullable(),
  /** Machine or person by name. */
  title: z.string(),
  /** Whose, which serial, which number. */
  more: z.string(),
  /** Its tag while it hangs, and where it stands or how it left. */
  tag: z.number().int().nullable(),
  state: z.enum(STAGES).nullable(),
  /** Of a ticket that goes or went back as it came: why. */
  unrepaired: z.enum(UNREPAIRED).nullable(),
  /** When it came, or was collected. */
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
