// Speed of the reckoning, as JSON lines. Compared as ratios within one run: machines are noisy.
import { mkdirSync } from 'node:fs';
import { resolve } from 'node:path';
import { build } from 'esbuild';

const root = resolve(new URL('..', import.meta.url).pathname);
mkdirSync(`${root}/test-output`, { recursive: true });
const wanted = process.argv.slice(2);
const outfile = `${root}/test-output/bench.mjs`;
await build({
  absWorkingDir: root,
  entryPoints: ['bench/diagnosis.ts'],
  outfile,
  bundle: true,
  format: 'esm',
  platform: 'node',
  target: 'node20',
  logLevel: 'warning',
});
const { benches } = await import(outfile);
for (const { name, run } of benches) {
  if (wanted.length === 0 || wanted.some((word) => name.startsWith(word))) {
    process.stdout.write(`${JSON.stringify({ bench: name, ...run() })}\n`);
  }
}
