import { randomUUID } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { explained, SetupFault } from './fault.mjs';
import { say } from './say.mjs';
import { writeWhole } from './writeWhole.mjs';

const LEAST_FREE_BYTES = 200e6;

/** What the database was last prepared by and with. */
const PREPARED = 'prepared.json';
/** Says that a shop of one's own lies in the folder, and which. */
const OWN_SHOP = 'shop.json';
/** Which process serves from the folder, and from which folder, since folders are copied. */
const LOCK = 'running.pid';

/** @typedef {{ id: string, login: string, password: string, role: string, name: string }} SignIn */
/**
 * @typedef {{ build: string, signIns: SignIn[], isOwn?: boolean | undefined, isTaken?: boolean | undefined }} Prepared
 *   isTaken: somebody has a password of the shop of one's own
 */

/**
 * Sees that the data folder is ours, has room, and is used by one start command at a time.
 * @param {string} home
 * @returns {() => void} how to let go of it
 */
export function prepareFolder(home) {
  mkdirSync(home, { recursive: true });
  const lock = join(home, LOCK);
  if (existsSync(lock)) {
    const [pid = '', serves = home] = readFileSync(lock, 'utf8').split('\n');
    // A lock that names another folder was copied with it.
    if (serves === home && Number(pid) !== process.pid && isStartCommand(pid)) {
      throw new SetupFault(
        `Nodo already runs from this folder (process ${pid}).`,
        `Stop that one first: kill ${pid}`,
      );
    }
    rmSync(lock);
  }
  const { bavail, bsize } = statfsSync(home);
  if (bavail * bsize < LEAST_FREE_BYTES) throw explained({ code: 'ENOSPC' }, home);
  // Of two that start at once, one fails here.
  writeFileSync(lock, `${process.pid}\n${home}`, { flag: 'wx' });
  return () => rmSync(lock, { force: true });
}

/** The id of the shop of one's own in a folder; undefined where none lies, or its file is damaged. @param {string} home */
export function shopOf(home) {
  const file = join(home, OWN_SHOP);
  return existsSync(file) ? shopIn(readFileSync(file, 'utf8')) : undefined;
}

/**
 * The id of the shop of one's own that lies in a folder, made with it and kept beside the data; undefined in a folder
 * of the demo.
 * @param {string} home
 * @param {boolean} isWanted whether a folder in which no shop lies yet becomes one
 * @returns {string | undefined}
 */
export function ownShopIn(home, isWanted) {
  const file = join(home, OWN_SHOP);
  if (existsSync(file)) {
    const shop = shopOf(home);
    if (shop !== undefined) return shop;
    throw new SetupFault(`${file} is damaged.`, 'Put it back from a copy of this folder.');
  }
  if (readPrepared(home)?.isOwn) {
    throw new SetupFault(
      `${file} is missing: it says which shop lies in this folder.`,
      'Put it back from a copy of this folder; the data is untouched.',
    );
  }
  if (!isWanted) return undefined;
  if (wasPrepared(home)) {
    throw new SetupFault(
      `The demo shop lies in ${home}: a shop of your own wants a folder of its own.`,
      'Name another one: NODO_DATA=/some/where npm start -- --new-shop',
    );
  }
  const shop = randomUUID();
  writeWhole(file, JSON.stringify({ shop }));
  return shop;
}

/** @param {string} text @returns {string | undefined} */
function shopIn(text) {
  try {
    const { shop } = JSON.parse(text);
    return typeof shop === 'string' ? shop : undefined;
  } catch {
    return undefined;
  }
}

/** Whether a shop was ever served from the folder. @param {string} home */
export const wasPrepared = (home) => existsSync(join(home, PREPARED));

/**
 * @param {string} home
 * @returns {Prepared | undefined} undefined when everything has to be looked at again
 */
export function readPrepared(home) {
  if (!wasPrepared(home)) return undefined;
  const text = readFileSync(join(home, PREPARED), 'utf8');
  try {
    /** @type {Prepared} */
    const { build, signIns, isOwn, isTaken } = JSON.parse(text);
    if (typeof build === 'string' && Array.isArray(signIns)) {
      return { build, signIns, isOwn, isTaken };
    }
  } catch {
    // Told below, like one of another form.
  }
  say(`${join(home, PREPARED)} is damaged; the database is looked through instead`);
  return undefined;
}

/**
 * @param {string} home
 * @param {Prepared} prepared
 */
export const notePrepared = (home, prepared) =>
  writeWhole(join(home, PREPARED), JSON.stringify(prepared));

/** The next start looks the whole database through. @param {string} home */
export const forgetPrepared = (home) =>
  writeWhole(join(home, PREPARED), JSON.stringify({ build: '', signIns: [] }));

/** @param {string} pid */
function isStartCommand(pid) {
  try {
    return /(start|dev)\.mjs/.test(readFileSync(`/proc/${pid}/cmdline`, 'utf8'));
  } catch {
    return false;
  }
}
