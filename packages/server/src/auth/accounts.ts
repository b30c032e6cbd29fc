import { randomUUID } from 'node:crypto';
import type { Account, HandedCode, Screen } from '@nodo/api';
import type { Role } from '@nodo/kernel';
import { Op, QueryTypes, type Sequelize, type Transaction, UniqueConstraintError } from 'sequelize';
import { withShop } from '../db/connect.ts';
import { defineModels, type Models, type PersonRow } from '../db/models.ts';
import { definePeopleModels, type PeopleModels } from '../db/peopleModels.ts';
import { hashPassword } from './passwords.ts';
import { toPerson } from './people.ts';
import { hashOfSecret, newCode, plainCode } from './secrets.ts';

const CODE_DAYS = 7;
const DAY_MS = 86_400_000;

export interface Invitation {
  readonly login: string;
  readonly name: string;
  readonly initials: string;
  readonly role: Role;
}

/** The people of a shop as its lead looks after them. */
export class Accounts {
  private readonly models: Models & PeopleModels;

  constructor(
    private readonly db: Sequelize,
    private readonly now: () => Date,
  ) {
    this.models = { ...defineModels(db), ...definePeopleModels(db) };
  }

  list(shop: string): Promise<Account[]> {
    return withShop(this.db, shop, (transaction) => this.accounts(shop, transaction));
  }

  /** @returns the code to hand over; undefined when the login is taken. */
  async invite(shop: string, { login, ...given }: Invitation): Promise<HandedCode | undefined> {
    const id = randomUUID();
    try {
      return await withShop(this.db, shop, async (transaction) => {
        const thread = await this.models.people.count({ where: { shopId: shop }, transaction });
        await this.models.people.create(
          { shopId: shop, id, login, ...given, thread, passwordHash: null },
          { transaction },
        );
        return this.handCode(shop, id, transaction);
      });
    } catch (fault) {
      if (fault instanceof UniqueConstraintError) return undefined;
      throw fault;
    }
  }

  /** @returns the account after it; or why it stays as it is. */
  change(
    shop: string,
    person: string,
    { role, locked }: { readonly role?: Role; readonly locked?: boolean },
  ): Promise<Account | 'no-such-person' | 'last-lead'> {
    return withShop(this.db, shop, async (transaction) => {
      // One after the other: two leads who demote each other must not both succeed.
      const rows = await this.models.people.findAll({
        where: { shopId: shop },
        lock: transaction.LOCK.UPDATE,
        order: [['id', 'ASC']],
        transaction,
      });
      const row = rows.find(({ id }) => id === person);
      if (!row) return 'no-such-person';
      const isLead = (one: PersonRow) =>
        one.role === 'lead' && one.lockedAt === null && one.passwordHash !== null;
      const ceases = (role !== undefined && role !== 'lead') || locked === true;
      if (ceases && isLead(row) && rows.filter(isLead).length === 1) return 'last-lead';
      await row.update(
        {
          ...(role === undefined ? {} : { role }),
          ...(locked === undefined ? {} : { lockedAt: locked ? this.now() : null }),
        },
        { transaction },
      );
      return this.account(shop, person, transaction);
    });
  }

  /** What somebody is called from now on, and the letters on their mark. */
  async rename(
    shop: string,
    person: string,
    given: Pick<Invitation, 'name' | 'initials'>,
  ): Promise<void> {
    await withShop(this.db, shop, (transaction) =>
      this.models.people.update(given, { where: { shopId: shop, id: person }, transaction }),
    );
  }

  /** What the shop is called from now on. */
  async renameShop(shop: string, name: string): Promise<void> {
    await withShop(this.db, shop, (transaction) =>
      this.models.shops.update({ name }, { where: { id: shop }, transaction }),
    );
  }

  reset(shop: string, person: string): Promise<HandedCode | undefined> {
    return withShop(this.db, shop, async (transaction) => {
      const [count] = await this.models.people.update(
        { passwordHash: null, pinHash: null },
        { where: { shopId: shop, id: person }, transaction },
      );
      return count === 0 ? undefined : this.handCode(shop, person, transaction);
    });
  }

  /**
   * Turns a code into a password; the code is gone then.
   * @returns whose it was; undefined when it is not right or no longer good.
   */
  async redeem(
    login: string,
    code: string,
    password: string,
  ): Promise<{ readonly shop: string; readonly person: string } | undefined> {
    const [card] = await this.db.query<{ shop_id: string; person_id: string; code_hash: string }>(
      'select * from code_card($1)',
      { bind: [login], type: QueryTypes.SELECT },
    );
    // The same work whether or not the login has a code.
    const passwordHash = await hashPassword(password);
    const codeHash = hashOfSecret(plainCode(code));
    if (card?.code_hash !== codeHash) return undefined;
    const { shop_id: shop, person_id: person } = card;
    const redeemed = await withShop(this.db, shop, async (transaction) => {
      const taken = await this.models.codes.destroy({
        where: { shopId: shop, personId: person, codeHash },
        transaction,
      });
      if (taken === 0) return false;
      await this.models.people.update(
        { passwordHash },
        { where: { shopId: shop, id: person }, transaction },
      );
      return true;
    });
    return redeemed ? { shop, person } : undefined;
  }

  /** Screens on which somebody is signed in, the latest seen first. */
  screens(shop: string): Promise<Screen[]> {
    return withShop(this.db, shop, async (transaction) => {
      const screens = await this.models.screens.findAll({
        where: { shopId: shop, endedAt: null },
        order: [['seenAt', 'DESC']],
        transaction,
      });
      const members = await this.models.screenPeople.findAll({
        where: { shopId: shop, screenId: screens.map(({ id }) => id) },
        transaction,
      });
      return screens
        .map((screen) => ({
          id: screen.id,
          device: screen.device,
          agent: screen.agent,
          openedAt: screen.openedAt.toISOString(),
          seenAt: screen.seenAt.toISOString(),
          locked: screen.lockedAt !== null,
          people: members
            .filter(({ screenId }) => screenId === screen.id)
            .map(({ personId }) => personId),
        }))
        .filter(({ people }) => people.length > 0);
    });
  }

  private async handCode(
    shop: string,
    person: string,
    transaction: Transaction,
  ): Promise<HandedCode> {
    const code = newCode();
    const until = new Date(this.now().getTime() + CODE_DAYS * DAY_MS);
    await this.models.codes.upsert(
      { shopId: shop, personId: person, codeHash: hashOfSecret(plainCode(code)), until },
      { transaction },
    );
    const account = await this.account(shop, person, transaction);
    return { account, code, until: until.toISOString() };
  }

  private async account(shop: string, person: string, transaction: Transaction): Promise<Account> {
    const found = (await this.accounts(shop, transaction)).find(({ id }) => id === person);
    if (!found) throw new Error(`Person ${person} was here a moment ago`);
    return found;
  }

  private async accounts(shop: string, transaction: Transaction): Promise<Account[]> {
    const where = { shopId: shop };
    const people = await this.models.people.findAll({
      where,
      order: [['name', 'ASC']],
      transaction,
    });
    const codes = await this.models.codes.findAll({
      where: { ...where, until: { [Op.gt]: this.now() } },
      transaction,
    });
    const members = await this.models.screenPeople.findAll({ where, transaction });
    return people.map((row) => {
      const code = codes.find(({ personId }) => personId === row.id);
      const seen = members
        .filter(({ personId }) => personId === row.id)
        .map(({ seenAt }) => seenAt.getTime());
      return {
        ...toPerson(row),
        login: row.login,
        locked: row.lockedAt !== null,
        hasPassword: row.passwordHash !== null,
        hasPin: row.pinHash !== null,
        codeUntil: code?.until.toISOString() ?? null,
        seenAt: seen.length > 0 ? new Date(Math.max(...seen)).toISOString() : null,
      };
    });
  }
}
