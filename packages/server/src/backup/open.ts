import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { mkdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream as NodeReadableStream } from 'node:stream/web';
import { Decrypter } from 'age-encryption';
import { extract, Parser, type ReadEntry } from 'tar';
import type { z } from 'zod';
import {
  ABOUT,
  type About,
  about,
  BackupFault,
  FORMAT,
  FORMAT_VERSION,
  KEY,
  LISTING,
  type Listing,
  listing,
  SEALED,
} from './format.ts';
import { filesBelow, hashFile } from './hashing.ts';
import { openKey } from './keys.ts';

/** What can be known of a backup without its passphrase. */
export interface Outside {
  readonly about: About;
  readonly key: Uint8Array;
}

/**
 * Reads a backup once through, without its passphrase: whether it is one, whole and unchanged.
 * @throws BackupFault not-a-backup, newer-format, damaged, cannot-write (it cannot be read at all)
 */
export async function lookInto(file: string): Promise<Outside> {
  const small = new Map<string, Buffer>();
  const content = createHash('sha256');
  let bytes = 0;
  const order: string[] = [];
  await members(file, (entry) => {
    order.push(entry.path);
    const pieces: Buffer[] = [];
    entry.on('data', (piece: Buffer) => {
      if (entry.path !== SEALED) {
        pieces.push(piece);
        return;
      }
      content.update(piece);
      bytes += piece.length;
    });
    entry.on('end', () => small.set(entry.path, Buffer.concat(pieces)));
  });
  const said = aboutIn(small.get(ABOUT));
  if (order.join() !== [ABOUT, KEY, SEALED].join()) {
    throw new BackupFault('damaged', `its members are ${order.join(', ')}`);
  }
  const key = small.get(KEY) ?? Buffer.alloc(0);
  if (createHash('sha256').update(key).digest('hex') !== said.key.sha256) {
    throw new BackupFault('damaged', KEY);
  }
  if (bytes !== said.content.bytes || content.digest('hex') !== said.content.sha256) {
    throw new BackupFault('damaged', `${SEALED}, ${bytes} of ${said.content.bytes} bytes`);
  }
  return { about: said, key };
}

/**
 * Opens a backup into an empty folder and checks every file of it against the listing.
 * @param migrations the names that this build knows, in their order
 * @throws BackupFault as {@link lookInto}, wrong-passphrase, newer-data
 */
export async function openBackup(
  file: string,
  passphrase: string,
  into: string,
  migrations: readonly string[],
): Promise<{ readonly listing: Listing; readonly key: Uint8Array; readonly identity: string }> {
  const outside = await lookInto(file);
  if (!migrations.includes(outside.about.schema)) {
    throw new BackupFault('newer-data', outside.about.schema);
  }
  const identity = await openKey(outside.key, passphrase);
  const decrypter = new Decrypter();
  decrypter.addIdentity(identity);
  await mkdir(into, { recursive: true, mode: 0o700 });
  let opened: Promise<void> = Promise.reject(new BackupFault('damaged', SEALED));
  opened.catch(() => undefined);
  await members(file, (entry) => {
    if (entry.path === SEALED) {
      opened = extractContent(entry, decrypter, into);
      opened.catch(() => entry.resume());
    } else entry.resume();
  });
  try {
    await opened;
  } catch (fault) {
    throw damagedUnless(fault, SEALED);
  }
  return { listing: await assertListed(into, outside.about), key: outside.key, identity };
}

async function extractContent(entry: ReadEntry, decrypter: Decrypter, into: string): Promise<void> {
  const sealed = Readable.toWeb(Readable.from(entry)) as ReadableStream<Uint8Array>;
  const plain = await decrypter.decrypt(sealed);
  await pipeline(
    Readable.fromWeb(plain as NodeReadableStream),
    extract({
      cwd: into,
      strict: true,
      filter: (_path, one) => 'type' in one && (one.type === 'File' || one.type === 'Directory'),
    }) as unknown as NodeJS.WritableStream,
  );
}

/** Every file that is listed is there as it was listed, and nothing else. */
async function assertListed(folder: string, outside: About): Promise<Listing> {
  const text = await readFile(join(folder, LISTING)).catch(() => undefined);
  const said = parsed(text, listing);
  if (!said) throw new BackupFault('damaged', LISTING);
  for (const field of ['madeAt', 'schema', 'isOwn'] as const) {
    if (said[field] !== outside[field]) throw new BackupFault('damaged', `${ABOUT}, ${field}`);
  }
  const there = (await filesBelow(folder)).filter((path) => path !== LISTING);
  const listed = said.files.map(({ path }) => path).toSorted();
  if (there.join('\n') !== listed.join('\n')) {
    throw new BackupFault('damaged', `${there.length} files instead of ${listed.length}`);
  }
  for (const { path, bytes, sha256 } of said.files) {
    const found = await hashFile(join(folder, path));
    if (found.bytes !== bytes || found.sha256 !== sha256) throw new BackupFault('damaged', path);
  }
  return said;
}

/** Goes through the members of a tar file; one that cannot be gone through is no backup, or was cut off. */
async function members(file: string, onReadEntry: (entry: ReadEntry) => void): Promise<void> {
  const seen: string[] = [];
  try {
    const parser = new Parser({
      strict: true,
      onReadEntry: (entry) => {
        seen.push(entry.path);
        onReadEntry(entry);
      },
    });
    await pipeline(createReadStream(file), parser as unknown as NodeJS.WritableStream);
  } catch (fault) {
    if ((fault as { code?: string }).code?.startsWith('TAR_')) {
      throw new BackupFault(seen.length > 0 ? 'damaged' : 'not-a-backup', String(fault));
    }
    throw damagedUnless(fault, file);
  }
}

function aboutIn(text: Buffer | undefined): About {
  const said = parsed(text, about.pick({ format: true, version: true }));
  if (!said) throw new BackupFault('not-a-backup', `no ${FORMAT}`);
  if (said.version > FORMAT_VERSION) throw new BackupFault('newer-format', String(said.version));
  const whole = parsed(text, about);
  if (!whole) throw new BackupFault('damaged', ABOUT);
  return whole;
}

function parsed<Value>(text: Buffer | undefined, schema: z.ZodType<Value>): Value | undefined {
  try {
    return schema.parse(JSON.parse((text ?? Buffer.alloc(0)).toString('utf8')));
  } catch {
    return undefined;
  }
}

/** What the system says of a disk stays what it is; everything else comes from the file. */
function damagedUnless(fault: unknown, what: string): unknown {
  if (fault instanceof BackupFault) return fault;
  const { code, message } = fault as { code?: string; message?: string };
  const isOfTheDisk = ['ENOSPC', 'EROFS', 'EACCES', 'EPERM', 'ENOENT', 'EIO'].includes(code ?? '');
  return isOfTheDisk ? fault : new BackupFault('damaged', `${what}: ${message ?? String(fault)}`);
}
