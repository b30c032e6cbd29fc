import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * A hash over files and whole folders, by path and content.
 * @param {string} root
 * @param {readonly string[]} paths
 */
export function hashOf(root, paths) {
  const hash = createHash('sha256').update(process.version);
  /** @param {string} path */
  const add = (path) => {
    const full = join(root, path);
    if (!existsSync(full)) return;
    if (statSync(full).isDirectory()) {
      for (const name of readdirSync(full).sort()) {
        if (name !== 'node_modules' && name !== 'dist') add(join(path, name));
      }
      return;
    }
    hash.update(path).update('\0').update(readFileSync(full)).update('\0');
  };
  for (const path of paths) add(path);
  return hash.digest('hex');
}

/**
 * Does the work unless the stamp says that it was done for this very content.
 * @param {string} stampFile
 * @param {string} hash
 * @param {() => Promise<unknown>} work
 */
export async function unlessStamped(stampFile, hash, work) {
  if (existsSync(stampFile) && readFileSync(stampFile, 'utf8') === hash) return;
  await work();
  writeFileSync(stampFile, hash);
}
