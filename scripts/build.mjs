// Builds the pages (Vite) and the server's programs (esbuild), each into its package's dist/.
import { writeFileSync } from 'node:fs';
import { build as bundle } from 'esbuild';
import { build as buildPages } from 'vite';
import { buildServiceWorker } from './lib/buildServiceWorker.mjs';
import { compileAhead } from './lib/compileAhead.mjs';
import { noticesOf, shippedPackages } from './lib/notices.mjs';
import { serverPrograms } from './lib/programs.mjs';

const root = new URL('..', import.meta.url).pathname;

await bundle(serverPrograms(root));

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
// After it: nobody needs them without a network.
writeFileSync(`${root}packages/web/dist/third-party-notices.txt`, noticesOf(shippedPackages(root)));
