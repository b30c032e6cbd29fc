import { resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import { noticesOf, shippedPackages } from '../lib/notices.mjs';

const packages = shippedPackages(resolve(new URL('../..', import.meta.url).pathname));

/** What allows commercial use without more than being named (SPDX). */
const ALLOWED = new Set([
  '0BSD',
  'Apache-2.0',
  'BlueOak-1.0.0',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'CC0-1.0',
  'ISC',
  'MIT',
  'OFL-1.1',
]);

describe('the software of others that ships', () => {
  it('is all there, with the fonts and what only the server uses', () => {
    const names = new Set(packages.map(({ name }) => name));
    for (const name of ['react', 'sequelize', 'age-encryption', 'papaparse', '@peculiar/x509']) {
      expect(names).toContain(name);
    }
    expect([...names].some((name) => name.startsWith('@fontsource-variable/'))).toBe(true);
    // What only develops it does not ship.
    for (const name of ['vitest', 'typescript', 'csv-parse', 'ical.js']) {
      expect(names).not.toContain(name);
    }
  });

  it('is under licences that allow commercial use, none of them the GPL or LGPL', () => {
    for (const { name, licence } of packages) {
      const parts = licence.replace(/[()]/g, '').split(/ (?:AND|OR) /);
      const unknown = parts.filter((part) => !ALLOWED.has(part));
      expect([name, unknown]).toEqual([name, []]);
    }
  });

  it('is named with its licence, word for word where it has one', () => {
    const text = noticesOf(packages);
    for (const { name, version, licence } of packages) {
      expect(text).toContain(`${name} ${version}\nLicence: ${licence}`);
    }
    const silent = packages.filter((one) => one.text === '').map(({ name }) => name);
    // Their licence stands in their package.json alone.
    expect(silent.length).toBeLessThan(packages.length / 10);
  });
});
