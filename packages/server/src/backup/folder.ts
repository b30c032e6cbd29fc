import { copyFile, mkdir, readdir, readFile, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { BACKUP_FAILURES, BACKUP_FILE } from '@nodo/api';
import { instant } from '@nodo/kernel';
import { z } from 'zod';
import type { BackupPlace } from '../config/settings.ts';
import { isErasedList } from '../erasing/erasedList.ts';
import { writeWhole } from '../files/writeWhole.ts';
import { type BackupKey, backupKey } from './keys.ts';

const KEY_FILE = 'key.json';
const LAST_RUN_FILE = 'last-run.json';
const TAKEN_FILE = 'taken.json';
/** Ends the name of one that is not whole yet. */
export const PART = '.part';

/** How the last attempt ended; null in `failed` when well. */
const lastRun = z.object({
  at: instant,
  failed: z.enum(BACKUP_FAILURES).nullable(),
  what: z.string(),
});
export type LastRun = z.infer<typeof lastRun>;

const taken = z.object({ at: instant, file: z.string() });
type Taken = z.infer<typeof taken>;

/** A backup that lies in the folder, whole: unfinished ones have no such name. */
export interface KeptBackup {
  readonly file: string;
  readonly at: Date;
  readonly bytes: number;
}

/** A shop's backups, the key that they are sealed with, and how the last attempt went. */
export class BackupFolder {
  private readonly notes: string;
  readonly files: string;
  private readonly mark: string | undefined;

  constructor({ notes, files, mark }: BackupPlace) {
    this.notes = notes;
    this.files = files;
    this.mark = mark;
  }

  /**
   * Makes the folders. A disk of its own that is not there is not made up: the backup would lie on the one that it
   * is kept away from.
   * @throws when that disk is not there
   */
  async open(): Promise<void> {
    await mkdir(this.notes, { recursive: true, mode: 0o700 });
    await stat(this.files);
  }

  /** How the backup of an instant is called here. */
  nameAt(at: Date): string {
    return backupName(at, this.mark);
  }

  /** Of this shop, and those of before there were marks; the latest first. */
  async kept(): Promise<readonly KeptBackup[]> {
    const names = await readdir(this.files).catch(() => []);
    const found = await Promise.all(
      names.map(async (file) => {
        const at = madeAt(file, this.mark);
        const size = await stat(join(this.files, file)).catch(() => undefined);
        return at && size ? [{ file, at, bytes: size.size }] : [];
      }),
    );
    return found.flat().toSorted((a, b) => b.at.getTime() - a.at.getTime());
  }

  /** Where a kept backup lies; undefined for a name that is none. */
  async pathOf(file: string): Promise<string | undefined> {
    const found = (await this.kept()).find((one) => one.file === file);
    return found && join(this.files, found.file);
  }

  key(): Promise<BackupKey | undefined> {
    return this.read(KEY_FILE, backupKey);
  }

  /** Backups from before keep the key that they were made with: it lies within each. */
  async setKey(key: BackupKey): Promise<void> {
    await mkdir(this.notes, { recursive: true, mode: 0o700 });
    await writeWhole(join(this.notes, KEY_FILE), JSON.stringify(key));
  }

  lastRun(): Promise<LastRun | undefined> {
    return this.read(LAST_RUN_FILE, lastRun);
  }

  noteRun(run: LastRun): Promise<void> {
    return writeWhole(join(this.notes, LAST_RUN_FILE), JSON.stringify(run));
  }

  /** When one was last taken off this computer through a browser, and which. */
  taken(): Promise<Taken | undefined> {
    return this.read(TAKEN_FILE, taken);
  }

  noteTaken(file: string, now: Date): Promise<void> {
    return writeWhole(
      join(this.notes, TAKEN_FILE),
      JSON.stringify({ at: now.toISOString(), file } satisfies Taken),
    );
  }

  /** Who was erased is noted beside the backups, wherever they are carried as a folder. */
  async copyErased(): Promise<void> {
    if (this.files === this.notes) return;
    const lists = (await readdir(this.notes)).filter(isErasedList);
    for (const list of lists) await copyFile(join(this.notes, list), join(this.files, list));
  }

  /** What one that was killed left behind. */
  async removeUnfinished(): Promise<void> {
    const names = await readdir(this.files);
    const own = (name: string) => madeAt(name.slice(0, -PART.length), this.mark) !== undefined;
    for (const name of names.filter((one) => one.endsWith(PART) && own(one))) {
      await rm(join(this.files, name), { force: true });
    }
  }

  /** Removes the oldest beyond so many. @returns their names */
  async prune(keep: number): Promise<readonly string[]> {
    const tooMany = (await this.kept()).slice(keep);
    for (const { file } of tooMany) await rm(join(this.files, file), { force: true });
    return tooMany.map(({ file }) => file);
  }

  private async read<Value>(file: string, schema: z.ZodType<Value>): Promise<Value | undefined> {
    const text = await readFile(join(this.notes, file), 'utf8').catch(() => undefined);
    if (text === undefined) return undefined;
    try {
      return schema.parse(JSON.parse(text));
    } catch {
      // As good as never written: a new one takes its place.
      return undefined;
    }
  }
}

/** How the backup of an instant is called. */
export function backupName(at: Date, mark?: string): string {
  const digits = at.toISOString().replace(/\.\d+/, '').replace(/[-:]/g, '').replace('T', '-');
  return `nodo-${mark === undefined ? '' : `${mark}-`}${digits}.nodobackup`;
}

/** Undefined for what is no backup, or that of another shop. */
function madeAt(file: string, own: string | undefined): Date | undefined {
  const [, mark = own, year, month, day, hour, minute, second] = BACKUP_FILE.exec(file) ?? [];
  return year === undefined || mark !== own
    ? undefined
    : new Date(`${year}-${month}-${day}T${hour}:${minute}:${second}Z`);
}
