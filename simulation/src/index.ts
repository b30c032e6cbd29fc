import type { DatabaseSettings } from '@nodo/server';
import { SimulatedShop } from './shop.ts';
import { Story, type Told } from './story.ts';

export type { Told } from './story.ts';

/**
 * Tells stories on one server and one database, one after the other.
 * @param database with its tables made; it is filled.
 */
export async function tellStories(
  database: DatabaseSettings,
  seeds: readonly number[],
  each: (told: Told) => void,
): Promise<{ readonly serverLog: readonly string[] }> {
  const shop = await SimulatedShop.open(database);
  try {
    const [ona, ben, lea] = shop.people;
    if (!ona || !ben || !lea) throw new Error('The simulated shop has three people');
    const screens = [
      { people: [ona, ben], line: await shop.lineFor(ona, ben) },
      { people: [ben, ona], line: await shop.lineFor(ben, ona) },
      { people: [lea], line: await shop.lineFor(lea) },
    ];
    for (const seed of seeds) each(await new Story(shop, screens, seed).tell());
    return { serverLog: shop.log };
  } finally {
    await shop.close();
  }
}
