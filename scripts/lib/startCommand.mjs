import { spawn } from 'node:child_process';
import { join, resolve } from 'node:path';
import { Cluster } from './cluster.mjs';
import { LONG_PATIENCE_MS } from './patience.mjs';

const ROOT = resolve(new URL('../..', import.meta.url).pathname);

/** The start command as a person runs it, on a data folder and port of its own. */
export class StartCommand {
  output = '';

  /**
   * @param {string} home the data folder
   * @param {number} port
   * @param {readonly string[]} args
   */
  constructor(home, port, ...args) {
    this.home = home;
    this.child = spawn(process.execPath, [join(ROOT, 'scripts/start.mjs'), ...args], {
      env: { ...process.env, NODO_DATA: home, PORT: String(port) },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    for (const stream of [this.child.stdout, this.child.stderr]) {
      stream?.on('data', (chunk) => {
        this.output += String(chunk);
      });
    }
  }

  /**
   * Waits until it has printed this; fails when it ends before.
   * @param {string} text
   */
  async says(text) {
    const until = Date.now() + LONG_PATIENCE_MS;
    while (!this.output.includes(text)) {
      if (this.isOver || Date.now() > until) {
        throw new Error(`“${text}” was not said:\n${this.output}`);
      }
      await new Promise((done) => setTimeout(done, 20));
    }
  }

  /** Its database, once it has said where that runs. */
  get cluster() {
    const [, port] = /127\.0\.0\.1:(\d+)/.exec(this.output) ?? [];
    return Cluster.attachedTo({ home: this.home, port: Number(port) });
  }

  get isOver() {
    return this.child.exitCode !== null || this.child.signalCode !== null;
  }

  /** @returns {Promise<number | null>} its exit code; null when a signal ended it */
  ended() {
    return new Promise((done) => {
      if (this.isOver) done(this.child.exitCode);
      else this.child.once('exit', (code) => done(code));
    });
  }

  /** @param {NodeJS.Signals} [signal] */
  stop(signal = 'SIGTERM') {
    this.child.kill(signal);
    return this.ended();
  }
}
