// What is likely and what to check next, for one machine described in a JSON file.
//   npm run -s diagnose -- FILE.json         or - for standard input
//   npm run -s diagnose -- --tables FAMILY   the ids that a question may use

import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { assertNode } from './lib/node.mjs';
import { built } from './lib/paths.mjs';

assertNode();
const root = resolve(new URL('..', import.meta.url).pathname);
const program = built(root).diagnose;
if (!existsSync(program)) {
  // Standard output is the answer's alone.
  const made = spawnSync(process.execPath, [`${root}/scripts/build.mjs`], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  if (made.status !== 0) process.exit(1);
}
process.argv.splice(1, 1, program);
await import(program);
