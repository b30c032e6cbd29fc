import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { SetupFault } from './fault.mjs';
import { writeWhole } from './writeWhole.mjs';

/** @typedef {{ super: string, owner: string, app: string, listener: string, session: string }} Secrets */

const NAMES = /** @type {const} */ (['super', 'owner', 'app', 'listener', 'session']);

/**
 * The passwords of a data folder's database and the key of its sessions; made with the cluster,
 * never again.
 * @param {string} home
 * @param {boolean} hasCluster
 * @returns {Secrets}
 */
export function readSecrets(home, hasCluster) {
  const file = join(home, 'secrets.json');
  const known = readIfWhole(file);
  if (known) return known;
  if (hasCluster) {
    throw new SetupFault(
      `${file} is ${existsSync(file) ? 'damaged' : 'missing'}: without it nobody gets into the database.`,
      'Put it back from a copy of this folder; the data is untouched.',
    );
  }
  const made = NAMES.map((name) => [name, randomBytes(24).toString('hex')]);
  const secrets = /** @type {Secrets} */ (Object.fromEntries(made));
  writeWhole(file, JSON.stringify(secrets, null, 2));
  return secrets;
}

/** @param {string} file @returns {Secrets | undefined} */
function readIfWhole(file) {
  try {
    const read = JSON.parse(readFileSync(file, 'utf8'));
    return NAMES.every((name) => typeof read[name] === 'string') ? read : undefined;
  } catch (fault) {
    const { code } = /** @type {{ code?: string }} */ (fault);
    if (fault instanceof SyntaxError || fault instanceof TypeError || code === 'ENOENT') {
      return undefined;
    }
    throw fault;
  }
}
