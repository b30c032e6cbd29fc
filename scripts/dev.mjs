// Serves Nodo from its sources on a demo shop of its own: what is changed shows at once.
import { assertNode } from './lib/node.mjs';

assertNode();
const [{ start }, { openWorkshop }] = await Promise.all([
  import('./lib/serve.mjs'),
  import('./lib/workshop.mjs'),
]);
await start(process.argv.slice(2), openWorkshop());
