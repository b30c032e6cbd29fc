import { randomUUID } from 'node:crypto';
import { open, rename, rm } from 'node:fs/promises';
import { dirname } from 'node:path';

/** Writes a file of the owner's alone so that it is on the disk whole or not at all, also when the power fails. */
export async function writeWhole(path: string, content: string | Buffer): Promise<void> {
  const unfinished = `${path}.${randomUUID()}`;
  const file = await open(unfinished, 'wx', 0o600);
  try {
    try {
      await file.writeFile(content);
      await file.sync();
    } finally {
      await file.close();
    }
    await renameSynced(unfinished, path);
  } catch (fault) {
    await rm(unfinished, { force: true });
    throw fault;
  }
}

/** Gives a file that is on the disk its name, on the disk before it answers. */
export async function renameSynced(from: string, to: string): Promise<void> {
  await rename(from, to);
  const folder = await open(dirname(to), 'r');
  try {
    await folder.sync();
  } finally {
    await folder.close();
  }
}
