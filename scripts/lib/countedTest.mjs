import { spawnSync } from 'node:child_process';

/**
 * A test of `npm test` at its full count.
 * @param {string} bench name of the bench
 * @param {string} file part of the test file's name
 * @param {Record<string, string>} count the variables that the test takes its count from
 * @param {string} [project] of the test runner
 */
export function countedTest(bench, file, count, project = 'server') {
  const started = performance.now();
  const { status, stdout } = spawnSync(
    'npx',
    ['vitest', 'run', '--project', project, file, '--testTimeout', '3600000', '--reporter', 'json'],
    { env: { ...process.env, ...count }, encoding: 'utf8', maxBuffer: 64 * 2 ** 20 },
  );
  /** @type {{ numPassedTests: number, numFailedTests: number, testResults: { assertionResults: { failureMessages: string[] }[] }[] }} */
  const told = JSON.parse(stdout.slice(stdout.indexOf('{')));
  return {
    bench,
    ...count,
    passed: told.numPassedTests,
    failed: told.numFailedTests,
    seconds: Math.round((performance.now() - started) / 1000),
    faults: told.testResults.flatMap(({ assertionResults }) =>
      assertionResults.flatMap(({ failureMessages }) => failureMessages),
    ),
    ...(status === 0 ? {} : { status }),
  };
}
