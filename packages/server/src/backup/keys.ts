import { Decrypter, Encrypter, generateX25519Identity, identityToRecipient } from 'age-encryption';
import { z } from 'zod';
import { BackupFault } from './format.ts';

/**
 * Made once from the passphrase. With the recipient alone backups can be made, but none opened: the daily one needs
 * no secret on the disk.
 */
export const backupKey = z.object({
  /** To whom backups are sealed. */
  recipient: z.string().startsWith('age1'),
  /** The identity that opens them, sealed by the passphrase: an age file in base64. */
  sealed: z.base64(),
  /** How many backups are kept. */
  keep: z.number().int().min(1).max(365),
  setAt: z.iso.datetime(),
});
export type BackupKey = z.infer<typeof backupKey>;

/** A fresh key behind a passphrase; takes about a second, for whoever guesses too (scrypt, 2^18). */
export async function newKey(passphrase: string, keep: number, now: Date): Promise<BackupKey> {
  const identity = await generateX25519Identity();
  const encrypter = new Encrypter();
  encrypter.setPassphrase(passphrase);
  return keyOf(await encrypter.encrypt(identity), identity, keep, now);
}

/** The key that a backup was made with, for the next ones. @param sealed as it lies in the backup */
export async function keyOf(
  sealed: Uint8Array,
  identity: string,
  keep: number,
  now: Date,
): Promise<BackupKey> {
  return {
    recipient: await identityToRecipient(identity),
    sealed: Buffer.from(sealed).toString('base64'),
    keep,
    setAt: now.toISOString(),
  };
}

/** @returns the identity that opens the content. @throws BackupFault wrong-passphrase */
export async function openKey(sealed: Uint8Array, passphrase: string): Promise<string> {
  const decrypter = new Decrypter();
  decrypter.addPassphrase(passphrase);
  try {
    return await decrypter.decrypt(sealed, 'text');
  } catch {
    throw new BackupFault('wrong-passphrase');
  }
}
