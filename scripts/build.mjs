// Builds the pages (Vite) and the server's programs (esbuild) into dist/.
import { readFileSync } from 'node:fs';
import { builtinModules } from 'node:module';
import { build as bundle } from 'esbuild';
import { build as buildPages } from 'vite';

const root = new URL('..', import.meta.url).pathname;

/** Our own workspaces are bundled; what npm installed is loaded from node_modules. */
const external = [
  ...builtinModules.flatMap((name) => [name, `node:${name}`]),
  ...['packages/server', 'packages/contract', 'packages/knowledge'].flatMap((folder) =>
    Object.keys(
      JSON.parse(readFileSync(`${root}${folder}/package.json`, 'utf8')).dependencies,
    ).filter((name) => !name.startsWith('@nodo/')),
  ),
].flatMap((name) => [name, `${name}/*`]);

await bundle({
  absWorkingDir: root,
  entryPoints: {
    server: 'packages/server/src/main.ts',
    migrate: 'packages/server/src/migrate.ts',
    demo: 'demo/src/main.ts',
  },
  outdir: 'dist',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  format: 'esm',
  platform: 'node',
  target: 'node20',
  splitting: false,
  sourcemap: true,
  external,
  logLevel: 'warning',
});

await buildPages({ root: `${root}packages/web`, logLevel: 'warn' });
