import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { Script } from 'node:vm';

/**
 * Runs a program once and keeps, beside it, what V8 compiled for that.
 * @param {string} program path of the program without its ending; its text is a function of
 *   `require` and `process`.
 * @param {string} example path of a file that it can be run with.
 */
export function compileAhead(program, example) {
  const filename = `${program}.js`;
  const script = new Script(readFileSync(filename, 'utf8'), { filename });
  const told = { exitCode: 0, argv: [process.execPath, filename, example] };
  const quiet = { ...told, stdout: { write: () => true }, stderr: process.stderr };
  script.runInThisContext()(createRequire(filename), quiet);
  if (quiet.exitCode !== 0) throw new Error(`${filename} does not answer ${example}`);
  writeFileSync(`${program}.compiled`, script.createCachedData());
}
