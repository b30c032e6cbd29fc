import { randomUUID } from 'node:crypto';
import type { Person, Session } from '@nodo/api';
import type { Actor, Role } from '@nodo/kernel';
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { withShop } from '../db/connect.ts';
import { defineModels, type Models, type PersonRow } from '../db/models.ts';
import { definePeopleModels, type PeopleModels, type ScreenRow } from '../db/peopleModels.ts';
import { AccessTokens } from './accessTokens.ts';
import { hashPassword, passwordFits } from './passwords.ts';
import { newToken } from './secrets.ts';

/** Who stands at which screen: all that a cookie's session keeps. */
export interface Identity {
  readonly shop: string;
  readonly person: string;
  readonly screen: string;
}

/** A sign-in as every call needs it, read in one query. */
export type Caller = Pick<Session, 'person' | 'shop'> & {
  readonly screen: { readonly id: string; readonly locked: boolean };
};

interface LoginRow {
  readonly shop_id: string;
  readonly person_id: string;
  readonly password_hash: string | null;
}

/** So many wrong PINs in a row, and only the password helps. */
const MOST_WRONG_PINS = 5;

export type PersonChanged = 'changed' | 'wrong-pin' | 'no-pin-here';

/**
 * The people of the shops, and who of them stands at which screen. Whatever changes both a
 * screen and who is on it takes the screen first: in any other order two calls would each wait
 * for the other.
 */
export class People {
  private readonly models: Models & PeopleModels;
  /** By which programs call in their names. */
  readonly tokens: AccessTokens;

  constructor(
    private readonly db: Sequelize,
    private readonly now: () => Date,
  ) {
    this.models = { ...defineModels(db), ...definePeopleModels(db) };
    this.tokens = new AccessTokens(db, now);
  }

  /** @returns who that is, or why not; the shop of a login that exists, for the audit. */
  async signIn(
    login: string,
    password: string,
  ): Promise<{ readonly fits: boolean; readonly shop?: string; readonly person?: string }> {
    const [card] = await this.db.query<LoginRow>('select * from sign_in_card($1)', {
      bind: [login],
      type: QueryTypes.SELECT,
    });
    const fits = await passwordFits(card?.password_hash ?? undefined, password);
    return card ? { fits, shop: card.shop_id, person: card.person_id } : { fits: false };
  }

  /**
   * Puts somebody who signed in in full at a screen: the one of before, if it still is a screen
   * of this shop, else a new one.
   */
  openScreen(
    { shop, person }: Pick<Identity, 'shop' | 'person'>,
    before: Identity | undefined,
    device: string,
    agent: string,
  ): Promise<Identity> {
    return withShop(this.db, shop, async (transaction) => {
      const at = this.now();
      const known =
        before?.shop === shop
          ? await this.models.screens.findOne({
              where: { shopId: shop, id: before.screen, endedAt: null },
              transaction,
            })
          : null;
      const screen =
        known ??
        (await this.models.screens.create(
          {
            shopId: shop,
            id: randomUUID(),
            device,
            agent,
            openedAt: at,
            seenAt: at,
            lockedAt: null,
            endedAt: null,
          },
          { transaction },
        ));
      await screen.update({ lockedAt: null, seenAt: at }, { transaction });
      const where = { shopId: shop, screenId: screen.id, personId: person };
      const member = await this.models.screenPeople.findOne({ where, transaction });
      if (member) await member.update({ wrongPins: 0, seenAt: at }, { transaction });
      else {
        await this.models.screenPeople.create(
          { ...where, since: at, seenAt: at, wrongPins: 0 },
          { transaction },
        );
      }
      return { shop, person, screen: screen.id };
    });
  }

  /** Undefined when the sign-in is over: screen ended, person locked or gone. */
  async caller({ shop, person, screen }: Identity): Promise<Caller | undefined> {
    const [row] = await this.db.query<PersonRow & { shop_name: string; locked: boolean }>(
      'select * from caller_card($1, $2, $3)',
      { bind: [shop, person, screen], type: QueryTypes.SELECT },
    );
    return (
      row && {
        person: toPerson(row),
        shop: { id: shop, name: row.shop_name },
        screen: { id: screen, locked: row.locked },
      }
    );
  }

  /** The caller, with who else has signed in on the screen. Marks the screen as seen. */
  async session(identity: Identity): Promise<Session | undefined> {
    const caller = await this.caller(identity);
    if (!caller) return undefined;
    const { shop, screen } = identity;
    return withShop(this.db, shop, async (transaction) => {
      const people = await this.membersOf(identity, transaction);
      const at = this.now();
      await this.models.screens.update(
        { seenAt: at },
        { where: { shopId: shop, id: screen }, transaction },
      );
      // Stays the same as long as the person belongs to the screen, whichever tab asks first:
      // entries wait for days.
      const [member] = await this.db.query<{ entry_key: string }>(
        `update screen_person set seen_at = $4, entry_key = coalesce(entry_key, $5)
          where shop_id = $1 and screen_id = $2 and person_id = $3 returning entry_key`,
        {
          bind: [shop, screen, identity.person, at, newToken()],
          transaction,
          type: QueryTypes.SELECT,
        },
      );
      return {
        ...caller,
        ...(member && !caller.screen.locked ? { key: member.entry_key } : {}),
        hasPin: people.some(({ id, hasPin }) => id === identity.person && hasPin),
        screen: { ...caller.screen, people },
      };
    });
  }

  /**
   * Another of the screen's people by PIN; opens the screen. A wrong PIN is counted before it
   * is looked at, so that guesses which come all at once gain nothing.
   */
  async changePerson({ shop, screen }: Identity, to: string, pin: string): Promise<PersonChanged> {
    const where = { shopId: shop, screenId: screen, personId: to };
    const counted = await withShop(this.db, shop, async (transaction) => {
      const person = await this.models.people.findOne({
        where: { shopId: shop, id: to, lockedAt: null },
        transaction,
      });
      await this.models.screenPeople.increment('wrongPins', { where, transaction });
      const member = await this.models.screenPeople.findOne({ where, transaction });
      return { person, member };
    });
    const { person, member } = counted;
    if (!person?.pinHash || !member || member.wrongPins > MOST_WRONG_PINS) return 'no-pin-here';
    if (!(await passwordFits(person.pinHash, pin))) return 'wrong-pin';
    await withShop(this.db, shop, async (transaction) => {
      const at = this.now();
      await this.models.screens.update(
        { lockedAt: null, seenAt: at },
        { where: { shopId: shop, id: screen }, transaction },
      );
      await this.models.screenPeople.update({ wrongPins: 0, seenAt: at }, { where, transaction });
    });
    return 'changed';
  }

  async nameScreen({ shop, screen }: Identity, device: string): Promise<void> {
    await this.ofScreen(shop, screen, { device });
  }

  async lock({ shop, screen }: Identity): Promise<void> {
    await this.ofScreen(shop, screen, { lockedAt: this.now() });
    await this.announce(shop);
  }

  /** @returns whether it was a screen of this shop on which somebody was signed in. */
  async endScreen(shop: string, screen: string): Promise<boolean> {
    const ended = await this.ofScreen(shop, screen, { endedAt: this.now() });
    await this.announce(shop);
    return ended > 0;
  }

  /** @returns whether the password was right. */
  async setPin(identity: Identity, password: string, pin: string): Promise<boolean> {
    if (!(await this.isPassword(identity, password))) return false;
    await this.ofPerson(identity, { pinHash: await hashPassword(pin) });
    return true;
  }

  /** @returns whether the password was right. Every other screen of the person is left. */
  async changePassword(identity: Identity, password: string, fresh: string): Promise<boolean> {
    if (!(await this.isPassword(identity, password))) return false;
    await this.ofPerson(identity, { passwordHash: await hashPassword(fresh) });
    const { shop, person, screen } = identity;
    await this.leaveScreens(shop, person, screen);
    return true;
  }

  /** Takes a person off all screens, but for one. */
  async leaveScreens(shop: string, person: string, except?: string): Promise<void> {
    await withShop(this.db, shop, (transaction) =>
      this.db.query(
        `delete from screen_person where shop_id = $1 and person_id = $2
            and screen_id is distinct from $3::uuid`,
        { bind: [shop, person, except ?? null], transaction },
      ),
    );
    await this.announce(shop);
  }

  /**
   * Whose entry it is that comes from a screen at which somebody else stands.
   * @param isTheirs whether the entry was made with a key
   * @returns why not: nobody of this screen, or not shown to be theirs
   */
  async makerAt(
    { shop, screen }: Identity,
    person: string,
    isTheirs: (key: string) => boolean,
  ): Promise<Actor | 'stranger' | 'unproven'> {
    const { people, member } = await withShop(this.db, shop, async (transaction) => ({
      people: await this.membersOf({ shop, screen }, transaction),
      member: await this.models.screenPeople.findOne({
        where: { shopId: shop, screenId: screen, personId: person },
        transaction,
      }),
    }));
    const maker = people.find(({ id }) => id === person);
    if (!maker) return 'stranger';
    const isProven = member?.entryKey && isTheirs(member.entryKey);
    return isProven ? { person, role: maker.role } : 'unproven';
  }

  list(shop: string): Promise<readonly (Person & { readonly locked: boolean })[]> {
    return withShop(this.db, shop, async (transaction) => {
      const rows = await this.models.people.findAll({
        where: { shopId: shop },
        order: [['name', 'ASC']],
        transaction,
      });
      return rows.map((row) => ({ ...toPerson(row), locked: row.lockedAt !== null }));
    });
  }

  async shopName(shop: string): Promise<string> {
    const row = await withShop(this.db, shop, (transaction) =>
      this.models.shops.findOne({ where: { id: shop }, transaction }),
    );
    return row?.name ?? '';
  }

  /** Streams of the shop look again whether they may go on. */
  private async announce(shop: string): Promise<void> {
    await this.db.query("select pg_notify('people', $1)", {
      bind: [shop],
      type: QueryTypes.SELECT,
    });
  }

  private async membersOf(
    { shop, screen }: Pick<Identity, 'shop' | 'screen'>,
    transaction: Transaction,
  ): Promise<Session['screen']['people']> {
    const members = await this.models.screenPeople.findAll({
      where: { shopId: shop, screenId: screen },
      transaction,
    });
    const rows = await this.models.people.findAll({
      where: { shopId: shop, id: members.map(({ personId }) => personId), lockedAt: null },
      order: [['name', 'ASC']],
      transaction,
    });
    const tired = new Set(
      members
        .filter(({ wrongPins }) => wrongPins >= MOST_WRONG_PINS)
        .map(({ personId }) => personId),
    );
    return rows.map((row) => ({
      ...toPerson(row),
      hasPin: row.pinHash !== null && !tired.has(row.id),
    }));
  }

  /** Whether that is the person's password. */
  isPassword({ shop, person }: Identity, password: string): Promise<boolean> {
    return withShop(this.db, shop, (transaction) =>
      this.models.people.findOne({ where: { shopId: shop, id: person }, transaction }),
    ).then((row) => passwordFits(row?.passwordHash ?? undefined, password));
  }

  private async ofPerson(
    { shop, person }: Identity,
    change: Partial<Pick<PersonRow, 'pinHash' | 'passwordHash'>>,
  ): Promise<void> {
    await withShop(this.db, shop, (transaction) =>
      this.models.people.update(change, { where: { shopId: shop, id: person }, transaction }),
    );
  }

  private ofScreen(
    shop: string,
    screen: string,
    change: Partial<Pick<ScreenRow, 'device' | 'lockedAt' | 'endedAt'>>,
  ): Promise<number> {
    return withShop(this.db, shop, async (transaction) => {
      const [count] = await this.models.screens.update(change, {
        where: { shopId: shop, id: screen, endedAt: null },
        transaction,
      });
      return count;
    });
  }
}

export function toPerson(row: PersonRow): Person {
  return {
    id: row.id,
    name: row.name,
    initials: row.initials,
    role: row.role as Role,
    thread: row.thread,
  };
}
