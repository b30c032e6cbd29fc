import { mkdirSync, writeFileSync } from 'node:fs';
import { relative } from 'node:path';
import { Stryker } from '@stryker-mutator/core';

/** What is mutated, with the package whose tests must notice. */
const PARTS = [
  { name: 'diagnosis', package: 'core', sources: 'packages/core/src/diagnosis/**/*.ts' },
  { name: 'ticket', package: 'ticket', sources: 'packages/ticket/src/**/*.ts' },
  { name: 'shop', package: 'shop', sources: 'packages/shop/src/**/*.ts' },
];
const NOTICED = ['Killed', 'Timeout'];
const MISSED = ['Survived', 'NoCoverage'];

/** Nothing but what is wrong; the type has its names at compile time only. */
const QUIETLY = /** @type {import('@stryker-mutator/api/core').LogLevel} */ (
  /** @type {string} */ ('warn')
);

/**
 * Changes the sources in small ways, one at a time, and counts the changes that the tests of the
 * same package notice. What they do not is listed in a file.
 *
 * @param {string} root
 * @param {(name: string) => boolean} isWanted
 * @param {(result: object) => void} tell called after each part; score is in per cent
 */
export async function measureMutants(root, isWanted, tell) {
  const outdir = `${root}/test-output/mutants`;
  mkdirSync(outdir, { recursive: true });
  process.chdir(root);
  for (const part of PARTS.filter(({ name }) => isWanted(`mutants/${name}`))) {
    process.env.NODO_MUTANTS = part.package;
    const mutants = await new Stryker({
      mutate: [part.sources],
      testRunner: 'vitest',
      vitest: { configFile: 'bench/mutants/vitest.config.mjs', related: false },
      // Only what the tests of these packages read is copied.
      ignorePatterns: ['/*', '!/packages', '!/bench', '!/vitest.setup.ts', '!/*.json'],
      tempDirName: `${outdir}/copy`,
      concurrency: 2,
      coverageAnalysis: 'perTest',
      reporters: ['json'],
      jsonReporter: { fileName: `${outdir}/${part.name}.json` },
      logLevel: QUIETLY,
      warnings: false,
    }).runMutationTest();
    const noticed = mutants.filter(({ status }) => NOTICED.includes(status)).length;
    const missed = mutants.filter(({ status }) => MISSED.includes(status));
    const list = `${outdir}/${part.name}.txt`;
    const lines = missed.map((mutant) => lineOf(root, mutant));
    writeFileSync(list, lines.sort().join(''));
    tell({
      bench: `mutants/${part.name}`,
      noticed,
      missed: missed.length,
      score: Math.round((1000 * noticed) / (noticed + missed.length)) / 10,
      list: relative(root, list),
    });
  }
}

/**
 * Where a mutant stands and what it is, in one line.
 * @param {string} root
 * @param {import('@stryker-mutator/api/core').MutantResult} mutant
 */
function lineOf(root, { fileName, location, status, mutatorName, replacement = '' }) {
  const { line, column } = location.start;
  const change = replacement.replaceAll(/\s+/g, ' ');
  return `${relative(root, fileName)}:${line}:${column} ${status} ${mutatorName} ${change}\n`;
}
