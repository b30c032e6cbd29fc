import { join } from 'node:path';
import { run } from './run.mjs';
import { say } from './say.mjs';
import { codeFolders } from './workspaces.mjs';

/** @typedef {{ name: string, program: string, args: readonly string[] }} Tool */

/**
 * The typed lint runs in so many parts: all at once it keeps more types than its memory holds
 * (5.7 GB).
 */
const LINT_PARTS = 3;
/** What knows most of the other folders' types; lint parts are filled from these on. */
const HEAVIEST_FIRST = ['packages/web', 'packages/server', 'e2e', 'packages/knowledge'];

/**
 * What every change must pass besides the tests; each counts as one test.
 * @param {string} root
 * @returns {readonly Tool[]} the quick ones first, so that a slip is told at once
 */
export function tools(root) {
  const folders = codeFolders(root);
  return [
    format,
    types(folders),
    {
      name: 'rooms and circles',
      program: 'depcruise',
      args: ['--config', '.dependency-cruiser.mjs', ...folders],
    },
    { name: 'dead code and unused packages', program: 'knip', args: ['--no-config-hints'] },
    ...lintParts(folders).map((part) => ({
      name: `typed lint of ${part.join(', ')}`,
      program: 'eslint',
      args: ['--max-warnings=0', ...part],
    })),
  ];
}

/**
 * What is worth running after every few changes. The lint looks at changed files only, so it can
 * miss what a change of one file does to the types in another; {@link tools} does not.
 * @param {string} root
 * @returns {readonly Tool[]} the longest first
 */
export function quickTools(root) {
  const folders = codeFolders(root);
  return [
    {
      name: 'typed lint of changed files',
      program: 'eslint',
      args: ['--max-warnings=0', ...LINT_CACHE, ...folders],
    },
    {
      name: 'tests without a database',
      program: 'vitest',
      args: ['run', '--project', 'pure', '--project', 'web', '--project', 'components'],
    },
    types(folders),
    format,
  ];
}

const LINT_CACHE = [
  '--cache',
  '--cache-strategy=content',
  '--cache-location=node_modules/.cache/eslint/',
];

/** @type {Tool} */
const format = {
  name: 'format and quick lint',
  program: 'biome',
  args: ['ci', '--error-on-warnings', '.'],
};

/**
 * @param {readonly string[]} folders
 * @returns {Tool}
 */
function types(folders) {
  return {
    name: `types of ${folders.length} folders`,
    program: 'tsc',
    args: ['-b', ...folders],
  };
}

/** @param {readonly string[]} folders */
function lintParts(folders) {
  /** @param {string} folder */
  const rank = (folder) => (HEAVIEST_FIRST.indexOf(folder) + 1 || Number.POSITIVE_INFINITY) - 1;
  const sorted = folders.toSorted((a, b) => (rank(a) === rank(b) ? 0 : rank(a) - rank(b)));
  return Array.from({ length: LINT_PARTS }, (_, part) =>
    sorted.filter((_folder, place) => place % LINT_PARTS === part),
  );
}

/**
 * Runs a tool and tells how it ended; what it found is printed.
 * @param {string} root
 * @param {Tool} tool
 * @returns {Promise<boolean>} whether it found nothing
 */
export async function passes(root, { name, program, args }) {
  const started = Date.now();
  const { code, output } = await run(join(root, 'node_modules', '.bin', program), args, {
    cwd: root,
  });
  say(`${code === 0 ? 'ok  ' : 'FAIL'}  ${name} (${Math.round((Date.now() - started) / 1000)} s)`);
  if (code !== 0) process.stdout.write(`${output}\n`);
  return code === 0;
}
