import { randomUUID } from 'node:crypto';
import type { CustomerLink } from '@nodo/api';
import { QueryTypes, type Sequelize } from 'sequelize';
import { withShop } from '../db/connect.ts';
import { definePeopleModels, type LinkRow, type PeopleModels } from '../db/peopleModels.ts';
import { hashOfSecret, newToken } from './secrets.ts';

const DAY_MS = 86_400_000;

/** What a link opens: one ticket of one shop. */
export interface Opened {
  readonly shop: string;
  readonly ticket: string;
  readonly until: Date;
}

/** Links by which customers follow one ticket each. */
export class Links {
  private readonly models: PeopleModels;

  constructor(
    private readonly db: Sequelize,
    private readonly now: () => Date,
  ) {
    this.models = definePeopleModels(db);
  }

  async make(
    shop: string,
    ticket: string,
    madeBy: string,
    days: number,
  ): Promise<{ readonly link: CustomerLink; readonly token: string }> {
    const token = newToken();
    const madeAt = this.now();
    const row = await withShop(this.db, shop, (transaction) =>
      this.models.links.create(
        {
          shopId: shop,
          id: randomUUID(),
          ticketId: ticket,
          tokenHash: hashOfSecret(token),
          madeBy,
          madeAt,
          until: new Date(madeAt.getTime() + days * DAY_MS),
          revokedAt: null,
        },
        { transaction },
      ),
    );
    return { link: toLink(row), token };
  }

  list(shop: string, ticket: string): Promise<CustomerLink[]> {
    return withShop(this.db, shop, async (transaction) => {
      const rows = await this.models.links.findAll({
        where: { shopId: shop, ticketId: ticket },
        order: [['madeAt', 'DESC']],
        transaction,
      });
      return rows.map(toLink);
    });
  }

  /** @returns whether there is such a link. */
  revoke(shop: string, ticket: string, id: string): Promise<boolean> {
    return withShop(this.db, shop, async (transaction) => {
      const row = await this.models.links.findOne({
        where: { shopId: shop, ticketId: ticket, id },
        transaction,
      });
      if (row?.revokedAt === null) await row.update({ revokedAt: this.now() }, { transaction });
      return row !== null;
    });
  }

  /** Undefined when the link was never made, was revoked, or is over. */
  async open(token: string): Promise<Opened | undefined> {
    const [card] = await this.db.query<{ shop_id: string; ticket_id: string; until: Date }>(
      'select * from customer_link_card($1)',
      { bind: [hashOfSecret(token)], type: QueryTypes.SELECT },
    );
    return card && { shop: card.shop_id, ticket: card.ticket_id, until: card.until };
  }
}

function toLink(row: LinkRow): CustomerLink {
  return {
    id: row.id,
    madeBy: row.madeBy,
    madeAt: row.madeAt.toISOString(),
    until: row.until.toISOString(),
    revoked: row.revokedAt !== null,
  };
}
