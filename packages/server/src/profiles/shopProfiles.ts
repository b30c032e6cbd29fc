import type { ShopRecord } from '@nodo/api';
import { NEW_SHOP_PROFILE, type ShopProfile } from '@nodo/shop';
import type { Sequelize } from 'sequelize';
import { withShop } from '../db/connect.ts';
import { defineProfileModels, type ProfileModels, type StoredShopProfile } from './models.ts';
import { notifyOfProfiles } from './notify.ts';

/** What holds for a whole shop: money, patience, working time, time zone. */
export class ShopProfiles {
  private readonly models: ProfileModels;

  /** @param zone the server's own time zone, for shops that have not said theirs */
  constructor(
    private readonly db: Sequelize,
    private readonly zone: string,
  ) {
    this.models = defineProfileModels(db);
  }

  read(shop: string): Promise<ShopRecord> {
    return withShop(this.db, shop, async (transaction) => {
      const row = await this.models.shopSheets.findOne({ where: { shopId: shop }, transaction });
      return row ? this.recordOf(row.revision, row.card) : this.recordOf(0, UNSAID);
    });
  }

  /** @returns undefined when somebody else changed it meanwhile. */
  change(
    shop: string,
    { revision, card }: { readonly revision: number; readonly card: ShopProfile },
  ): Promise<ShopRecord | undefined> {
    return withShop(this.db, shop, async (transaction) => {
      // The first one writes the row; whoever does so at the same time waits for it.
      if (revision === 0) {
        await this.models.shopSheets.bulkCreate([{ shopId: shop, revision: 0, card: UNSAID }], {
          ignoreDuplicates: true,
          transaction,
        });
      }
      const next = { revision: revision + 1, card };
      const [written] = await this.models.shopSheets.update(next, {
        where: { shopId: shop, revision },
        transaction,
      });
      if (written === 0) return undefined;
      await notifyOfProfiles(this.db, shop, transaction);
      return this.recordOf(next.revision, card);
    });
  }

  /** Cards of before shops had a time zone, and those of shops that have said nothing, have none. */
  private recordOf(revision: number, { timeZone, ...card }: StoredShopProfile): ShopRecord {
    return {
      revision,
      card: { ...card, timeZone: timeZone ?? this.zone },
      zoneAssumed: timeZone === undefined,
    };
  }
}

const { timeZone: _, ...UNSAID } = NEW_SHOP_PROFILE;
