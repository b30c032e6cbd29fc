import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { buildAll } from './build.mjs';
import { explained, SetupFault } from './fault.mjs';
import { CHROMIUM, installDebianPackages, installPackages, POSTGRESQL } from './install.mjs';
import { say } from './say.mjs';
import { passes, tools } from './tools.mjs';

/** @typedef {{ passed: number, failed: number }} Counts */

/** How many of the slowest test files are named at the end. */
const SLOWEST = 8;

/** @returns {Promise<number>} the exit code */
export async function testAll() {
  const root = resolve(new URL('../..', import.meta.url).pathname);
  let passed = 0;
  let failed = 0;
  try {
    await installPackages(root);
    await installDebianPackages([POSTGRESQL, CHROMIUM]);
    // Tests wait for pages and for the database; meanwhile the tools have work to do.
    const parts = await Promise.all([
      timed('tools', () => runTools(root)),
      timed('build and tests', async () => {
        await buildAll(root);
        return runVitest(root);
      }),
    ]);
    for (const counts of parts) {
      passed += counts.passed;
      failed += counts.failed;
    }
  } catch (fault) {
    const told = explained(fault, root);
    process.stderr.write(
      `${told instanceof SetupFault ? told.message : told instanceof Error ? told.stack : String(told)}\n`,
    );
    failed += 1;
  }
  say('done');
  process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
  return failed === 0 ? 0 : 1;
}

/**
 * @template Result
 * @param {string} part
 * @param {() => Promise<Result>} work
 */
async function timed(part, work) {
  const started = Date.now();
  const result = await work();
  say(`${part}: ${Math.round((Date.now() - started) / 1000)} s`);
  return result;
}

/**
 * One tool at a time: the tests have the other processors.
 * @param {string} root
 * @returns {Promise<Counts>}
 */
async function runTools(root) {
  const counts = { passed: 0, failed: 0 };
  for (const tool of tools(root)) counts[(await passes(root, tool)) ? 'passed' : 'failed'] += 1;
  return counts;
}

/**
 * @param {string} root
 * @returns {Promise<Counts>}
 */
async function runVitest(root) {
  const folder = join(root, 'test-output');
  mkdirSync(folder, { recursive: true });
  const report = join(folder, 'vitest.json');
  rmSync(report, { force: true });
  const code = await new Promise((done, broken) => {
    const child = spawn(
      process.execPath,
      [
        join(root, 'node_modules', 'vitest', 'vitest.mjs'),
        'run',
        '--reporter=default',
        '--reporter=json',
        `--outputFile.json=${report}`,
      ],
      { cwd: root, stdio: 'inherit', env: { ...process.env, NODE_ENV: 'test' } },
    );
    child.once('error', broken);
    child.once('exit', (exit) => done(exit ?? 1));
  });
  if (!existsSync(report)) return { passed: 0, failed: 1 };
  const { numPassedTests, numFailedTests, numFailedTestSuites, testResults } = JSON.parse(
    readFileSync(report, 'utf8'),
  );
  tellSlowest(root, testResults);
  // A suite that could not be set up fails without a failed test.
  const unseen = numFailedTests === 0 && (numFailedTestSuites > 0 || code !== 0) ? 1 : 0;
  return { passed: numPassedTests, failed: numFailedTests + unseen };
}

/**
 * Tells where the time went: each folder of tests, then the slowest files. Two files run at a
 * time, so the sums are about twice what the clock shows.
 * @param {string} root
 * @param {readonly { name: string, startTime: number, endTime: number }[]} files
 */
function tellSlowest(root, files) {
  const took = files
    .map(({ name, startTime, endTime }) => ({
      file: relative(root, name),
      seconds: (endTime - startTime) / 1000,
    }))
    .sort((a, b) => b.seconds - a.seconds);
  /** @type {Map<string, number>} */
  const folders = new Map();
  for (const { file, seconds } of took) {
    const folder = dirname(file);
    folders.set(folder, (folders.get(folder) ?? 0) + seconds);
  }
  for (const [folder, seconds] of folders) say(`${seconds.toFixed(0)} s in ${folder}`);
  for (const { file, seconds } of took.slice(0, SLOWEST)) say(`${seconds.toFixed(0)} s  ${file}`);
}
