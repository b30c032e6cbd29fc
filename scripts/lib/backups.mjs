import { spawn } from 'node:child_process';
import { join, resolve } from 'node:path';
import { shopOf } from './dataFolder.mjs';
import { SetupFault } from './fault.mjs';
import { say } from './say.mjs';

const DAY_MS = 86_400_000;
/** After one that failed: a stick is plugged in again, somebody makes room. */
const RETRY_MS = 3_600_000;
/** A start has other things to do first. */
const FIRST_LOOK_MS = 60_000;
/** A computer that slept has missed its hour. */
const LONGEST_WAIT_MS = 900_000;

/** @typedef {{ hasPassphrase: boolean, keep: number | null, latest: string | null }} BackupStatus */
/** @typedef {{ code: string, what: string }} BackupFaultSaid */
/** @typedef {{ done?: any, fault?: BackupFaultSaid }} JobAnswer */

/**
 * Where the backups of a data folder lie: on another disk, if one is named. What they are sealed with is noted in the
 * data folder.
 * @param {string} home
 */
export function backupPlaceOf(home) {
  const notes = join(home, 'backups');
  const mark = shopOf(home)?.slice(0, 8);
  return { notes, files: resolve(process.env.NODO_BACKUPS || notes), ...(mark ? { mark } : {}) };
}

/**
 * Runs the program that makes and reads backups. What it is told stands neither among its arguments nor in its
 * environment, where others could read a passphrase.
 * @param {string} program
 * @param {object} job
 * @param {AbortSignal} [signal] ends it
 * @returns {Promise<JobAnswer>}
 */
function backupJob(program, job, signal) {
  return new Promise((done, reject) => {
    const child = spawn(process.execPath, [program], {
      stdio: ['pipe', 'pipe', 'inherit'],
      ...(signal ? { signal } : {}),
    });
    let said = '';
    child.stdout.on('data', (chunk) => {
      said += String(chunk);
    });
    child.once('error', reject);
    child.once('close', (code) => {
      try {
        done(JSON.parse(said.trim().split('\n').at(-1) ?? ''));
      } catch {
        reject(new Error(`${program} ended (${code}) without an answer`));
      }
    });
    child.stdin.on('error', () => undefined);
    child.stdin.end(JSON.stringify(job));
  });
}

/** As {@link backupJob}, for a person at a terminal. @param {string} program @param {object} job */
export async function mustDo(program, job) {
  const { done, fault } = await backupJob(program, job);
  if (fault) throw faultInWords(fault);
  return done;
}

/**
 * What the program wants to know for a backup of a data folder whose database runs.
 * @param {import('./cluster.mjs').Cluster} cluster
 * @param {string} database
 * @param {string} [home] the data folder, where its database lies elsewhere
 */
export async function makeJob(cluster, database, home = cluster.home) {
  const { host, port } = cluster.settings(database);
  const schema = await cluster.sql(
    database,
    'select name from migration order by name desc limit 1',
  );
  return {
    job: 'make',
    place: backupPlaceOf(home),
    schema: schema.trim(),
    source: {
      home,
      photos: join(home, 'photos'),
      database: {
        pgDump: join(cluster.programs, 'pg_dump'),
        host,
        port,
        name: database,
        user: 'nodo_super',
        password: cluster.readSecrets().super,
      },
    },
  };
}

/**
 * How long until the next backup is to be made, in milliseconds; undefined while there is nothing to seal it with.
 * @param {BackupStatus} status
 * @param {number | undefined} failedAt when the last attempt failed, unless one succeeded since
 * @param {number} now
 */
export function dueIn({ hasPassphrase, latest }, failedAt, now) {
  if (!hasPassphrase) return undefined;
  const due = latest === null ? 0 : Date.parse(latest) + DAY_MS;
  const earliest = failedAt === undefined ? 0 : failedAt + RETRY_MS;
  return Math.max(0, Math.max(due, earliest) - now);
}

/**
 * Makes the daily backups of a data folder, and those that the server asks for.
 * @param {{
 *   program: string,
 *   cluster: import('./cluster.mjs').Cluster,
 *   database: string,
 *   home?: string,
 *   log: (line: string) => void,
 *   firstLookMs?: number,
 * }} of
 * @returns {{ hear: (message: unknown, reply: (answer: object) => void) => void, stop: () => Promise<void> }}
 *   hear: takes what the server says; anything that is no question for a backup is left alone
 */
export function keepBackups({
  program,
  cluster,
  database,
  home = cluster.home,
  log,
  firstLookMs = FIRST_LOOK_MS,
}) {
  const ending = new AbortController();
  /** @type {Promise<JobAnswer> | undefined} */
  let making;
  /** @type {number | undefined} */
  let failedAt;
  /** @type {NodeJS.Timeout} */
  let timer;
  const place = backupPlaceOf(home);

  /** @type {(fault: unknown) => JobAnswer} */
  const failed = (fault) => ({ fault: { code: 'failed', what: String(fault) } });
  const job = (/** @type {object} */ wanted) =>
    backupJob(program, wanted, ending.signal).catch(failed);
  const makeOne = async () => {
    const answer = await makeJob(cluster, database, home).then(job, failed);
    failedAt = answer.fault ? Date.now() : undefined;
    const { fault, done } = answer;
    if (ending.signal.aborted) return answer;
    if (fault) {
      log(`${new Date().toISOString()} ${fault.code} ${fault.what}`);
      say(`The backup failed: ${faultInWords(fault).message}`);
    } else {
      for (const photo of done.damaged) log(`${new Date().toISOString()} damaged photo ${photo}`);
      say(`Made a backup: ${join(place.files, done.file)}`);
    }
    return answer;
  };
  /** Whoever asks while one is made gets that one. */
  const make = () => {
    making ??= makeOne().finally(() => {
      making = undefined;
    });
    return making;
  };
  const look = async () => {
    const { done } = await job({ job: 'status', place });
    let wait = done && dueIn(done, failedAt, Date.now());
    if (wait === 0) {
      await make();
      wait = RETRY_MS;
    }
    if (!ending.signal.aborted)
      timer = setTimeout(look, Math.min(wait ?? LONGEST_WAIT_MS, LONGEST_WAIT_MS));
  };
  timer = setTimeout(look, firstLookMs);

  return {
    hear: (message, reply) => {
      const { asks, backup } = /** @type {any} */ (message ?? {});
      if (asks === undefined || backup === undefined) return;
      const answer = backup.job === 'make' ? make() : job({ ...backup, place });
      answer.then(({ fault }) => reply({ answers: asks, ...(fault ? { fault } : {}) }));
    },
    stop: async () => {
      clearTimeout(timer);
      ending.abort();
      await making;
    },
  };
}

/** @param {BackupFaultSaid} fault */
function faultInWords({ code, what }) {
  switch (code) {
    case 'no-passphrase':
      return new SetupFault('No passphrase is set for the backups.', 'Set one first.');
    case 'busy':
      return new SetupFault(`A backup is being made already (${what}).`, 'Wait until it is done.');
    case 'no-room':
      return new SetupFault(`There is not enough room for a backup (${what}).`, 'Make room first.');
    case 'cannot-write':
      return new SetupFault(
        `The file cannot be read or written (${what}).`,
        'See whether the disk is there.',
      );
    case 'database-failed':
      return new SetupFault(`The database could not be read (${what}).`, 'See whether it runs.');
    case 'not-a-backup':
      return new SetupFault('That file is no backup of Nodo.', 'Name another one.');
    case 'newer-format':
    case 'newer-data':
      return new SetupFault(
        `That backup was made by a newer Nodo (${what}), which this one would damage.`,
        'Restore it with that newer one.',
      );
    case 'wrong-passphrase':
      return new SetupFault('That is not the passphrase of this backup.', 'Nothing was changed.');
    case 'damaged':
      return new SetupFault(
        `That backup is damaged (${what}).`,
        'Nothing was changed; take another one.',
      );
    default:
      return new Error(`${code}: ${what}`);
  }
}
