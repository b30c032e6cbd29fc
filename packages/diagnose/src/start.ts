// Starts the program from what V8 compiled of it when it was built: compiling it again would be
// a good part of its time. What another version of node left is not taken, and compiled again.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { setFlagsFromString } from 'node:v8';
import { Script } from 'node:vm';

// So little garbage is made that waking other threads for it costs more than they do (12 of 296 ms).
setFlagsFromString('--single-threaded-gc');

const file = join(__dirname, 'program.js');
const program = new Script(readFileSync(file, 'utf8'), { filename: file, cachedData: compiled() });
const run = program.runInThisContext() as (load: NodeJS.Require, own: NodeJS.Process) => void;
run(require, process);

function compiled(): Buffer | undefined {
  try {
    return readFileSync(join(__dirname, 'program.compiled'));
  } catch {
    return undefined;
  }
}
