// Keeps the demo shop as this version has it, for the tests of those that come after it. To be run before a migration
// is added: scripts/test/versions.test.ts asks for it.
import { writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { buildAll } from './lib/build.mjs';
import { installDebianPackages, installPackages, POSTGRESQL } from './lib/install.mjs';
import { say } from './lib/say.mjs';

const root = resolve(new URL('..', import.meta.url).pathname);
await installPackages(root);
await installDebianPackages([POSTGRESQL]);
await buildAll(root);
const { prepareDemoCopy, throwawayCluster } = await import('./lib/stage.mjs');
const { keptVersion } = await import('./lib/keptVersion.mjs');

const { cluster, remove } = await throwawayCluster();
try {
  const database = await prepareDemoCopy(root, cluster);
  const { schema, dump } = await keptVersion(cluster, database);
  const file = join('packages/server/test/versions', `${schema}.sql.gz`);
  writeFileSync(join(root, file), dump);
  say(`${file} is written: ${Math.round(dump.length / 1000)} kB`);
} finally {
  await remove();
}
