import type { ShopSheet } from '@nodo/api';
import { NEW_SHOP_CARD } from '@nodo/shop';
import type { Sequelize } from 'sequelize';
import { withShop } from '../db/connect.ts';
import { type CardModels, defineCardModels } from './cardModels.ts';
import { tellOfCards } from './tell.ts';

/** What holds for a whole shop: money, patience, working time. */
export class ShopSheets {
  private readonly models: CardModels;

  constructor(private readonly db: Sequelize) {
    this.models = defineCardModels(db);
  }

  read(shop: string): Promise<ShopSheet> {
    return withShop(this.db, shop, async (transaction) => {
      const row = await this.models.shopSheets.findOne({ where: { shopId: shop }, transaction });
      return row
        ? { revision: row.revision, card: row.card }
        : { revision: 0, card: NEW_SHOP_CARD };
    });
  }

  /** @returns undefined when somebody else changed it meanwhile. */
  change(shop: string, { revision, card }: ShopSheet): Promise<ShopSheet | undefined> {
    return withShop(this.db, shop, async (transaction) => {
      // The first one writes the row; whoever does so at the same time waits for it.
      if (revision === 0) {
        await this.models.shopSheets.bulkCreate(
          [{ shopId: shop, revision: 0, card: NEW_SHOP_CARD }],
          {
            ignoreDuplicates: true,
            transaction,
          },
        );
      }
      const next = { revision: revision + 1, card };
      const [written] = await this.models.shopSheets.update(next, {
        where: { shopId: shop, revision },
        transaction,
      });
      if (written === 0) return undefined;
      await tellOfCards(this.db, shop, transaction);
      return next;
    });
  }
}
