import { spawn } from 'node:child_process';
import { constants } from 'node:fs';
import {
  copyFile,
  cp,
  link,
  mkdir,
  readdir,
  readFile,
  rm,
  stat,
  statfs,
  writeFile,
} from 'node:fs/promises';
import { basename, join } from 'node:path';
import { z } from 'zod';
import { BackupFault, DUMP, PHOTOS, SHOP, TLS } from './format.ts';

/** Where the shop's data lies, and how all of its database is read. */
export const source = z.object({
  /** The data folder; what is unfinished lies in it for a while. */
  home: z.string(),
  photos: z.string(),
  database: z.object({
    /** PostgreSQL's own program, of the version of the server. */
    pgDump: z.string(),
    host: z.string(),
    port: z.number().int(),
    name: z.string(),
    user: z.string(),
    password: z.string(),
  }),
});
export type Source = z.infer<typeof source>;

/** What is unfinished lies here, with the number of the process that makes it. */
const MAKING = 'backup.making';
const PID = 'pid';
const PHOTO = /^[0-9a-f]{64}\.jpg$/;
/** Tables whose rows are of no use anywhere else: who was signed in stays signed out, failed sign-ins are forgotten. */
const WITHOUT_ROWS = ['session', 'sign_in_delay'];
const SPARE_BYTES = 100e6;

/**
 * Puts together what belongs into a backup, in a folder within the data folder. The dump is one instant of the
 * database; a photo is on the disk before an entry names it and never changes, so the photos that are there after the
 * dump are all that it names.
 * @param pid of this process
 * @param use is given the folder; it is removed afterwards, whatever happens
 */
export async function gathering<Result>(
  { home, photos, database }: Source,
  pid: number,
  use: (folder: string) => Promise<Result>,
): Promise<Result> {
  const making = join(home, MAKING);
  await claim(making, pid);
  try {
    const folder = join(making, 'content');
    await mkdir(folder, { mode: 0o700 });
    await dump(database, join(folder, DUMP));
    await assertRoom(home, await gatherPhotos(photos, join(folder, PHOTOS)));
    for (const one of [TLS, SHOP]) await copyIfThere(join(home, one), join(folder, one));
    return await use(folder);
  } finally {
    await rm(making, { recursive: true, force: true });
  }
}

/** One backup at a time: what one that was killed left behind is removed. */
async function claim(making: string, own: number): Promise<void> {
  const pid = await readFile(join(making, PID), 'utf8').catch(() => '');
  if (pid !== '' && Number(pid) !== own && (await runsBackup(pid)))
    throw new BackupFault('busy', `process ${pid}`);
  await rm(making, { recursive: true, force: true });
  await mkdir(making, { mode: 0o700 });
  await writeFile(join(making, PID), String(own), { flag: 'wx' });
}

/** Another program may have the number of one that died. */
async function runsBackup(pid: string): Promise<boolean> {
  const line = await readFile(`/proc/${pid}/cmdline`, 'utf8').catch(() => '');
  return line.includes('backup.mjs');
}

function dump(database: Source['database'], file: string): Promise<void> {
  const { pgDump, host, port, name, user, password } = database;
  const args = [
    ...['--host', host, '--port', String(port), '--username', user, '--dbname', name],
    ...WITHOUT_ROWS.map((table) => `--exclude-table-data=${table}`),
    ...['--format=plain', '--compress=6', '--file', file],
  ];
  return new Promise((resolve, reject) => {
    const child = spawn(pgDump, args, {
      env: { PGPASSWORD: password, LC_ALL: 'C' },
      stdio: ['ignore', 'ignore', 'pipe'],
    });
    let said = '';
    child.stderr.on('data', (chunk: Buffer) => {
      said = (said + chunk.toString()).slice(-1_000);
    });
    child.once('error', (fault) => reject(new BackupFault('database-failed', fault.message)));
    child.once('close', (code) => {
      const why = said.trim();
      if (code === 0) resolve();
      else if (/No space left/i.test(why)) reject(new BackupFault('no-room', why));
      else reject(new BackupFault('database-failed', why));
    });
  });
}

/** Gives each photo a second name: no bytes are copied where both lie on one disk. @returns their bytes */
async function gatherPhotos(from: string, to: string): Promise<number> {
  await mkdir(to, { mode: 0o700 });
  let bytes = 0;
  for (const shop of await readdir(from).catch(() => [])) {
    const folder = join(from, shop);
    if (!(await stat(folder)).isDirectory()) continue;
    await mkdir(join(to, shop), { mode: 0o700 });
    for (const photo of (await readdir(folder)).filter((name) => PHOTO.test(name))) {
      const path = join(folder, photo);
      const size = await stat(path).catch(() => undefined);
      // A signature of somebody who was erased a moment ago.
      if (!size) continue;
      bytes += size.size;
      await linkOrCopy(path, join(to, shop, photo));
    }
  }
  return bytes;
}

async function linkOrCopy(from: string, to: string): Promise<void> {
  try {
    await link(from, to);
  } catch (fault) {
    const { code } = fault as { code?: string };
    if (code === 'ENOENT') return;
    await copyFile(from, to, constants.COPYFILE_FICLONE);
  }
}

/** What is sealed lies beside what it was made from until it has its place. */
async function assertRoom(home: string, photoBytes: number): Promise<void> {
  const { bavail, bsize } = await statfs(home);
  if (bavail * bsize < photoBytes + SPARE_BYTES) {
    throw new BackupFault('no-room', `${Math.ceil(photoBytes / 1e6)} MB wanted in ${home}`);
  }
}

async function copyIfThere(from: string, to: string): Promise<void> {
  const isThere = await stat(from).then(
    () => true,
    () => false,
  );
  if (isThere) await cp(from, to, { recursive: true });
}

/** Whether a path within a backup is a photo that says by its name what is in it. */
export function photoHash(path: string): string | undefined {
  const name = basename(path);
  return path.startsWith(`${PHOTOS}/`) && PHOTO.test(name) ? name.slice(0, 64) : undefined;
}
