import { QueryTypes, type Sequelize } from 'sequelize';
import { withShop } from '../db/connect.ts';
import type { PhotoStore } from './photoStore.ts';

/** So long a picture may wait for the entry that names it. */
const WAITS_MS = 48 * 3_600_000;

/** Removes pictures that no entry ever named: taken, and then not kept. @returns how many */
export async function sweepPhotos(db: Sequelize, photos: PhotoStore, now: Date): Promise<number> {
  let swept = 0;
  for (const shop of await photos.shops()) {
    const old = await photos.olderThan(shop, new Date(now.getTime() - WAITS_MS));
    if (old.length === 0) continue;
    const named = await withShop(db, shop, (transaction) =>
      db.query<{ photo: string }>(
        `select distinct body ->> 'photo' as photo from ticket_event
          where shop_id = $1 and type in ('photo-kept', 'signed')`,
        { bind: [shop], transaction, type: QueryTypes.SELECT },
      ),
    );
    const kept = new Set(named.map(({ photo }) => photo));
    for (const photo of old.filter((one) => !kept.has(one))) {
      await photos.remove(shop, photo);
      swept += 1;
    }
  }
  return swept;
}
