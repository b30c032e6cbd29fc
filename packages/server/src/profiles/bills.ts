import type { RefusalCode } from '@nodo/kernel';
import { type BillContent, type BillKind, type IssuedBill, standingBill } from '@nodo/shop';
import { Op, type Sequelize, type Transaction, type WhereOptions } from 'sequelize';
import { withShop } from '../db/connect.ts';
import { defineProfileModels, type ProfileModels } from './models.ts';
import { notifyOfProfiles } from './notify.ts';

interface Issue {
  readonly id: string;
  /** Further tickets on the same bill; a credit is over all that its bill was over. */
  readonly also?: readonly string[];
  readonly kind: BillKind;
  readonly reason: string;
  readonly by: string;
  readonly at: Date;
  /** What a bill says; undefined before a price was worked out. */
  readonly content: BillContent | undefined;
}

/** Bills as they were handed over, numbered without gaps; corrected by credits alone. */
export class Bills {
  private readonly models: ProfileModels;

  constructor(private readonly db: Sequelize) {
    this.models = defineProfileModels(db);
  }

  of(shop: string, ticket: string): Promise<readonly IssuedBill[]> {
    return withShop(this.db, shop, (transaction) => this.billsOf(shop, ticket, transaction));
  }

  /** Gives the next number of the shop to a bill, or to the credit for the one that holds. */
  issue(
    shop: string,
    ticket: string,
    { id, also = [], kind, reason, by, at, content }: Issue,
  ): Promise<
    | 'issued'
    | Extract<RefusalCode, 'no-bill' | 'bill-stands' | 'nothing-to-credit' | 'id-used-otherwise'>
  > {
    return withShop(this.db, shop, async (transaction) => {
      // One after the other: a number that is taken by whoever fails afterwards would be a gap.
      await this.db.query('select pg_advisory_xact_lock(hashtextextended(:lock, 0))', {
        replacements: { lock: `bills of ${shop}` },
        transaction,
      });
      const before = await this.models.bills.findOne({ where: { shopId: shop, id }, transaction });
      if (before) {
        const [kept, sent] = [
          [before.ticketId, ...before.also],
          [ticket, ...also],
        ];
        const isSame =
          before.kind === kind &&
          (kind === 'credit' ? kept.includes(ticket) : kept.join() === sent.join());
        return isSame ? 'issued' : 'id-used-otherwise';
      }
      const standing = standingBill(await this.billsOf(shop, ticket, transaction));
      if (kind === 'credit' && !standing) return 'nothing-to-credit';
      if (kind === 'bill') {
        for (const one of [ticket, ...also]) {
          if (standingBill(await this.billsOf(shop, one, transaction))) return 'bill-stands';
        }
      }
      const said = kind === 'credit' ? standing?.content : content;
      if (!said) return 'no-bill';
      const [first = ticket, ...others] = standing?.tickets ?? [ticket, ...also];
      const latest = await this.models.bills.findOne({
        where: { shopId: shop },
        order: [['number', 'DESC']],
        transaction,
      });
      await this.models.bills.create(
        {
          shopId: shop,
          number: (latest?.number ?? 0) + 1,
          id,
          ticketId: first,
          also: others,
          kind,
          ofNumber: kind === 'credit' ? (standing?.number ?? null) : null,
          reason,
          at,
          byPerson: by,
          content: said,
        },
        { transaction },
      );
      await notifyOfProfiles(this.db, shop, transaction);
      return 'issued';
    });
  }

  /** Every bill and credit of a shop, by number. */
  all(shop: string): Promise<readonly IssuedBill[]> {
    return withShop(this.db, shop, (transaction) => this.read({ shopId: shop }, transaction));
  }

  private billsOf(
    shop: string,
    ticket: string,
    transaction: Transaction,
  ): Promise<readonly IssuedBill[]> {
    const where = {
      shopId: shop,
      [Op.or]: [{ ticketId: ticket }, { also: { [Op.contains]: [ticket] } }],
    };
    return this.read(where, transaction);
  }

  private async read(
    where: WhereOptions,
    transaction: Transaction,
  ): Promise<readonly IssuedBill[]> {
    const rows = await this.models.bills.findAll({
      where,
      order: [['number', 'ASC']],
      transaction,
    });
    return rows.map(
      ({ id, ticketId, also, number, kind, ofNumber, reason, at, byPerson, content }) => ({
        id,
        tickets: [ticketId, ...also],
        number,
        kind: kind as BillKind,
        of: ofNumber,
        reason,
        at: at.toISOString(),
        by: byPerson,
        content,
      }),
    );
  }
}
