// Builds the pages (Vite) and the server's programs (esbuild), each into its package's dist/.
import { readFileSync } from 'node:fs';
import { builtinModules } from 'node:module';
import { build as bundle } from 'esbuild';
import { build as buildPages } from 'vite';
import { buildServiceWorker } from './lib/buildServiceWorker.mjs';
import { compileAhead } from './lib/compileAhead.mjs';

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

// A program that carries all it needs and, beside it, what V8 compiles of it: it must start quickly.
/** @type {import('esbuild').BuildOptions} */
const diagnose = {
  absWorkingDir: root,
  outdir: 'packages/diagnose/dist',
  bundle: true,
  minify: true,
  format: 'cjs',
  platform: 'node',
  target: 'node20',
  mainFields: ['module', 'main'],
  logLevel: 'warning',
};
await bundle({
  ...diagnose,
  entryPoints: { program: 'packages/diagnose/src/main.ts' },
  banner: { js: '(function (require, process) {' },
  footer: { js: '})' },
});
await bundle({
  ...diagnose,
  entryPoints: { diagnose: 'packages/diagnose/src/start.ts' },
  outExtension: { '.js': '.cjs' },
});
compileAhead(`${root}packages/diagnose/dist/program`, `${root}packages/diagnose/example.json`);

await buildPages({ root: `${root}packages/web`, logLevel: 'warn' });
await buildServiceWorker(`${root}packages/web`);
