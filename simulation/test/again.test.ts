import { expect, it } from 'vitest';
import { freshDatabase } from '../../packages/server/test/database.ts';
import { tellStory } from '../src/index.ts';

it('a seed tells the same story each time, request by request, and another seed another', async () => {
  const [first, second] = [await freshDatabase(), await freshDatabase()];
  // With a restart, with lines that are cut, with a change of the tables.
  const seeds = [2, 6, 9];
  const prints = new Set<string>();
  for (const seed of seeds) {
    const told = await tellStory(first, seed);
    expect(told.recorded).toBeGreaterThan(0);
    expect(await tellStory(second, seed)).toEqual(told);
    prints.add(told.print);
  }
  expect(prints.size).toBe(seeds.length);
});
