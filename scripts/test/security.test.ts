import { existsSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { expect, it } from 'vitest';

const root = resolve(import.meta.dirname, '../..');
const text = readFileSync(join(root, 'SECURITY.md'), 'utf8');
const rows = [...text.matchAll(/^\| (\d+\.\d+\.\d+) +\| (.+?) +\| (.+?) +\| (.+?) +\|$/gm)].map(
  ([, number = '', , state = '', where = '']) => ({ number, state: state.trim(), where }),
);
/** How many of its requirements are for level 2, by chapter of ASVS 4.0.3; counted from memory of the standard. */
const CHAPTERS = {
  1: 38,
  2: 53,
  3: 18,
  4: 9,
  5: 30,
  6: 13,
  7: 12,
  8: 15,
  9: 7,
  10: 5,
  11: 8,
  12: 15,
  13: 13,
  14: 23,
};

it('each requirement stands in the list once, with a state, and none is forgotten', () => {
  const numbers = rows.map(({ number }) => number);
  expect(new Set(numbers).size).toBe(numbers.length);
  const byChapter = Object.fromEntries(
    Object.keys(CHAPTERS).map((chapter) => [
      chapter,
      numbers.filter((number) => number.startsWith(`${chapter}.`)).length,
    ]),
  );
  expect(byChapter).toEqual(CHAPTERS);
  for (const { number, state } of rows) {
    expect(['holds', 'partly', 'no', 'n/a'], number).toContain(state);
  }
});

it('the sum of the states is the one that is told', () => {
  const count = (wanted: string) => rows.filter(({ state }) => state === wanted).length;
  expect(text).toContain(
    `Of ${rows.length}: ${count('holds')} hold, ${count('partly')} partly, ${count('no')} not, ${count('n/a')} do not arise.`,
  );
});

it('every file that is named as the place is there', () => {
  const named = [...text.matchAll(/`((?:packages|docs|deploy|scripts|e2e|\.ci)[\w./@-]*)`/g)].map(
    ([, path = '']) => path,
  );
  expect(named.length).toBeGreaterThan(60);
  expect(named.filter((path) => !existsSync(join(root, path)))).toEqual([]);
});
