import { createHash } from 'node:crypto';
import type { DatabaseSettings } from '@nodo/server';
import { SimulatedShop } from './shop.ts';
import { Story, type Told } from './story.ts';
import { World } from './world.ts';

/** A story with what the server complained of, and the print of all that happened in it. */
export interface Telling extends Told {
  readonly print: string;
}

/**
 * Tells the story of a seed, in a shop of its own.
 * @param database with its tables made; no shop of this seed is in it.
 */
export function tellStory(database: DatabaseSettings, seed: number): Promise<Telling> {
  const world = new World(seed);
  return world.run(async () => {
    const shop = await SimulatedShop.open(world, database);
    try {
      const [ona, ben, lea] = shop.people;
      if (!ona || !ben || !lea) throw new Error('The simulated shop has three people');
      const screens = [
        { people: [ona, ben], line: await shop.lineFor(ona, ben) },
        { people: [ben, ona], line: await shop.lineFor(ben, ona) },
        { people: [lea], line: await shop.lineFor(lea) },
      ];
      const told = await new Story(world, shop, screens).tell();
      const print = createHash('sha256').update(world.record.join('\n')).digest('hex');
      // What the server could not answer for is a fault, even where the client got over it.
      return { ...told, seed, print, faults: [...told.faults, ...shop.log] };
    } finally {
      await shop.close();
    }
  });
}
