import { appendFileSync, chmodSync, existsSync, mkdirSync, renameSync, statSync } from 'node:fs';
import { join } from 'node:path';

const MOST_BYTES = 5e6;

/**
 * A log file of the owner's alone that is turned over at 5 MB, one old one kept. Writing never
 * fails: on a full disk the line is lost, not the work.
 * @param {string} folder
 * @param {string} name
 * @returns {(line: string) => void}
 */
export function logFile(folder, name) {
  mkdirSync(folder, { recursive: true });
  const file = join(folder, `${name}.log`);
  // Also those of earlier versions, which everybody could read.
  chmodSync(folder, 0o700);
  if (existsSync(file)) chmodSync(file, 0o600);
  return (line) => {
    try {
      if (existsSync(file) && statSync(file).size > MOST_BYTES) renameSync(file, `${file}.old`);
      appendFileSync(file, `${line}\n`, { mode: 0o600 });
    } catch {
      // There is nowhere to say it.
    }
  };
}
