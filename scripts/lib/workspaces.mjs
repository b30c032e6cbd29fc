import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Folders of code that are no package of their own. */
const BESIDE = ['bench', 'scripts'];

/**
 * Every folder with code, from the workspaces that package.json names: a new package is checked
 * without being listed anywhere else.
 * @param {string} root
 * @returns {string[]} paths from the root; each has a tsconfig.json
 */
export function codeFolders(root) {
  /** @type {{ workspaces: string[] }} */
  const { workspaces } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8'));
  const folders = [...workspaces.flatMap((pattern) => matching(root, pattern)), ...BESIDE];
  const unchecked = folders.filter((folder) => !existsSync(join(root, folder, 'tsconfig.json')));
  if (unchecked.length > 0) throw new Error(`No tsconfig.json in ${unchecked.join(', ')}`);
  return folders;
}

/**
 * @param {string} root
 * @param {string} pattern a folder, or `folder/*`
 */
function matching(root, pattern) {
  if (!pattern.endsWith('/*')) return [pattern];
  const parent = pattern.slice(0, -2);
  return readdirSync(join(root, parent))
    .filter((name) => existsSync(join(root, parent, name, 'package.json')))
    .map((name) => `${parent}/${name}`);
}
