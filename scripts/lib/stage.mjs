import { spawn } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Cluster, freePort } from './cluster.mjs';
import { built } from './paths.mjs';
import { mustRun } from './run.mjs';

const DATABASE = 'nodo';

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
  const env = { ...process.env, NODO_SETTINGS: JSON.stringify(settings) };
  await mustRun(process.execPath, [programs.migrate], { env });
  await mustRun(process.execPath, [programs.demo], { env });

  /** @type {import('node:child_process').ChildProcess | undefined} */
  let server;
  const startServer = () =>
    new Promise((resolve, reject) => {
      const child = spawn(process.execPath, [programs.server], {
        env,
        stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
      });
      server = child;
      child.once('message', () => resolve(undefined));
      child.once('exit', (code) => reject(new Error(`The server ended (${code})`)));
    });
  const killServer = (signal = 'SIGKILL') =>
    new Promise((resolve) => {
      if (!server || server.exitCode !== null || server.signalCode !== null) {
        resolve(undefined);
        return;
      }
      server.once('exit', () => resolve(undefined));
      server.kill(/** @type {NodeJS.Signals} */ (signal));
    });
  await startServer();
  return {
    url: `http://localhost:${settings.port}`,
    cluster,
    database: DATABASE,
    settings,
    startServer,
    killServer,
    async killDatabase() {
      const dead = new Promise((resolve) => cluster.process?.once('exit', resolve));
      cluster.process?.kill('SIGKILL');
      await dead;
    },
    /** Of the server, in megabytes. */
    memoryMb: () => memoryOf(server?.pid ?? 0),
    async close() {
      await killServer('SIGTERM');
      await remove();
    },
  };
}

/** Resident memory of a process, in megabytes. @param {number} pid */
function memoryOf(pid) {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8');
  return Math.round(Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? Number.NaN) / 1024);
}
