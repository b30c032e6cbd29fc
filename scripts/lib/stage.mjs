import { spawn } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Cluster, freePort } from './cluster.mjs';
import { built } from './paths.mjs';
import { mustRun } from './run.mjs';

const DATABASE = 'nodo';
const DATABASE_STARTS = 40;

/**
 * A cluster that is thrown away afterwards; never the user's data.
 * @param {{ durable?: boolean }} [options] durable: writes as carefully as the real one, for
 *   tests that kill it
 */
export async function throwawayCluster({ durable = false } = {}) {
  const home = mkdtempSync(join(tmpdir(), 'nodo-stage-'));
  // The database's own account must be able to pass through when root runs this.
  chmodSync(home, 0o711);
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
 * The built server on a throwaway database with the demo shop, for journeys, pictures and
 * benches. It can be killed and started again like the real one.
 * @param {string} root
 * @param {{ durable?: boolean, lan?: import('../../packages/server/src/settings.ts').LanSettings }} [options]
 */
export async function openStage(root, options = {}) {
  const programs = built(root);
  const { cluster, remove } = await throwawayCluster(options);
  await cluster.prepareDatabase(DATABASE);
  const settings = {
    host: '127.0.0.1',
    port: await freePort(),
    webRoot: programs.web,
    photos: join(cluster.home, 'photos'),
    sessionSecret: cluster.readSecrets().session,
    database: cluster.settings(DATABASE),
    ...(options.lan ? { lan: options.lan } : {}),
  };
  const env = environment(settings);
  await mustRun(process.execPath, [programs.migrate], { env });
  await mustRun(process.execPath, [programs.demo], { env });

  const server = serverProcess(programs.server, settings);
  await server.start();
  /** @type {ReturnType<typeof serverProcess>[]} */
  const beside = [];
  return {
    url: server.url,
    cluster,
    database: DATABASE,
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
      const dead = new Promise((resolve) => cluster.process?.once('exit', resolve));
      cluster.process?.kill('SIGKILL');
      await dead;
    },
    /** As the start command does: the dead one's helpers may hold its memory for a moment. */
    async startDatabase() {
      for (let tries = 0; ; tries += 1) {
        try {
          return await cluster.start();
        } catch (fault) {
          if (tries === DATABASE_STARTS) throw fault;
          await new Promise((resolve) => setTimeout(resolve, 250));
        }
      }
    },
    /** Of the server, in megabytes. */
    memoryMb: server.memoryMb,
    async close() {
      await Promise.all([server, ...beside].map(({ kill }) => kill('SIGTERM')));
      await remove();
    },
  };
}

/** @param {object} settings */
function environment(settings) {
  return { ...process.env, NODO_SETTINGS: JSON.stringify(settings) };
}

/**
 * A process of the server that can be killed and started again.
 * @param {string} program
 * @param {{ port: number }} settings
 */
function serverProcess(program, settings) {
  /** @type {import('node:child_process').ChildProcess | undefined} */
  let running;
  return {
    url: `http://localhost:${settings.port}`,
    start: () =>
      new Promise((resolve, reject) => {
        const child = spawn(process.execPath, [program], {
          env: environment(settings),
          stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
        });
        running = child;
        child.once('message', () => resolve(undefined));
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
function memoryOf(pid) {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8');
  return Math.round(Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? Number.NaN) / 1024);
}
