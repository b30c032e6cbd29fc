import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join, resolve } from 'node:path';
import { buildAll } from './build.mjs';
import { explained, SetupFault } from './fault.mjs';
import { CHROMIUM, installDebianPackages, installPackages, POSTGRESQL } from './install.mjs';
import { run } from './run.mjs';
import { say } from './say.mjs';

const PROJECTS = [
  'packages/core',
  'packages/knowledge',
  'packages/contract',
  'packages/server',
  'packages/web',
  'demo',
  'simulation',
  'e2e',
  'bench',
  'scripts',
];

/** What is linted together: all at once the linter keeps more types than its memory holds (5.7 GB). */
const LINTED = [
  ['packages/web', 'packages/client'],
  [
    'packages/core',
    'packages/knowledge',
    'packages/contract',
    'packages/diagnose',
    'packages/server',
  ],
  ['demo', 'simulation', 'e2e', 'bench', 'scripts'],
];

/** The tools by what they look for; each counts as one test. */
const TOOLS = [
  // The longest first.
  ...LINTED.map((folders) => ({
    name: `typed lint of ${folders.join(', ')}`,
    program: 'eslint',
    args: ['--max-warnings=0', ...folders],
  })),
  { name: 'format and quick lint', program: 'biome', args: ['ci', '--error-on-warnings', '.'] },
  ...PROJECTS.map((folder) => ({
    name: `types of ${folder}`,
    program: 'tsc',
    args: ['-p', folder],
  })),
  {
    name: 'rooms and circles',
    program: 'depcruise',
    args: ['--config', '.dependency-cruiser.mjs', 'packages', 'demo', 'simulation', 'e2e', 'bench'],
  },
  { name: 'dead code and unused packages', program: 'knip', args: ['--no-config-hints'] },
];

/** @returns {Promise<number>} the exit code */
export async function testAll() {
  const root = resolve(new URL('../..', import.meta.url).pathname);
  let passed = 0;
  let failed = 0;
  try {
    await installPackages(root);
    await installDebianPackages([POSTGRESQL, CHROMIUM]);
    const tools = await runTools(root);
    passed += tools.passed;
    failed += tools.failed;
    await buildAll(root);
    const counts = await runVitest(root);
    passed += counts.passed;
    failed += counts.failed;
  } catch (fault) {
    const told = explained(fault, root);
    process.stderr.write(
      `${told instanceof SetupFault ? told.message : told instanceof Error ? told.stack : String(told)}\n`,
    );
    failed += 1;
  }
  process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
  return failed === 0 ? 0 : 1;
}

/**
 * Runs the tools, as many at a time as there are cores for, and tells each as it ends.
 * @param {string} root
 */
async function runTools(root) {
  const waiting = [...TOOLS];
  const counts = { passed: 0, failed: 0 };
  const work = async () => {
    for (let tool = waiting.shift(); tool; tool = waiting.shift()) {
      const started = Date.now();
      const { code, output } = await run(
        join(root, 'node_modules', '.bin', tool.program),
        tool.args,
        {
          cwd: root,
        },
      );
      say(`${code === 0 ? 'ok  ' : 'FAIL'}  ${tool.name} (${Date.now() - started} ms)`);
      if (code !== 0) process.stdout.write(`${output}\n`);
      counts[code === 0 ? 'passed' : 'failed'] += 1;
    }
  };
  await Promise.all(Array.from({ length: Math.min(4, availableParallelism()) }, work));
  return counts;
}

/** @param {string} root */
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
  const { numPassedTests, numFailedTests, numFailedTestSuites } = JSON.parse(
    readFileSync(report, 'utf8'),
  );
  // A suite that could not be set up fails without a failed test.
  const unseen = numFailedTests === 0 && (numFailedTestSuites > 0 || code !== 0) ? 1 : 0;
  return { passed: numPassedTests, failed: numFailedTests + unseen };
}
