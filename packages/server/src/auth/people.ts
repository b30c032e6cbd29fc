import type { Person, Role, Session } from '@nodo/contract';
import { QueryTypes, type Sequelize } from 'sequelize';
import { withShop } from '../store/connect.ts';
import { defineModels, type Models, type PersonRow } from '../store/models.ts';
import { passwordFits } from './passwords.ts';

/** Who somebody is: all that a session keeps. */
export interface Identity {
  readonly shop: string;
  readonly person: string;
}

interface Card {
  readonly shop_id: string;
  readonly person_id: string;
  readonly password_hash: string;
}

/** The people of the shops and their sign-in. */
export class People {
  private readonly models: Models;

  constructor(private readonly db: Sequelize) {
    this.models = defineModels(db);
  }

  async signIn(login: string, password: string): Promise<Identity | undefined> {
    const [card] = await this.db.query<Card>('select * from sign_in_card($1)', {
      bind: [login],
      type: QueryTypes.SELECT,
    });
    const fits = await passwordFits(card?.password_hash, password);
    return card && fits ? { shop: card.shop_id, person: card.person_id } : undefined;
  }

  session({ shop, person }: Identity): Promise<Session | undefined> {
    return withShop(this.db, shop, async (transaction) => {
      const row = await this.models.people.findOne({
        where: { shopId: shop, id: person },
        transaction,
      });
      const place = await this.models.shops.findOne({ where: { id: shop }, transaction });
      return row && place
        ? { person: toPerson(row), shop: { id: place.id, name: place.name } }
        : undefined;
    });
  }

  list(shop: string): Promise<readonly Person[]> {
    return withShop(this.db, shop, async (transaction) => {
      const rows = await this.models.people.findAll({
        where: { shopId: shop },
        order: [['name', 'ASC']],
        transaction,
      });
      return rows.map(toPerson);
    });
  }
}

function toPerson(row: PersonRow): Person {
  return {
    id: row.id,
    name: row.name,
    initials: row.initials,
    role: row.role as Role,
    thread: row.thread,
  };
}
