import { randomUUID } from 'node:crypto';
import type { AccessToken, TokenScope } from '@nodo/api';
import { QueryTypes, type Sequelize } from 'sequelize';
import { withShop } from '../db/connect.ts';
import { type AccessTokenRow, definePeopleModels, type PeopleModels } from '../db/peopleModels.ts';
import { hashOfSecret, newToken } from './secrets.ts';

const DAY_MS = 86_400_000;
/** A program may call often; when it did is told to the minute. */
const USED_WITHIN_MS = 60_000;
/** So that whoever finds one in a file knows what it is. */
const PREFIX = 'nodo_';

/** What a token opens: a person's own calls, at a screen that is the token's alone. */
export interface OpenedToken {
  readonly identity: { readonly shop: string; readonly person: string; readonly screen: string };
  readonly scope: TokenScope;
}

/** Secrets by which programs call in a person's name. */
export class AccessTokens {
  private readonly models: PeopleModels;

  constructor(
    private readonly db: Sequelize,
    private readonly now: () => Date,
  ) {
    this.models = definePeopleModels(db);
  }

  async make(
    shop: string,
    person: string,
    { name, scope, days }: Pick<AccessToken, 'name' | 'scope'> & { readonly days: number },
  ): Promise<{ readonly token: AccessToken; readonly secret: string }> {
    const secret = `${PREFIX}${newToken()}`;
    const at = this.now();
    const row = await withShop(this.db, shop, async (transaction) => {
      const screen = await this.models.screens.create(
        {
          shopId: shop,
          id: randomUUID(),
          device: name,
          agent: '',
          openedAt: at,
          seenAt: at,
          lockedAt: null,
          endedAt: null,
        },
        { transaction },
      );
      await this.models.screenPeople.create(
        {
          shopId: shop,
          screenId: screen.id,
          personId: person,
          since: at,
          seenAt: at,
          wrongPins: 0,
        },
        { transaction },
      );
      return this.models.accessTokens.create(
        {
          shopId: shop,
          id: randomUUID(),
          personId: person,
          screenId: screen.id,
          name,
          scope,
          tokenHash: hashOfSecret(secret),
          madeAt: at,
          until: new Date(at.getTime() + days * DAY_MS),
          usedAt: null,
          revokedAt: null,
        },
        { transaction },
      );
    });
    return { token: this.toToken(row), secret };
  }

  list(shop: string, person: string): Promise<AccessToken[]> {
    return withShop(this.db, shop, async (transaction) => {
      const rows = await this.models.accessTokens.findAll({
        where: { shopId: shop, personId: person },
        order: [['madeAt', 'DESC']],
        transaction,
      });
      return rows.map((row) => this.toToken(row));
    });
  }

  /** @returns whether the person has such a token. */
  revoke(shop: string, person: string, id: string): Promise<boolean> {
    return withShop(this.db, shop, async (transaction) => {
      const row = await this.models.accessTokens.findOne({
        where: { shopId: shop, personId: person, id },
        transaction,
      });
      if (row?.revokedAt !== null) return row !== null;
      const at = this.now();
      await row.update({ revokedAt: at }, { transaction });
      const screen = { shopId: shop, id: row.screenId, endedAt: null };
      await this.models.screens.update({ endedAt: at }, { where: screen, transaction });
      return true;
    });
  }

  /** Undefined when the token was never made, was revoked, or is over. */
  async open(secret: string): Promise<OpenedToken | undefined> {
    const [card] = await this.db.query<{
      shop_id: string;
      id: string;
      person_id: string;
      screen_id: string;
      scope: TokenScope;
      used_at: Date | null;
    }>('select * from access_token_card($1)', {
      bind: [hashOfSecret(secret)],
      type: QueryTypes.SELECT,
    });
    if (!card) return undefined;
    const at = this.now();
    if (at.getTime() - (card.used_at?.getTime() ?? 0) > USED_WITHIN_MS) {
      await withShop(this.db, card.shop_id, (transaction) =>
        this.models.accessTokens.update(
          { usedAt: at },
          { where: { shopId: card.shop_id, id: card.id }, transaction },
        ),
      );
    }
    const { shop_id: shop, person_id: person, screen_id: screen, scope } = card;
    return { identity: { shop, person, screen }, scope };
  }

  private toToken(row: AccessTokenRow): AccessToken {
    return {
      id: row.id,
      name: row.name,
      scope: row.scope as TokenScope,
      madeAt: row.madeAt.toISOString(),
      until: row.until.toISOString(),
      usedAt: row.usedAt?.toISOString() ?? null,
      isOver: row.revokedAt !== null || row.until <= this.now(),
    };
  }
}
