import { mkdir, readdir, readFile, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { writeWhole } from './writeWhole.ts';

/** Files outside the database, in folders one deep: `folder/file`. */
export interface Blobs {
  has(name: string): Promise<boolean>;
  /** @returns undefined when there is none */
  read(name: string): Promise<Buffer | undefined>;
  /** Kept for good before it answers, whole or not at all. */
  write(name: string, bytes: Buffer): Promise<void>;
  /** Of one that is not there, nothing. */
  remove(name: string): Promise<void>;
  folders(): Promise<readonly string[]>;
  /** Files of a folder with when each was last written. */
  list(folder: string): Promise<readonly { readonly file: string; readonly at: Date }[]>;
}

/** In a folder of this computer's disk. */
export function folderBlobs(root: string): Blobs {
  const path = (name: string) => join(root, name);
  return {
    has: (name) =>
      stat(path(name)).then(
        (file) => file.isFile(),
        () => false,
      ),
    read: (name) =>
      readFile(path(name)).catch((fault: unknown) => {
        if ((fault as { code?: string }).code === 'ENOENT') return undefined;
        throw fault;
      }),
    write: async (name, bytes) => {
      await mkdir(dirname(path(name)), { recursive: true, mode: 0o700 });
      await writeWhole(path(name), bytes);
    },
    remove: (name) => rm(path(name), { force: true }),
    folders: async () => {
      const found = await readdir(root, { withFileTypes: true }).catch(() => []);
      return found.filter((one) => one.isDirectory()).map(({ name }) => name);
    },
    list: async (folder) => {
      const files = await readdir(path(folder));
      const found = await Promise.all(
        files.map(async (file) => {
          const there = await stat(path(`${folder}/${file}`)).catch(() => undefined);
          return there ? [{ file, at: there.mtime }] : [];
        }),
      );
      return found.flat();
    },
  };
}
