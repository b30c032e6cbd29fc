import { existsSync, mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
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
 * Builds the pages and the server's programs into `dist/`, when a source changed.
 * @param {string} root
 */
export async function buildAll(root) {
  const dist = join(root, 'dist');
  mkdirSync(dist, { recursive: true });
  const stamp = join(dist, '.nodo-built');
  if (!existsSync(join(dist, 'web', 'index.html'))) rmSync(stamp, { force: true });
  await unlessStamped(stamp, hashOf(root, SOURCES), () =>
    during('Building the application (about twenty seconds)', () =>
      mustRun(process.execPath, ['scripts/build.mjs'], {
        cwd: root,
        env: { ...process.env, NODE_ENV: 'production' },
      }),
    ),
  );
}
