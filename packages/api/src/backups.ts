import { instant, LEADS } from '@nodo/kernel';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

/** Why the last attempt made no backup. */
export const BACKUP_FAILURES = [
  'no-passphrase',
  'no-room',
  'cannot-write',
  'database-failed',
  'failed',
] as const;
export type BackupFailure = (typeof BACKUP_FAILURES)[number];

/** How a backup is called: by its shop, where it is one of its own, its day and time of day (UTC). */
export const BACKUP_FILE =
  /^nodo-(?:([0-9a-f]{8})-)?(\d{4})(\d{2})(\d{2})-(\d{2})(\d{2})(\d{2})Z\.nodobackup$/;

/** Long enough that nobody finds it by trying, whoever has the file. */
export const SHORTEST_PASSPHRASE = 12;
export const USUALLY_KEPT = 14;

const backupState = z.object({
  /** Null as long as no backup can be made. */
  passphraseSetAt: instant.nullable(),
  /** How many are kept; the oldest goes when another comes. */
  keep: z.number().int().min(1),
  /** One is being made. */
  running: z.boolean(),
  /** How the last attempt ended, where it ended badly. */
  failed: z.object({ at: instant, why: z.enum(BACKUP_FAILURES) }).nullable(),
  /** Whole and readable, the latest first. */
  kept: z.array(z.object({ file: z.string(), at: instant, bytes: z.number().int() })),
  /** When one was last taken off this computer. */
  takenAt: instant.nullable(),
});
export type BackupState = z.infer<typeof backupState>;

/** The backups of the shop's data; null where whoever runs the database makes them. */
export const readBackups = defineEndpoint({
  ...ADDRESSES.readBackups,
  roles: LEADS,
  answer: backupState.nullable(),
});

/** Begins one; {@link readBackups} tells how it goes. */
export const makeBackup = defineEndpoint({
  ...ADDRESSES.makeBackup,
  roles: LEADS,
  body: z.object({}),
  answer: backupState,
});

/** Sets by what the next backups are opened; those of before keep theirs. */
export const setBackupPassphrase = defineEndpoint({
  ...ADDRESSES.setBackupPassphrase,
  notByToken: true,
  roles: LEADS,
  body: z.object({
    passphrase: z.string().min(SHORTEST_PASSPHRASE).max(200),
    keep: z.number().int().min(1).max(365),
  }),
  answer: backupState,
});

/** One of them as a file. */
export const takeBackup = defineEndpoint({
  ...ADDRESSES.takeBackup,
  sends: 'application/octet-stream',
  roles: LEADS,
  params: z.object({ file: z.string().regex(BACKUP_FILE) }),
  answer: z.never(),
});

/** Who was erased, by number alone, as a file: it lies beside a backup when that is restored. */
export const takeErased = defineEndpoint({
  ...ADDRESSES.takeErased,
  sends: 'application/json',
  roles: LEADS,
  answer: z.never(),
});
