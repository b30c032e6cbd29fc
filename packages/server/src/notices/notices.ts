import { randomUUID } from 'node:crypto';
import type { Notice, NoticeRecord } from '@nodo/api';
import type { Sequelize } from 'sequelize';
import { withShop } from '../db/connect.ts';
import { defineModels, type Models } from '../db/models.ts';

/** What the lead of a shop learns of its data, until the lead puts it away. */
export class Notices {
  private readonly models: Models;

  constructor(private readonly db: Sequelize) {
    this.models = defineModels(db);
  }

  async add(shop: string, notice: Notice, at: Date): Promise<void> {
    await withShop(this.db, shop, (transaction) =>
      this.models.notices.create(
        { shopId: shop, id: randomUUID(), at, body: notice },
        { transaction },
      ),
    );
  }

  list(shop: string): Promise<NoticeRecord[]> {
    return withShop(this.db, shop, async (transaction) => {
      const rows = await this.models.notices.findAll({
        where: { shopId: shop, putAwayAt: null },
        order: [['at', 'DESC']],
        transaction,
      });
      return rows.map(({ id, at, body }) => ({ id, at: at.toISOString(), notice: body }));
    });
  }

  /** Putting away what is put away already changes nothing. */
  async putAway(shop: string, id: string, by: string, at: Date): Promise<void> {
    await withShop(this.db, shop, (transaction) =>
      this.models.notices.update(
        { putAwayAt: at, putAwayBy: by },
        { where: { shopId: shop, id, putAwayAt: null }, transaction },
      ),
    );
  }
}
