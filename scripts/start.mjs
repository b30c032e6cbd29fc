// Sets up whatever is missing, then serves Nodo until it is told to stop.
import { assertNode } from './lib/node.mjs';

assertNode();
const { start } = await import('./lib/serve.mjs');
await start(process.argv.slice(2));
