import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { assertWritable } from './fault.mjs';
import { built } from './paths.mjs';
import { mustRun } from './run.mjs';
import { during } from './say.mjs';
import { hashOf, unlessStamped } from './stamp.mjs';

const SOURCES = [
  'package-lock.json',
  'tsconfig.base.json',
  'packages',
  'demo',
  'scripts/build.mjs',
];

/**
 * Builds the pages and the server's programs, when a source changed.
 * @param {string} root
 */
export async function buildAll(root) {
  const { web, stamp } = built(root);
  if (!existsSync(join(web, 'index.html'))) rmSync(stamp, { force: true });
  await unlessStamped(stamp, hashOf(root, SOURCES), () =>
    during('Building the application (about ten seconds)', async () => {
      for (const folder of ['server', 'web']) assertWritable(join(root, 'packages', folder));
      await mustRun(process.execPath, ['scripts/build.mjs'], {
        cwd: root,
        env: { ...process.env, NODE_ENV: 'production' },
      });
    }),
  );
}
