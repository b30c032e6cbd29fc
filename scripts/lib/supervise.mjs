import { spawn } from 'node:child_process';
import { say } from './say.mjs';

const PAUSE_MS = 300;
const LONGEST_PAUSE_MS = 5_000;
const GIVE_UP_AFTER = 8;
const WITHIN_MS = 60_000;

/** @param {number} ms */
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** Whether something died so often lately that starting it again is pointless. */
function deathCounter() {
  /** @type {number[]} */
  let deaths = [];
  return () => {
    const now = Date.now();
    deaths = [...deaths.filter((then) => now - then < WITHIN_MS), now];
    return deaths.length > GIVE_UP_AFTER;
  };
}

/**
 * Starts the database again whenever it dies.
 * @param {import('./cluster.mjs').Cluster} cluster already started
 * @param {(line: string) => void} log
 * @param {() => void} giveUp
 * @returns {() => Promise<void>} how to stop it
 */
export function keepDatabase(cluster, log, giveUp) {
  const tooOften = deathCounter();
  const watch = () => {
    cluster.process?.once('exit', async () => {
      for (let pauseMs = PAUSE_MS; !cluster.stopping; pauseMs *= 2) {
        if (tooOften()) {
          say('The database dies again and again, giving up. See data/log/postgres.log.');
          giveUp();
          return;
        }
        say('The database died, starting it again');
        try {
          await cluster.start();
          say('The database is back');
          watch();
          return;
        } catch (fault) {
          // Its dying helpers may still hold the shared memory for a moment.
          log(String(fault));
          await pause(Math.min(pauseMs, LONGEST_PAUSE_MS));
        }
      }
    });
  };
  watch();
  return () => cluster.stop();
}

/**
 * Runs the server and starts it again whenever it dies.
 * @param {string} program
 * @param {NodeJS.ProcessEnv} env
 * @param {(line: string) => void} log
 * @param {() => void} giveUp
 * @returns {Promise<{ stop: () => Promise<void>, restart: () => void }>} given once it serves; `restart`
 *   ends it, and it comes again as if it had died
 */
export async function keepServer(program, env, log, giveUp) {
  const tooOften = deathCounter();
  let stopping = false;
  let restarting = false;
  /** @type {import('node:child_process').ChildProcess} */
  let child;

  const launch = () =>
    new Promise((resolve, reject) => {
      let said = '';
      child = spawn(process.execPath, ['--enable-source-maps', program], {
        env,
        detached: true,
        stdio: ['ignore', 'pipe', 'pipe', 'ipc'],
      });
      for (const stream of [child.stdout, child.stderr]) {
        stream?.on('data', (chunk) => {
          said = (said + String(chunk)).slice(-2_000);
          log(String(chunk).trimEnd());
        });
      }
      child.on('message', resolve);
      child.once('exit', async (code) => {
        reject(new Error(`The server ended (${code}): ${said.trim().split('\n').at(-1) ?? ''}`));
        if (stopping) return;
        const wanted = restarting;
        restarting = false;
        if (!wanted && tooOften()) {
          say('The server dies again and again, giving up. See data/log/server.log.');
          giveUp();
          return;
        }
        if (!wanted) {
          say('The server died, starting it again');
          await pause(PAUSE_MS);
        }
        if (stopping) return;
        launch().then(
          () => say('The server is back'),
          (fault) => log(String(fault)),
        );
      });
    });

  try {
    await launch();
  } catch (fault) {
    stopping = true;
    throw fault;
  }
  const isGone = () => child.exitCode !== null || child.signalCode !== null;
  const restart = () => {
    if (isGone()) return;
    restarting = true;
    child.kill('SIGTERM');
  };
  /** @type {() => Promise<void>} */
  const stop = () =>
    new Promise((resolve) => {
      stopping = true;
      if (isGone()) {
        resolve();
        return;
      }
      child.once('exit', () => resolve());
      child.kill('SIGTERM');
    });
  return { stop, restart };
}
