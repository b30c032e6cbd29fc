import type { DatabaseSettings } from '@nodo/server';
import { SimulatedShop } from './shop.ts';
import { Story, type Told } from './story.ts';

export type { Told } from './story.ts';

/** After so many another shop begins: open tickets without end would only make the stories slow. */
const STORIES_A_SHOP = 20;

/**
 * Tells stories one after the other, on one database.
 * @param database with its tables made; it is filled.
 */
export async function tellStories(
  database: DatabaseSettings,
  seeds: readonly number[],
  each: (told: Told) => void,
): Promise<void> {
  for (let place = 0; place < seeds.length; place += STORIES_A_SHOP) {
    await tellInOneShop(database, seeds.slice(place, place + STORIES_A_SHOP), each);
  }
}

async function tellInOneShop(
  database: DatabaseSettings,
  seeds: readonly number[],
  each: (told: Told) => void,
): Promise<void> {
  const shop = await SimulatedShop.open(database);
  try {
    const [ona, ben, lea] = shop.people;
    if (!ona || !ben || !lea) throw new Error('The simulated shop has three people');
    const screens = [
      { people: [ona, ben], line: await shop.lineFor(ona, ben) },
      { people: [ben, ona], line: await shop.lineFor(ben, ona) },
      { people: [lea], line: await shop.lineFor(lea) },
    ];
    for (const seed of seeds) {
      const heard = shop.log.length;
      const told = await new Story(shop, screens, seed).tell();
      // What the server could not answer for is a fault, even where the client got over it.
      each({ ...told, faults: [...told.faults, ...shop.log.slice(heard)] });
    }
  } finally {
    await shop.close();
  }
}
