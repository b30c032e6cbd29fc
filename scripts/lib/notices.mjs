import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** @typedef {{ name: string, version: string, licence: string, text: string }} Package */

const TEXT = /^(licen[cs]e|copying|notice|ofl)([-.].*)?$/i;
const LINE = '-'.repeat(78);

/**
 * The software of others that ships, by the lock file: what is not only for development, and is installed here.
 * @param {string} root
 * @returns {readonly Package[]} by name and version
 */
export function shippedPackages(root) {
  const { packages } = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8'));
  return Object.entries(packages)
    .filter(([path, { dev, link }]) => path.includes('node_modules/') && !dev && !link)
    .filter(([path]) => existsSync(join(root, path, 'package.json')))
    .map(([path]) => packageIn(join(root, path)))
    .filter(
      (one, place, all) =>
        all.findIndex(({ name, version }) => name === one.name && version === one.version) ===
        place,
    )
    .sort((a, b) => (`${a.name} ${a.version}` < `${b.name} ${b.version}` ? -1 : 1));
}

/** @param {string} folder @returns {Package} */
function packageIn(folder) {
  const { name, version, license, licenses } = JSON.parse(
    readFileSync(join(folder, 'package.json'), 'utf8'),
  );
  const texts = readdirSync(folder)
    .filter((file) => TEXT.test(file))
    .sort()
    .map((file) => readFileSync(join(folder, file), 'utf8').trim());
  // Packages of long ago name their licence otherwise, or only by its text.
  const named = license?.type ?? license ?? licenses?.map(({ type }) => type).join(' OR ');
  const [text = ''] = texts;
  return {
    name,
    version,
    licence: named ?? (/permission is hereby granted, free of charge/i.test(text) ? 'MIT' : ''),
    text: texts.join('\n\n'),
  };
}

/**
 * What has to go along with the built application: each package with its licence, word for word.
 * @param {readonly Package[]} packages
 */
export function noticesOf(packages) {
  const about = packages.map(({ name, version, licence, text }) =>
    [LINE, `${name} ${version}`, `Licence: ${licence}`, '', text].join('\n').trimEnd(),
  );
  return [
    'Nodo is under the MIT licence. It contains software of others, each under its own licence:',
    ...about,
    '',
  ].join('\n\n');
}
