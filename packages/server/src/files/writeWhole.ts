import { open, rename } from 'node:fs/promises';
import { dirname } from 'node:path';

/** Writes a file of the owner's alone so that it is on the disk whole or not at all, also when the power fails. */
export async function writeWhole(path: string, text: string): Promise<void> {
  const unfinished = `${path}.new`;
  const file = await open(unfinished, 'w', 0o600);
  try {
    await file.writeFile(text);
    await file.sync();
  } finally {
    await file.close();
  }
  await renameSynced(unfinished, path);
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
