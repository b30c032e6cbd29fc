// Builds the pages (Vite) and the server's programs (esbuild), each into its package's dist/.
import { readFileSync } from 'node:fs';
import { builtinModules } from 'node:module';
import { build as bundle } from 'esbuild';
import { build as buildPages } from 'vite';

const root = new URL('..', import.meta.url).pathname;

/** What the server itself names in its package.json is loaded from node_modules. */
const { dependencies } = JSON.parse(readFileSync(`${root}packages/server/package.json`, 'utf8'));
const external = [
  ...builtinModules.flatMap((name) => [name, `node:${name}`]),
  ...Object.keys(dependencies).filter((name) => !name.startsWith('@nodo/')),
].flatMap((name) => [name, `${name}/*`]);

await bundle({
  absWorkingDir: root,
  entryPoints: {
    server: 'packages/server/src/main.ts',
    migrate: 'packages/server/src/migrate.ts',
    demo: 'demo/src/main.ts',
  },
  // Beside the server's own node_modules, wherever npm put a package.
  outdir: 'packages/server/dist',
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

// One file that carries all it needs: it must start quickly.
await bundle({
  absWorkingDir: root,
  entryPoints: { diagnose: 'packages/diagnose/src/main.ts' },
  outdir: 'packages/diagnose/dist',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  minify: true,
  format: 'esm',
  platform: 'node',
  target: 'node20',
  mainFields: ['module', 'main'],
  logLevel: 'warning',
});

await buildPages({ root: `${root}packages/web`, logLevel: 'warn' });
