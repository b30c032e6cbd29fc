import { createWriteStream } from 'node:fs';
import { chmod, mkdir, open, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream as NodeReadableStream } from 'node:stream/web';
import { BACKUP_FAILURES } from '@nodo/api';
import { Encrypter } from 'age-encryption';
import { create } from 'tar';
import { renameSynced } from '../files/writeWhole.ts';
import { type BackupFolder, PART } from './folder.ts';
import {
  ABOUT,
  type About,
  asBackupFault,
  BackupFault,
  FORMAT,
  FORMAT_VERSION,
  KEY,
  LISTING,
  type Listing,
  type MadeOf,
  SEALED,
  SHOP,
} from './format.ts';
import { gathering, photoHash, type Source } from './gather.ts';
import { filesBelow, hashFile } from './hashing.ts';
import type { BackupKey } from './keys.ts';
import { lookInto } from './open.ts';

/** What the program that makes them knows of the world around it. */
export interface BackupWorld {
  readonly now: () => Date;
  /** Number of its process. */
  readonly pid: number;
}

/** What was made, for whoever asked. */
export interface Made {
  readonly file: string;
  readonly bytes: number;
  readonly photos: number;
  /** Photos that are no longer what their names say. */
  readonly damaged: readonly string[];
  /** Older ones that had to go. */
  readonly pruned: readonly string[];
}

/**
 * Makes a backup while the shop works, notes in the folder how it went, and removes the oldest beyond those that are
 * kept. It gets its name once it was read back from the disk and is whole.
 * @param schema the last migration of this build
 * @throws BackupFault
 */
export async function makeBackup(
  source: Source,
  folder: BackupFolder,
  schema: string,
  { now, pid }: BackupWorld,
): Promise<Made> {
  const at = now();
  try {
    await folder.open();
    const key = await folder.key();
    if (!key) throw new BackupFault('no-passphrase');
    const made = await gathering(source, pid, async (content) => {
      await folder.removeUnfinished();
      return seal(content, key, schema, at, folder);
    });
    await folder.copyErased();
    const pruned = await folder.prune(key.keep);
    await folder.noteRun({ at: at.toISOString(), failed: null, what: '' });
    return { ...made, pruned };
  } catch (fault) {
    const { code, what } = asBackupFault(fault);
    // The other one tells how it goes.
    if (code !== 'busy') {
      const failed = BACKUP_FAILURES.find((known) => known === code) ?? 'failed';
      await folder.noteRun({ at: at.toISOString(), failed, what }).catch(() => undefined);
    }
    throw new BackupFault(code, what);
  }
}

async function seal(
  content: string,
  key: BackupKey,
  schema: string,
  at: Date,
  into: BackupFolder,
): Promise<Omit<Made, 'pruned'>> {
  const files = await filesBelow(content);
  const isOwn = files.includes(SHOP);
  const made: MadeOf = { madeAt: at.toISOString(), schema, isOwn };
  const listing = await list(content, files, made);
  await writeFile(join(content, LISTING), JSON.stringify(listing));
  const outer = join(content, '..', 'outer');
  await mkdir(outer, { mode: 0o700 });
  await sealContent(content, [LISTING, ...files], key, join(outer, SEALED));
  await writeFile(join(outer, KEY), Buffer.from(key.sealed, 'base64'));
  const about: About = {
    format: FORMAT,
    version: FORMAT_VERSION,
    ...made,
    key: { sha256: (await hashFile(join(outer, KEY))).sha256 },
    content: await hashFile(join(outer, SEALED)),
  };
  await writeFile(join(outer, ABOUT), `${JSON.stringify(about, null, 2)}\n`);
  const file = into.nameAt(at);
  const path = join(into.files, file);
  const unfinished = path + PART;
  await writeOuter(outer, unfinished);
  await lookInto(unfinished);
  await renameSynced(unfinished, path);
  return {
    file,
    bytes: (await stat(path)).size,
    photos: files.filter((one) => photoHash(one) !== undefined).length,
    damaged: listing.damaged,
  };
}

async function list(content: string, files: readonly string[], made: MadeOf): Promise<Listing> {
  const hashed = [];
  for (const path of files) hashed.push({ path, ...(await hashFile(join(content, path))) });
  const damaged = hashed.flatMap(({ path, sha256 }) =>
    [sha256, undefined].includes(photoHash(path)) ? [] : [path],
  );
  return { ...made, files: hashed, damaged };
}

async function sealContent(
  content: string,
  files: readonly string[],
  { recipient }: BackupKey,
  to: string,
): Promise<void> {
  const encrypter = new Encrypter();
  encrypter.addRecipient(recipient);
  const plain = Readable.from(create({ cwd: content, portable: true }, [...files]));
  const sealed = await encrypter.encrypt(Readable.toWeb(plain) as ReadableStream<Uint8Array>);
  await pipeline(
    Readable.fromWeb(sealed as NodeReadableStream),
    createWriteStream(to, { mode: 0o600 }),
  );
}

async function writeOuter(outer: string, path: string): Promise<void> {
  try {
    // In this order: who reads it knows what it is before the content comes.
    await create({ cwd: outer, file: path, portable: true }, [ABOUT, KEY, SEALED]);
    // The disk may be one that others read.
    await chmod(path, 0o600);
    const written = await open(path, 'r+');
    await written.sync();
    await written.close();
  } catch (fault) {
    await rm(path, { force: true });
    throw fault;
  }
}
