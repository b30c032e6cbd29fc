import { spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import {
  chmodSync,
  chownSync,
  existsSync,
  lstatSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  readlinkSync,
  realpathSync,
  renameSync,
  rmdirSync,
  rmSync,
  statSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { SetupFault } from './fault.mjs';
import { mustRun } from './run.mjs';
import { say } from './say.mjs';

/** Where a cluster lies that its own account could not reach in the data folder. */
const OUTSIDE = '/var/lib/nodo';
/** Beside a cluster that lies outside: the data folder that it belongs to. */
const BELONGS_TO = 'belongs-to';

/** Beside a cluster while it is made: its first password. */
export const INITDB_PASSWORD = 'initdb.pw';

/** @typedef {{ uid?: number, gid?: number }} Account the database's own, when root runs it */

/** @param {string} home the data folder */
export const clusterFolder = (home) => join(home, 'postgres');

/**
 * Whether a data folder has a cluster. One that was copied or moved is brought within reach of
 * the database's account first.
 * @param {string} home
 * @param {Account} account
 * @param {boolean} servedBefore whether a shop was ever served from this folder
 * @returns {Promise<boolean>}
 * @throws when its cluster is away, or belongs to another folder
 */
export async function findCluster(home, account, servedBefore) {
  const folder = clusterFolder(home);
  if (!isThere(folder)) {
    if (!servedBefore) return false;
    throw new SetupFault(
      `The database of ${home} is gone: there is no ${folder}.`,
      `Bring that folder back, from a copy if need be. To begin with an empty shop instead, move ${home} away.`,
    );
  }
  if (isLink(folder)) assertOurs(home);
  if (!wasServed(folder) && !servedBefore) {
    setAside(folder);
    return false;
  }
  await bringWithinReach(home, account);
  return true;
}

/**
 * Makes a cluster so that it is there whole or not at all.
 * @param {string} home
 * @param {Account} account
 * @param {(folder: string) => Promise<unknown>} init fills the empty folder
 */
export async function makeCluster(home, account, init) {
  const making = `${clusterFolder(home)}.new`;
  removeUnfinished(making);
  if (canPass(home, account)) makeOwn(making, account);
  else {
    const outside = newOutside(home, account);
    makeOwn(outside, account);
    symlinkSync(outside, making);
  }
  await init(realpathSync(making));
  renameSync(making, clusterFolder(home));
}

/** Removes a cluster that nobody has used yet, wherever it lies. @param {string} home */
export function removeCluster(home) {
  const folder = clusterFolder(home);
  if (!isThere(folder)) return;
  if (isLink(folder) && existsSync(folder))
    rmSync(dirname(realpathSync(folder)), { recursive: true });
  rmSync(folder, { recursive: true, force: true });
}

/** A link to a cluster is good only in the folder that the cluster belongs to. @param {string} home */
function assertOurs(home) {
  const folder = clusterFolder(home);
  if (!existsSync(folder)) {
    throw new SetupFault(
      `The database of ${home} lies in ${readlinkSync(folder)}, and that is gone.`,
      'Bring that folder back; nothing was changed.',
    );
  }
  const lies = realpathSync(folder);
  if (!lies.startsWith(`${OUTSIDE}/`)) return;
  const note = join(dirname(lies), BELONGS_TO);
  const owner = existsSync(note) ? readFileSync(note, 'utf8') : home;
  const isElsewhere = owner !== home && existsSync(clusterFolder(owner));
  if (isElsewhere && realpathSync(clusterFolder(owner)) === lies) {
    throw new SetupFault(
      `${home} is a copy of ${owner} without its database, which lies in ${lies}.`,
      `Stop Nodo there and copy once more with the database: cp -aL "${owner}" to an empty folder.`,
    );
  }
  writeFileSync(note, home);
}

/**
 * A cluster that was copied here may lie where its account cannot pass, or belong to another.
 * @param {string} home
 * @param {Account} account
 */
async function bringWithinReach(home, account) {
  const folder = clusterFolder(home);
  if (!account.uid) return;
  if (!isLink(folder) && !canPass(home, account)) {
    const outside = newOutside(home, account);
    // Leaves the old one until the new one is whole, on another disk too.
    await mustRun('mv', ['-T', folder, outside]);
    symlinkSync(outside, folder);
  }
  const lies = realpathSync(folder);
  if (statSync(lies).uid !== account.uid) {
    await mustRun('chown', ['-R', `${account.uid}:${account.gid}`, lies]);
  }
  chmodSync(lies, 0o700);
}

/**
 * A place of a name that nothing has and nothing will have.
 * @param {string} home
 * @param {Account} account
 */
function newOutside(home, account) {
  const place = join(OUTSIDE, randomBytes(8).toString('hex'));
  mkdirSync(place, { recursive: true });
  for (const folder of [OUTSIDE, place]) chmodSync(folder, 0o711);
  if (!canPass(place, account)) {
    throw new SetupFault(
      `The database's own account can pass neither through ${home} nor through ${OUTSIDE}.`,
      'Keep the data in a folder that others may pass through: NODO_DATA=/srv/nodo npm start',
    );
  }
  writeFileSync(join(place, BELONGS_TO), home);
  return join(place, 'postgres');
}

/**
 * @param {string} folder
 * @param {Account} account
 */
function makeOwn(folder, { uid, gid }) {
  mkdirSync(folder, { mode: 0o700 });
  if (uid && gid) chownSync(folder, uid, gid);
}

/**
 * What an interrupted start was still making. A server never ran on it, so it holds nothing.
 * @param {string} making
 */
function removeUnfinished(making) {
  if (!isThere(making)) return;
  if (existsSync(making)) {
    const lies = realpathSync(making);
    if (wasServed(lies)) {
      throw new SetupFault(
        `${making} holds a database that was in use.`,
        `Look what it is, and move it away; it is not touched.`,
      );
    }
    rmSync(lies, { recursive: true });
    // The place outside was made for it alone.
    if (isLink(making)) {
      for (const note of [BELONGS_TO, INITDB_PASSWORD]) {
        rmSync(join(dirname(lies), note), { force: true });
      }
      rmdirSync(dirname(lies));
    }
  }
  rmSync(making, { force: true });
}

/** A cluster that was half made before a start made it whole or not at all. @param {string} folder */
function setAside(folder) {
  if (!isLink(folder) && readdirSync(folder).length === 0) {
    rmdirSync(folder);
    return;
  }
  const aside = `${folder}.unfinished-${randomBytes(4).toString('hex')}`;
  renameSync(folder, aside);
  say(`An unfinished database was found and set aside: ${aside}`);
}

/** Whether a server ever ran on a cluster: it notes there how it was called. @param {string} folder */
const wasServed = (folder) => existsSync(join(folder, 'postmaster.opts'));

/**
 * @param {string} folder
 * @param {Account} account
 */
function canPass(folder, { uid, gid }) {
  return !uid || spawnSync('test', ['-x', folder], { uid, gid, cwd: '/' }).status === 0;
}

/** Links that lead nowhere count. @param {string} path */
const isThere = (path) => lstatSync(path, { throwIfNoEntry: false }) !== undefined;

/** @param {string} path */
const isLink = (path) => lstatSync(path, { throwIfNoEntry: false })?.isSymbolicLink() === true;
