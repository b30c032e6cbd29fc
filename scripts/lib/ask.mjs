import { createInterface } from 'node:readline';
import { Writable } from 'node:stream';
import { SetupFault } from './fault.mjs';

/**
 * Asks for something that nobody may read over the shoulder. Programs that have no terminal give it by the
 * environment.
 * @param {string} what
 * @param {string} variable
 * @returns {Promise<string>}
 */
export async function askSecret(what, variable) {
  const given = process.env[variable];
  if (given) return given;
  if (!process.stdin.isTTY) {
    throw new SetupFault(
      `${what} is wanted, and there is no terminal to ask at.`,
      `Give it as ${variable}.`,
    );
  }
  process.stdout.write(`${what}: `);
  const silent = new Writable({ write: (_chunk, _encoding, done) => done() });
  const lines = createInterface({ input: process.stdin, output: silent, terminal: true });
  try {
    return await new Promise((done, reject) => {
      lines.once('line', done);
      lines.once('SIGINT', () => reject(new SetupFault('Stopped.', 'Nothing was changed.')));
    });
  } finally {
    lines.close();
    process.stdout.write('\n');
  }
}
