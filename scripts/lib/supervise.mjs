import { spawn } from 'node:child_process';
import { say } from './say.mjs';

const PAUSE_MS = 300;
const LONGEST_PAUSE_MS = 30_000;
/** Whoever lived for so long is well again. */
const WELL_AFTER_MS = 60_000;

/** @param {number} ms */
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/**
 * How long to wait before something that died is started again: longer each time that it dies
 * soon after its start. A full disk or a lost mount may be put right after hours, so it never ends.
 * @returns {() => number} called at each death
 */
export function backOff(now = Date.now) {
  let startedAt = now();
  let next = PAUSE_MS;
  return () => {
    const wait = now() - startedAt > WELL_AFTER_MS ? PAUSE_MS : next;
    startedAt = now() + wait;
    next = Math.min(wait * 2, LONGEST_PAUSE_MS);
    return wait;
  };
}

/**
 * Starts the database again whenever it dies.
 * @param {import('./cluster.mjs').Cluster} cluster already started
 * @param {(line: string) => void} log
 */
export function keepDatabase(cluster, log) {
  const waitMs = backOff();
  const watch = () => {
    cluster.process?.once('exit', async () => {
      if (cluster.stopping) return;
      say('The database died, starting it again');
      while (!cluster.stopping) {
        // Its dying helpers may still hold the shared memory for a moment.
        await pause(waitMs());
        if (cluster.stopping) return;
        try {
          await cluster.start();
          say('The database is back');
          watch();
          return;
        } catch (fault) {
          log(String(fault));
        }
      }
    });
  };
  watch();
}

/**
 * Runs a program and starts it again whenever it dies.
 * @param {string} name what a person calls it
 * @param {string} program
 * @param {NodeJS.ProcessEnv} env
 * @param {(line: string) => void} log
 * @param {(message: unknown, reply: (answer: object) => void) => void} [hear] what it says after it serves
 * @returns {Promise<{ stop: () => Promise<void>, restart: () => void }>} given once it serves; `restart`
 *   ends it, and it comes again as if it had died
 */
export async function keepProgram(name, program, env, log, hear) {
  const waitMs = backOff();
  let stopping = false;
  let hasServed = false;
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
      const asked = child;
      // Whoever asked may be gone when the answer comes.
      const reply = (/** @type {object} */ answer) => asked.connected && asked.send(answer);
      child.on('message', (message) => {
        resolve(message);
        hear?.(message, reply);
      });
      child.once('exit', async (code) => {
        reject(new Error(`The ${name} ended (${code}): ${said.trim().split('\n').at(-1) ?? ''}`));
        if (stopping || !hasServed) return;
        if (!restarting) {
          say(`The ${name} died, starting it again`);
          await pause(waitMs());
        }
        restarting = false;
        if (stopping) return;
        launch().then(
          () => say(`The ${name} is back`),
          (fault) => log(String(fault)),
        );
      });
    });

  await launch();
  hasServed = true;
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
