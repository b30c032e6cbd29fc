import type { Sequelize } from 'sequelize';
import { fromZero, id, instant, key, perhaps, type Row, table, text, whole } from './columns.ts';

/** Screens, sign-ins, codes, audit and customers' links, as the migrations made them. */
export function definePeopleModels(db: Sequelize) {
  return {
    screens: table(db, 'screen', {
      shopId: key(),
      id: key(),
      device: text(),
      agent: text(),
      openedAt: instant(),
      seenAt: instant(),
      lockedAt: perhaps(instant()),
      endedAt: perhaps(instant()),
    }),
    /** Somebody who signed in on a screen in full. */
    screenPeople: table(db, 'screen_person', {
      shopId: key(),
      screenId: key(),
      personId: key(),
      since: instant(),
      seenAt: instant(),
      wrongPins: fromZero(whole()),
      /** Proves entries as this person's, whoever stands there when they are sent. */
      entryKey: perhaps(text()),
    }),
    codes: table(db, 'person_code', {
      shopId: key(),
      personId: key(),
      codeHash: text(),
      until: instant(),
    }),
    audit: table(db, 'audit', {
      shopId: key(),
      id: key(),
      at: instant(),
      personId: perhaps(id()),
      what: text(),
      ticketId: perhaps(id()),
      toPerson: perhaps(id()),
    }),
    links: table(db, 'customer_link', {
      shopId: key(),
      id: key(),
      ticketId: id(),
      tokenHash: text(),
      madeBy: id(),
      madeAt: instant(),
      until: instant(),
      revokedAt: perhaps(instant()),
    }),
    feeds: table(db, 'calendar_feed', {
      shopId: key(),
      id: key(),
      what: text(),
      tokenHash: text(),
      madeBy: id(),
      madeAt: instant(),
      revokedAt: perhaps(instant()),
    }),
    accessTokens: table(db, 'access_token', {
      shopId: key(),
      id: key(),
      personId: id(),
      screenId: id(),
      name: text(),
      scope: text(),
      tokenHash: text(),
      madeAt: instant(),
      until: instant(),
      usedAt: perhaps(instant()),
      revokedAt: perhaps(instant()),
    }),
  };
}

export type PeopleModels = ReturnType<typeof definePeopleModels>;
export type ScreenRow = Row<PeopleModels['screens']>;
export type LinkRow = Row<PeopleModels['links']>;
export type FeedRow = Row<PeopleModels['feeds']>;
export type AccessTokenRow = Row<PeopleModels['accessTokens']>;
