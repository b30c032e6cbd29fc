import { appendFileSync, existsSync, mkdirSync, renameSync, statSync } from 'node:fs';
import { join } from 'node:path';

const MOST_BYTES = 5e6;

/**
 * A log file that is turned over at 5 MB, one old one kept.
 * @param {string} folder
 * @param {string} name
 * @returns {(line: string) => void}
 */
export function logFile(folder, name) {
  mkdirSync(folder, { recursive: true });
  const file = join(folder, `${name}.log`);
  return (line) => {
    if (existsSync(file) && statSync(file).size > MOST_BYTES) renameSync(file, `${file}.old`);
    appendFileSync(file, `${line}\n`);
  };
}
