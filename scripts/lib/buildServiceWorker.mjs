import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import { build } from 'esbuild';

/**
 * Bundles the service worker with the list of all files that the pages consist of.
 * @param {string} web the package of the pages, already built.
 */
export async function buildServiceWorker(web) {
  const dist = join(web, 'dist');
  const files = readdirSync(dist, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && !/\.map$|^sw\.js$/.test(entry.name))
    .map((entry) => join(entry.parentPath, entry.name))
    .sort();
  const hash = createHash('sha256');
  for (const file of files) hash.update(relative(dist, file)).update(readFileSync(file));
  await build({
    entryPoints: [join(web, 'src', 'serviceWorker', 'sw.ts')],
    outfile: join(dist, 'sw.js'),
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    define: {
      FILES: JSON.stringify(files.map((file) => `/${relative(dist, file).split(sep).join('/')}`)),
      VERSION: JSON.stringify(hash.digest('hex').slice(0, 16)),
    },
    logLevel: 'warning',
  });
}
