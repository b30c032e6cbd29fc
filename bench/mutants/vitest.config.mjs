import { resolve } from 'node:path';
import { defineConfig } from 'vitest/config';

const root = resolve(import.meta.dirname, '../..');

/** The tests of one package, on the copy of the sources that holds the mutants. */
export default defineConfig({
  root,
  resolve: {
    // node_modules lead to the sources without mutants.
    alias: [{ find: /^@nodo\/(\w+)$/, replacement: `${root}/packages/$1/src/index.ts` }],
  },
  test: {
    include: [`packages/${process.env.NODO_MUTANTS}/test/**/*.test.ts`],
    setupFiles: ['./vitest.setup.ts'],
    isolate: false,
  },
});
