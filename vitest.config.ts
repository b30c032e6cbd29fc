import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'pure',
          include: ['packages/{core,knowledge,contract,client,diagnose}/test/**/*.test.ts'],
        },
      },
      {
        test: {
          name: 'server',
          include: [
            'packages/server/test/**/*.test.ts',
            'demo/test/**/*.test.ts',
            'simulation/test/**/*.test.ts',
          ],
          globalSetup: ['./scripts/lib/testCluster.mjs'],
          testTimeout: 20_000,
          hookTimeout: 60_000,
        },
      },
      {
        test: {
          name: 'journeys',
          include: ['e2e/src/**/*.test.ts', 'scripts/test/**/*.test.ts'],
          testTimeout: 90_000,
          hookTimeout: 90_000,
          fileParallelism: false,
        },
      },
    ],
  },
});
