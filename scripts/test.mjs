// Everything that a change must pass: tools, then tests, then one line with the count.
import { assertNode } from './lib/node.mjs';

assertNode();
const { testAll } = await import('./lib/testAll.mjs');
process.exitCode = await testAll();
