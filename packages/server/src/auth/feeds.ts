import { randomUUID } from 'node:crypto';
import type { CalendarFeed } from '@nodo/api';
import { QueryTypes, type Sequelize } from 'sequelize';
import { withShop } from '../db/connect.ts';
import { definePeopleModels, type FeedRow, type PeopleModels } from '../db/peopleModels.ts';
import { hashOfSecret, newToken } from './secrets.ts';

/** Addresses by which a calendar reads a shop's days. */
export class Feeds {
  private readonly models: PeopleModels;

  constructor(
    private readonly db: Sequelize,
    private readonly now: () => Date,
  ) {
    this.models = definePeopleModels(db);
  }

  async make(
    shop: string,
    what: CalendarFeed['what'],
    madeBy: string,
  ): Promise<{ readonly feed: CalendarFeed; readonly token: string }> {
    const token = newToken();
    const row = await withShop(this.db, shop, (transaction) =>
      this.models.feeds.create(
        {
          shopId: shop,
          id: randomUUID(),
          what,
          tokenHash: hashOfSecret(token),
          madeBy,
          madeAt: this.now(),
          revokedAt: null,
        },
        { transaction },
      ),
    );
    return { feed: toFeed(row), token };
  }

  /** Those that are read still, the latest first. */
  list(shop: string): Promise<CalendarFeed[]> {
    return withShop(this.db, shop, async (transaction) => {
      const rows = await this.models.feeds.findAll({
        where: { shopId: shop, revokedAt: null },
        order: [['madeAt', 'DESC']],
        transaction,
      });
      return rows.map(toFeed);
    });
  }

  /** @returns whether there is such a feed. */
  revoke(shop: string, id: string): Promise<boolean> {
    return withShop(this.db, shop, async (transaction) => {
      const row = await this.models.feeds.findOne({ where: { shopId: shop, id }, transaction });
      if (row?.revokedAt === null) await row.update({ revokedAt: this.now() }, { transaction });
      return row !== null;
    });
  }

  /** The shop whose days an address shows; undefined when it was never made or is revoked. */
  async open(token: string): Promise<{ readonly shop: string; readonly what: string } | undefined> {
    const [card] = await this.db.query<{ shop_id: string; what: string }>(
      'select * from calendar_feed_card($1)',
      { bind: [hashOfSecret(token)], type: QueryTypes.SELECT },
    );
    return card && { shop: card.shop_id, what: card.what };
  }
}

function toFeed({ id, what, madeBy, madeAt }: FeedRow): CalendarFeed {
  return { id, what: what as CalendarFeed['what'], madeBy, madeAt: madeAt.toISOString() };
}
