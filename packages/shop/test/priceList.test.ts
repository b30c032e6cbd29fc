import { describe, expect, it } from 'vitest';
import { pricesLike } from '../src/index.ts';

const LIST = [
  'Service, household machine',
  'Needle change',
  'Needles, pack of five',
  'Bobbin case, drop-in',
  'Bobbin case, front-loading',
].map((words, at) => ({ words, each: 100 * at }));
const like = (typed: string) => pricesLike(LIST, typed).map(({ words }) => words);

describe('a price list', () => {
  it('is searched by the beginnings of words, in any order', () => {
    expect(like('need')).toEqual(['Needle change', 'Needles, pack of five']);
    expect(like('case bob fr')).toEqual(['Bobbin case, front-loading']);
    expect(like('HOUSE')).toEqual(['Service, household machine']);
    // Not in the middle of one.
    expect(like('eedle')).toEqual([]);
  });

  it('says nothing to one letter, and nothing once a line stands there', () => {
    expect(like('n')).toEqual([]);
    expect(like('needle change ')).toEqual([]);
  });

  it('shows five at most, those that begin so first', () => {
    const many = Array.from({ length: 9 }, (_, at) => ({ words: `Foot, needle ${at}`, each: 1 }));
    const found = pricesLike([...many, { words: 'Needle plate', each: 1 }], 'needle');
    expect(found.map(({ words }) => words)).toEqual([
      'Needle plate',
      'Foot, needle 0',
      'Foot, needle 1',
      'Foot, needle 2',
      'Foot, needle 3',
    ]);
  });
});
