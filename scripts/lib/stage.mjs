import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { backupPlaceOf, keepBackups } from './backups.mjs';
import { Cluster } from './cluster.mjs';
import { built } from './paths.mjs';
import { LONG_PATIENCE_MS, PATIENCE_MS } from './patience.mjs';
import { freePort } from './ports.mjs';
import { mustRun } from './run.mjs';
import { testFolder } from './testFolder.mjs';

const DATABASE = 'nodo';
/** The database with the demo shop that others are copied from. */
export const DEMO_COPY = 'nodo_demo';
const DATABASE_START_PAUSE_MS = 250;

/** @typedef {{ home: string, port: number }} RunningCluster */

/**
 * A cluster that is thrown away afterwards; never the user's data.
 * @param {{ durable?: boolean }} [options] durable: writes as carefully as the real one, for
 *   tests that kill it
 */
export async function throwawayCluster({ durable = false } = {}) {
  const home = testFolder('stage');
  const cluster = new Cluster(home, { throwaway: !durable });
  await cluster.create();
  await cluster.start();
  return {
    cluster,
    async remove() {
      await cluster.stop();
      rmSync(home, { recursive: true, force: true });
    },
  };
}

/**
 * Loads the demo shop into a cluster once, for stages to be copied from.
 * @param {string} root
 * @param {Cluster} cluster
 * @returns the name of its database
 */
export async function prepareDemoCopy(root, cluster) {
  await cluster.prepareDatabase(DEMO_COPY);
  await loadDemo(root, cluster.settings(DEMO_COPY));
  return DEMO_COPY;
}

/**
 * The built server on a throwaway database with the demo shop, for journeys, pictures and
 * benches. It can be killed and started again like the real one.
 * @param {string} root
 * @param {{
 *   durable?: boolean,
 *   lan?: import('../../packages/server/src/config/settings.ts').LanSettings,
 *   names?: string[],
 *   isOwnShop?: boolean,
 *   copyFrom?: RunningCluster,
 * }} [options] durable: on a cluster of its own, which may be killed; copyFrom: a running cluster
 *   in which {@link prepareDemoCopy} has loaded the demo shop
 */
export async function openStage(
  root,
  { durable = false, lan, names = [], isOwnShop = false, copyFrom } = {},
) {
  const programs = built(root);
  const { cluster, database, remove } =
    copyFrom && !durable ? await copyWithin(copyFrom) : await ownCluster(root, durable, copyFrom);
  const home = mkdtempSync(join(tmpdir(), 'nodo-data-'));
  const settings = {
    host: '127.0.0.1',
    port: await freePort(),
    names,
    webRoot: programs.web,
    photos: join(home, 'photos'),
    backups: { ...backupPlaceOf(home), isOwnShop },
    sessionSecret: cluster.readSecrets().session,
    database: cluster.settings(database),
    ...(lan ? { lan } : {}),
  };
  // None by itself: only what a test asks for.
  const backups = keepBackups({
    program: programs.backup,
    cluster,
    database,
    home,
    log: () => undefined,
    firstLookMs: LONG_PATIENCE_MS,
  });
  const server = serverProcess(programs.server, settings, backups.hear);
  await server.start();
  /** @type {ReturnType<typeof serverProcess>[]} */
  const beside = [];
  return {
    url: server.url,
    get pid() {
      return server.pid;
    },
    cluster,
    database,
    settings,
    startServer: server.start,
    killServer: server.kill,
    /** One more process of the server on the same database, at an address of its own. */
    async startBeside() {
      const another = serverProcess(programs.server, { ...settings, port: await freePort() });
      beside.push(another);
      await another.start();
      return another;
    },
    async killDatabase() {
      if (!cluster.process) throw new Error('Other tests use this database; ask for a durable one');
      const dead = new Promise((resolve) => cluster.process?.once('exit', resolve));
      cluster.process.kill('SIGKILL');
      await dead;
    },
    /** As the start command does: the dead one's helpers may hold its memory for a moment. */
    async startDatabase() {
      const latest = Date.now() + PATIENCE_MS;
      for (;;) {
        try {
          return await cluster.start();
        } catch (fault) {
          if (Date.now() > latest) throw fault;
          await new Promise((resolve) => setTimeout(resolve, DATABASE_START_PAUSE_MS));
        }
      }
    },
    /** Of the server, in megabytes. */
    memoryMb: server.memoryMb,
    async close() {
      await Promise.all([server, ...beside].map(({ kill }) => kill('SIGTERM')));
      await remove();
      await backups.stop();
      rmSync(home, { recursive: true, force: true });
    },
  };
}

/** @param {RunningCluster} running */
async function copyWithin(running) {
  const cluster = Cluster.attachedTo(running);
  const database = `stage_${randomBytes(6).toString('hex')}`;
  await cluster.sql(
    'postgres',
    `create database ${database} template ${DEMO_COPY} owner nodo_owner`,
  );
  return { cluster, database, remove: () => cluster.dropDatabase(database) };
}

/**
 * @param {string} root
 * @param {boolean} durable
 * @param {RunningCluster | undefined} copyFrom
 */
async function ownCluster(root, durable, copyFrom) {
  const { cluster, remove } = await throwawayCluster({ durable });
  await cluster.prepareDatabase(DATABASE);
  if (copyFrom) await cluster.sql(DATABASE, await Cluster.attachedTo(copyFrom).dump(DEMO_COPY));
  else await loadDemo(root, cluster.settings(DATABASE));
  return { cluster, database: DATABASE, remove };
}

/**
 * Brings the tables up to date and loads the demo shop.
 * @param {string} root
 * @param {import('../../packages/server/src/config/settings.ts').DatabaseSettings} database
 */
export async function loadDemo(root, database) {
  const programs = built(root);
  // The two programs want all settings, and use those of the database.
  const env = environment({
    host: '127.0.0.1',
    port: 0,
    webRoot: programs.web,
    photos: tmpdir(),
    sessionSecret: 'x'.repeat(40),
    database,
  });
  await mustRun(process.execPath, [programs.migrate], { env });
  await mustRun(process.execPath, [programs.demo], { env });
}
/** @param {object} settings */
function environment(settings) {
  return { ...process.env, NODO_SETTINGS: JSON.stringify(settings) };
}

/**
 * A process of the server, or of the door, that can be killed and started again.
 * @param {string} program
 * @param {{ port: number, [name: string]: unknown }} settings what the program wants
 * @param {(message: unknown, reply: (answer: object) => void) => void} [hear] what it says after it serves
 */
export function serverProcess(program, settings, hear) {
  /** @type {import('node:child_process').ChildProcess | undefined} */
  let running;
  return {
    url: `http://localhost:${settings.port}`,
    get pid() {
      return running?.pid;
    },
    start: () =>
      new Promise((resolve, reject) => {
        const child = spawn(process.execPath, [program], {
          env: environment(settings),
          stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
        });
        running = child;
        child.on('message', (message) => {
          resolve(undefined);
          hear?.(message, (answer) => child.connected && child.send(answer));
        });
        child.once('exit', (code) => reject(new Error(`The server ended (${code})`)));
      }),
    kill: (signal = 'SIGKILL') =>
      new Promise((resolve) => {
        if (!running || running.exitCode !== null || running.signalCode !== null) {
          resolve(undefined);
          return;
        }
        running.once('exit', () => resolve(undefined));
        running.kill(/** @type {NodeJS.Signals} */ (signal));
      }),
    memoryMb: () => memoryOf(running?.pid ?? 0),
  };
}

/** Resident memory of a process, in megabytes. @param {number} pid */
export function memoryOf(pid) {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8');
  return Math.round(Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? Number.NaN) / 1024);
}
