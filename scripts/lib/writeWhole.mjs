import { closeSync, fsyncSync, openSync, renameSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';

/**
 * Writes a file of the owner's alone so that it is on the disk whole or not at all, also when the
 * power fails.
 * @param {string} file
 * @param {string} text
 */
export function writeWhole(file, text) {
  writeFileSync(`${file}.new`, text, { mode: 0o600, flush: true });
  renameSync(`${file}.new`, file);
  const folder = openSync(dirname(file), 'r');
  fsyncSync(folder);
  closeSync(folder);
}
