import { defineConfig } from 'vitest/config';
import { LongestFirst } from './scripts/lib/longestFirst.mjs';
import { LONG_PATIENCE_MS, PATIENCE_MS } from './scripts/lib/patience.mjs';

/** No test measures time: a limit is there for what never ends, on the slowest machine. */
const patient = {
  testTimeout: LONG_PATIENCE_MS,
  hookTimeout: LONG_PATIENCE_MS,
  expect: { poll: { timeout: PATIENCE_MS } },
};

export default defineConfig({
  test: {
    maxWorkers: 2,
    // The shared cluster and browser end after the last test.
    teardownTimeout: LONG_PATIENCE_MS,
    sequence: { sequencer: LongestFirst },
    projects: [
      {
        test: {
          ...patient,
          name: 'pure',
          // Nothing in them outlives a file, and loading the tables anew for each costs more than the tests.
          isolate: false,
          include: [
            'packages/{core,kernel,knowledge,ticket,shop,tables,exchange,api,client,diagnose}/test/**/*.test.ts',
          ],
          setupFiles: ['./vitest.setup.ts'],
        },
      },
      {
        test: {
          ...patient,
          name: 'web',
          isolate: false,
          include: ['packages/web/test/*.test.ts'],
          setupFiles: ['./vitest.setup.ts', './packages/web/test/browser.ts'],
        },
      },
      {
        test: {
          ...patient,
          name: 'components',
          isolate: false,
          environment: 'happy-dom',
          include: ['packages/web/test/components/*.test.tsx'],
          setupFiles: ['./vitest.setup.ts'],
        },
      },
      {
        test: {
          ...patient,
          name: 'server',
          include: [
            'packages/server/test/**/*.test.ts',
            'demo/test/**/*.test.ts',
            'simulation/test/**/*.test.ts',
          ],
          globalSetup: ['./scripts/lib/testCluster.mjs'],
        },
      },
      {
        test: {
          ...patient,
          name: 'journeys',
          include: ['e2e/src/**/*.test.ts', 'scripts/test/**/*.test.ts'],
          globalSetup: ['./scripts/lib/testStage.mjs'],
        },
      },
    ],
  },
});
