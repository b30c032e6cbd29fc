import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { readdir } from 'node:fs/promises';
import { join } from 'node:path';

/** SHA-256 and length of a file, read piece by piece. */
export async function hashFile(path: string): Promise<{ bytes: number; sha256: string }> {
  const hash = createHash('sha256');
  let bytes = 0;
  for await (const piece of createReadStream(path)) {
    const chunk = piece as Buffer;
    hash.update(chunk);
    bytes += chunk.length;
  }
  return { bytes, sha256: hash.digest('hex') };
}

/** Paths of all files below a folder, relative to it, in one order everywhere. */
export async function filesBelow(folder: string, within = ''): Promise<string[]> {
  const found = await readdir(join(folder, within), { withFileTypes: true });
  const lists = await Promise.all(
    found.map(async (one) => {
      const path = within === '' ? one.name : `${within}/${one.name}`;
      return one.isDirectory() ? await filesBelow(folder, path) : [path];
    }),
  );
  return lists.flat().sort();
}
