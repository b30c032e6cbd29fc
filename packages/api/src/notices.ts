import { instant, LEADS, uuid } from '@nodo/kernel';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { BACKUP_FAILURES } from './backups.ts';
import { defineEndpoint } from './endpoint.ts';

const count = z.number().int().nonnegative();

/** What a lead must know of the shop's own data. */
export const notice = z.discriminatedUnion('kind', [
  /** An interrupted first start had left the demo shop unfinished; so much was added. */
  z.object({ kind: z.literal('demo-completed'), tickets: count }),
  /** Words of erased names had stayed in the search. */
  z.object({ kind: z.literal('erased-words-removed'), words: count }),
  /** Entries in a lead's name, from screens that others use too, of before makers were proven. */
  z.object({ kind: z.literal('entries-unproven'), entries: count, tickets: z.array(uuid) }),
  /** Holds as long as there is little room; it cannot be put away. */
  z.object({ kind: z.literal('low-space'), megabytes: count }),
  /** Nobody has set a passphrase: nothing is saved anywhere else. Holds until somebody does. */
  z.object({ kind: z.literal('no-backups') }),
  /** The last attempt failed. Holds until one succeeds. */
  z.object({ kind: z.literal('backup-failed'), why: z.enum(BACKUP_FAILURES) }),
  /** The latest backup is so old. Holds until there is another. */
  z.object({ kind: z.literal('backup-old'), days: count }),
]);
export type Notice = z.infer<typeof notice>;

const noticeRecord = z.object({ id: uuid.nullable(), at: instant, notice });
export type NoticeRecord = z.infer<typeof noticeRecord>;

/** What is not put away yet, the latest first. Without an id it cannot be put away. */
export const listNotices = defineEndpoint({
  ...ADDRESSES.listNotices,
  roles: LEADS,
  answer: z.array(noticeRecord),
});

export const putNoticeAway = defineEndpoint({
  ...ADDRESSES.putNoticeAway,
  roles: LEADS,
  params: z.object({ notice: uuid }),
  body: z.object({}),
  answer: z.object({}),
});
