// What to run while working: format, types, lint of what changed, and the tests without a database.
import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { assertNode } from './lib/node.mjs';

assertNode();
const { passes, quickTools } = await import('./lib/tools.mjs');
const root = resolve(new URL('..', import.meta.url).pathname);
const waiting = [...quickTools(root)];
let failed = 0;
const work = async () => {
  for (let tool = waiting.shift(); tool; tool = waiting.shift()) {
    if (!(await passes(root, tool))) failed += 1;
  }
};
await Promise.all(Array.from({ length: Math.min(4, availableParallelism()) }, work));
process.exitCode = failed === 0 ? 0 : 1;
