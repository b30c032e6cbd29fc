import { spawn } from 'node:child_process';
import {
  cpSync,
  createReadStream,
  existsSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmdirSync,
  rmSync,
  statSync,
} from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { askSecret } from './ask.mjs';
import { backupPlaceOf, mustDo } from './backups.mjs';
import { buildAll } from './build.mjs';
import { Cluster } from './cluster.mjs';
import { removeCluster } from './clusterFolder.mjs';
import { explained, SetupFault } from './fault.mjs';
import { installDebianPackages, installPackages, POSTGRESQL } from './install.mjs';
import { built } from './paths.mjs';
import { mustRun } from './run.mjs';
import { during, say } from './say.mjs';

const ROOT = resolve(new URL('../..', import.meta.url).pathname);
const DATABASE = 'nodo';

/**
 * Brings a backup into an empty folder, whole or not at all.
 * @param {readonly string[]} args the file
 */
export async function restore(args) {
  const [given] = args.filter((arg) => !arg.startsWith('-'));
  if (given === undefined || !existsSync(given)) {
    throw new SetupFault(
      given === undefined ? 'Which backup?' : `There is no ${given}.`,
      'npm run restore -- /media/stick/nodo-20260301-180000Z.nodobackup',
    );
  }
  const file = resolve(given);
  await installPackages(ROOT);
  await installDebianPackages([POSTGRESQL]);
  await buildAll(ROOT);
  const programs = built(ROOT);
  const about = await during('Reading the backup', () =>
    mustDo(programs.backup, { job: 'look', file }),
  );
  const home = resolve(process.env.NODO_DATA || join(ROOT, about.isOwn ? 'my-shop' : 'data'));
  assertEmpty(home);
  say(`Made ${about.madeAt}; it goes into ${home}`);
  const passphrase = await askSecret('Passphrase of the backup', 'NODO_PASSPHRASE');

  const making = `${home}.restoring`;
  rmSync(making, { recursive: true, force: true });
  mkdirSync(making, { recursive: true });
  const cluster = new Cluster(making);
  try {
    const content = join(making, 'content');
    const place = backupPlaceOf(making);
    const listing = await during('Opening it and checking every file', () =>
      mustDo(programs.backup, { job: 'open', file, passphrase, into: content, place }),
    );
    await cluster.create();
    await cluster.start();
    await cluster.prepareDatabase(DATABASE);
    await during('Loading the database', () => load(cluster, join(content, 'database.sql.gz')));
    bringOver(content, making);
    const env = environment(making, programs, cluster);
    const ran = await mustRun(process.execPath, [programs.migrate], { env });
    if (Number(ran) > 0) say(`Brought the tables up to date (${ran.trim()} migrations)`);
    const again = await mustDo(programs.backup, {
      job: 'erase',
      lists: dirname(file),
      settings: JSON.parse(env.NODO_SETTINGS),
    });
    await cluster.stop();
    rmSync(content, { recursive: true });
    if (existsSync(home)) rmdirSync(home);
    renameSync(making, home);
    tell(again, about, listing, home);
  } catch (fault) {
    await cluster.stop();
    removeCluster(making);
    throw explained(fault, home);
  } finally {
    rmSync(making, { recursive: true, force: true });
  }
}

/** Nothing is ever written over. @param {string} home */
function assertEmpty(home) {
  if (!existsSync(home)) return;
  // It is built beside the folder and takes its place, which a disk's own place cannot give up.
  if (statSync(home).dev !== statSync(dirname(home)).dev) {
    throw new SetupFault(
      `${home} is where a disk is mounted.`,
      `Name a folder on it: NODO_DATA=${join(home, 'nodo')} npm run restore -- FILE`,
    );
  }
  if (readdirSync(home).length === 0) return;
  throw new SetupFault(
    `${home} is not empty: a backup is brought into an empty folder only.`,
    `Move that one away, or name another one: NODO_DATA=/some/where npm run restore -- FILE`,
  );
}

/**
 * @param {Cluster} cluster
 * @param {string} dump
 */
async function load(cluster, dump) {
  const child = spawn(
    join(cluster.programs, 'psql'),
    [
      ...['-h', '127.0.0.1', '-p', String(cluster.port), '-U', 'nodo_super', '-d', DATABASE],
      ...['-qtA', '-v', 'ON_ERROR_STOP=1', '--single-transaction', '-f', '-'],
    ],
    {
      env: { ...process.env, PGPASSWORD: cluster.readSecrets().super },
      stdio: ['pipe', 'ignore', 'pipe'],
    },
  );
  let said = '';
  child.stderr.on('data', (chunk) => {
    said = (said + String(chunk)).slice(-2_000);
  });
  /** @type {Promise<number | null>} */
  const ended = new Promise((done) => child.once('close', done));
  // Where psql ends before it has read all, its reason says more than the broken pipe.
  const fed = await pipeline(createReadStream(dump), createGunzip(), child.stdin).catch(
    (fault) => fault,
  );
  const code = await ended;
  if (code !== 0) throw new Error(`The dump could not be loaded (${code}): ${said.trim()}`);
  if (fed) throw fed;
}

/**
 * What lies beside the database.
 * @param {string} content
 * @param {string} home
 */
function bringOver(content, home) {
  for (const one of ['photos', 'tls', 'shop.json']) {
    const from = join(content, one);
    if (existsSync(from)) cpSync(from, join(home, one), { recursive: true });
  }
}

/**
 * @param {string} home
 * @param {ReturnType<typeof built>} programs
 * @param {Cluster} cluster
 */
function environment(home, programs, cluster) {
  const settings = {
    host: '127.0.0.1',
    port: 0,
    webRoot: programs.web,
    photos: join(home, 'photos'),
    sessionSecret: cluster.readSecrets().session,
    database: cluster.settings(DATABASE),
  };
  return { ...process.env, NODO_SETTINGS: JSON.stringify(settings) };
}

/**
 * @param {{ lists: number, erased: number }} again
 * @param {{ madeAt: string, isOwn: boolean }} about
 * @param {{ files: readonly unknown[], damaged: readonly string[] }} listing
 * @param {string} home
 */
function tell(again, { madeAt, isOwn }, { files, damaged }, home) {
  say(`Restored into ${home}: ${files.length} files, each as it was saved`);
  for (const photo of damaged) say(`Damaged before it was saved: ${photo}`);
  if (again.erased > 0) say(`Erased again who was erased since: ${again.erased}`);
  if (again.lists === 0) {
    say(
      `No list of erased people lay beside the backup. Whoever was erased after ${madeAt} is in it again: erase them once more.`,
    );
  }
  const named = process.env.NODO_DATA ? `NODO_DATA=${home} ` : '';
  say(`Start it: ${named}npm start${isOwn ? ' -- --new-shop' : ''}. Everybody signs in anew.`);
  say('Daily backups go on with the same passphrase.');
}
