import { BACKUP_FAILURES } from '@nodo/api';
import { instant } from '@nodo/kernel';
import { z } from 'zod';

/**
 * A backup is one tar file of three members: what it is (readable by everybody), the key, sealed by the passphrase,
 * and the content, sealed by the key. Both seals are age files (age-encryption.org/v1), the content is again a tar
 * file: a listing with the checksum of every file, then those files.
 */
export const FORMAT = 'nodo-backup';
export const FORMAT_VERSION = 1;

export const ABOUT = 'about.json';
export const KEY = 'key.age';
export const SEALED = 'content.age';
export const LISTING = 'listing.json';
export const DUMP = 'database.sql.gz';
/** Below it the photos of each shop, each named by its SHA-256. */
export const PHOTOS = 'photos';
/** What the other devices of the shop trust; without it they would all have to be told anew. */
export const TLS = 'tls';
/** Which shop of one's own lies in the folder. */
export const SHOP = 'shop.json';

const sha256 = z.string().regex(/^[0-9a-f]{64}$/);
const bytes = z.number().int().nonnegative();

/** What both the outside and the sealed listing say, so that neither can be exchanged. */
const made = z.object({
  madeAt: instant,
  /** The last migration of the tables within. */
  schema: z.string(),
  /** A shop of one's own, not the demo. */
  isOwn: z.boolean(),
});
export type MadeOf = z.infer<typeof made>;

export const about = made.extend({
  format: z.literal(FORMAT),
  version: z.number().int().positive(),
  key: z.object({ sha256 }),
  content: z.object({ bytes, sha256 }),
});
export type About = z.infer<typeof about>;

export const listing = made.extend({
  files: z.array(z.object({ path: z.string(), bytes, sha256 })),
  /** Photos that were no longer what their names say when the backup was made; they are within as they were. */
  damaged: z.array(z.string()),
});
export type Listing = z.infer<typeof listing>;

/** Why there is no backup, or why one cannot be read. */
export const BACKUP_FAULTS = [
  ...BACKUP_FAILURES,
  'busy',
  'not-a-backup',
  'newer-format',
  'newer-data',
  'wrong-passphrase',
  'damaged',
] as const;
export type BackupFaultCode = (typeof BACKUP_FAULTS)[number];

export class BackupFault extends Error {
  override readonly name = 'BackupFault';

  /** @param what which part of it, in words for a log or a terminal */
  constructor(
    readonly code: BackupFaultCode,
    readonly what = '',
  ) {
    super(`${code}${what && `: ${what}`}`);
  }
}

/** Puts what a system call said into the code that the user is told. */
export function asBackupFault(fault: unknown): BackupFault {
  if (fault instanceof BackupFault) return fault;
  const { code, message = String(fault) } = (fault ?? {}) as { code?: string; message?: string };
  if (code === 'ENOSPC' || /No space left on device/i.test(message)) {
    return new BackupFault('no-room', message);
  }
  if (['EROFS', 'EACCES', 'EPERM', 'ENOENT', 'EIO', 'ENOTDIR'].includes(code ?? '')) {
    return new BackupFault('cannot-write', message);
  }
  return new BackupFault('failed', message);
}
