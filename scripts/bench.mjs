// Speed of the reckoning and worth of the planner, as JSON lines. Speeds are compared as
// ratios within one run: machines are noisy.
//   npm run bench                      everything
//   npm run bench -- diagnosis         what begins with these letters
//   npm run bench -- planner --machines 50
//   npm run bench -- command           npm run diagnose, beside a node that does nothing
//   npm run bench -- server            60 live screens, 30 findings a second, for a minute; a long
//                                      ticket beside a short one; previews of a large picture
//   npm run bench -- server/load --seconds 600   longer, to see whether the memory stays flat
//   npm run bench -- faults            500 seeded stories, 20 kill -9, 2 000 malformed bodies
//   npm run bench -- promise           200 open machines, and whether minutes left are true
//   npm run bench -- stitch            a turn of 720 steps, beside a fixed loop; its picture dragged
//                                      in a browser
//   npm run bench -- tension           3 000 machines balanced by the adviser, by whole steps and
//                                      by bisection; what is no matter of tension
//   npm run bench -- sample            rendered photographs of sewn samples, by what makes each hard;
//                                      `sample/speed`: 12 megapixels beside OpenCV
//   npm run bench -- search            a hundred thousand tickets, by a few letters
//   npm run bench -- start             the first start of a shop, and starting it again
//   npm run bench -- scale             1, 100 and 1 000 shops with ten million entries, on 1 and 2
//                                      processes; by this name only: it takes half an hour and 30 GB
//   npm run bench -- properties        property tests on cases of another seed, and 2 000 of each
//   npm run bench -- mutants           how many small changes of the rules the tests notice; by
//                                      this name only: it takes an hour
//   npm run bench -- interaction       the built pages in a browser, on the demo shop
import { randomInt } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { loadavg } from 'node:os';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { build } from 'esbuild';
import { buildAll } from './lib/build.mjs';
import { countedTest } from './lib/countedTest.mjs';
import { CHROMIUM, installDebianPackages, POSTGRESQL } from './lib/install.mjs';
import { measureCommand } from './lib/measureCommand.mjs';

const root = resolve(new URL('..', import.meta.url).pathname);
const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    machines: { type: 'string', default: '500' },
    seconds: { type: 'string', default: '60' },
  },
});
const outdir = `${root}/test-output/bench`;
mkdirSync(outdir, { recursive: true });
await build({
  absWorkingDir: root,
  entryPoints: [
    'bench/diagnosis.ts',
    'bench/shop.ts',
    'bench/stitch.ts',
    'bench/tension.ts',
    'bench/sample.ts',
    'bench/planner/benches.ts',
    'bench/planner/worker.ts',
  ],
  outdir,
  entryNames: '[name]',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  format: 'esm',
  platform: 'node',
  target: 'node20',
  // Ships its own machine code.
  external: ['@napi-rs/image'],
  logLevel: 'warning',
  banner: {
    js: "import { createRequire as requiringFrom } from 'node:module'; const require = requiringFrom(import.meta.url);",
  },
});

/** @param {string} name */
const isWanted = (name) =>
  positionals.length === 0 || positionals.some((word) => name.startsWith(word));
/** @param {object} result */
const tell = (result) =>
  // What the machine did besides: speeds of a busy one say little.
  process.stdout.write(
    `${JSON.stringify({ ...result, load: Number(loadavg()[0]?.toFixed(1)) })}\n`,
  );

const { benches } = await import(`${outdir}/diagnosis.mjs`);
const { shopBenches } = await import(`${outdir}/shop.mjs`);
const { stitchBenches } = await import(`${outdir}/stitch.mjs`);
const { tensionBenches } = await import(`${outdir}/tension.mjs`);
const { sampleBenches } = await import(`${outdir}/sample.mjs`);
const computed = [benches, shopBenches, stitchBenches, tensionBenches, sampleBenches].flat();
for (const { name, run } of computed) if (isWanted(name)) tell({ bench: name, ...(await run()) });

const { plannerJobs, runPlannerJobs } = await import(`${outdir}/benches.mjs`);
/** @param {Pick<import('../bench/planner/compare.ts').Job, 'family' | 'from'> & { way: string }} job */
const named = (job) => `planner/${job.family}/${job.from}/${job.way}`;
const jobs = plannerJobs(Number(values.machines)).filter(
  (/** @type {import('../bench/planner/compare.ts').Job} */ job) => isWanted(named(job)),
);
await runPlannerJobs(
  jobs,
  `${outdir}/worker.mjs`,
  (/** @type {import('../bench/planner/compare.ts').Result} */ result) =>
    tell({ bench: named(result), ...result }),
);

if (isWanted('command')) {
  await buildAll(root);
  tell({ bench: 'command', ...measureCommand(root) });
}

if (isWanted('start')) {
  await installDebianPackages([POSTGRESQL]);
  await buildAll(root);
  const { measureStart } = await import('./lib/measureStart.mjs');
  tell({ bench: 'start', ...(await measureStart()) });
}

if (isWanted('properties')) {
  const drawn = { NODO_SEED: String(randomInt(2 ** 31)), NODO_RUNS: '2000' };
  tell(countedTest('properties', 'packages', drawn, 'pure'));
}

if (positionals.some((word) => word.startsWith('mutants'))) {
  const { measureMutants } = await import('./lib/measureMutants.mjs');
  await measureMutants(root, isWanted, tell);
}

if (isWanted('interaction')) {
  await installDebianPackages([POSTGRESQL, CHROMIUM]);
  await buildAll(root);
  const { measureInteraction } = await import('./lib/interaction.mjs');
  tell(await measureInteraction(root));
}

if (isWanted('stitch/drag')) {
  await installDebianPackages([POSTGRESQL, CHROMIUM]);
  await buildAll(root);
  const { measureStitchDrag } = await import('./lib/stitchDrag.mjs');
  for (const result of await measureStitchDrag(root)) tell(result);
}

if (['server/load', 'server/long-ticket', 'server/previews'].some(isWanted)) {
  await installDebianPackages([POSTGRESQL]);
  await buildAll(root);
  const { measureServer } = await import('./lib/measureServer.mjs');
  if (isWanted('server/load')) tell(await measureServer(root, Number(values.seconds)));
  const { measureLongTicket } = await import('./lib/measureLongTicket.mjs');
  if (isWanted('server/long-ticket')) tell(await measureLongTicket(root));
  const { measurePreviews } = await import('./lib/measurePreviews.mjs');
  if (isWanted('server/previews')) tell(await measurePreviews(root));
}

if (isWanted('search')) {
  await installDebianPackages([POSTGRESQL]);
  await buildAll(root);
  const { measureSearch } = await import('./lib/measureSearch.mjs');
  tell(await measureSearch(root));
}

if (positionals.includes('scale')) {
  await installDebianPackages([POSTGRESQL]);
  await buildAll(root);
  const { measureScale } = await import('./lib/measureScale.mjs');
  await measureScale(tell);
}

if (isWanted('faults')) {
  await installDebianPackages([POSTGRESQL]);
  await buildAll(root);
  const { measureKills } = await import('./lib/measureKills.mjs');
  tell(await measureKills(root));
  tell(countedTest('faults/malformed', 'malformed', { NODO_MALFORMED: '2000' }));
  tell(countedTest('faults/stories', 'simulation', { NODO_STORIES: '500' }));
}
