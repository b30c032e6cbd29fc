import type { ModelStatic, Sequelize } from 'sequelize';
import {
  AS_MIGRATED,
  id,
  instant,
  key,
  perhapsId,
  perhapsInstant,
  type Row,
  text,
  whole,
} from './columns.ts';

export type ScreenRow = Row<{
  shopId: string;
  id: string;
  device: string;
  agent: string;
  openedAt: Date;
  seenAt: Date;
  lockedAt: Date | null;
  endedAt: Date | null;
}>;

/** Somebody who signed in on a screen in full. */
export type ScreenPersonRow = Row<{
  shopId: string;
  screenId: string;
  personId: string;
  since: Date;
  seenAt: Date;
  wrongPins: number;
}>;

export type CodeRow = Row<{ shopId: string; personId: string; codeHash: string; until: Date }>;

export type AuditRow = Row<{
  shopId: string;
  id: string;
  at: Date;
  personId: string | null;
  what: string;
  ticketId: string | null;
  toPerson: string | null;
}>;

export type LinkRow = Row<{
  shopId: string;
  id: string;
  ticketId: string;
  tokenHash: string;
  madeBy: string;
  madeAt: Date;
  until: Date;
  revokedAt: Date | null;
}>;

export interface PeopleModels {
  readonly screens: ModelStatic<ScreenRow>;
  readonly screenPeople: ModelStatic<ScreenPersonRow>;
  readonly codes: ModelStatic<CodeRow>;
  readonly audit: ModelStatic<AuditRow>;
  readonly links: ModelStatic<LinkRow>;
}

/** Screens, sign-ins, codes, audit and customers' links, as the migrations made them. */
export function definePeopleModels(db: Sequelize): PeopleModels {
  return {
    screens: db.define<ScreenRow>(
      'screen',
      {
        shopId: key(),
        id: key(),
        device: text(),
        agent: text(),
        openedAt: instant(),
        seenAt: instant(),
        lockedAt: perhapsInstant(),
        endedAt: perhapsInstant(),
      },
      AS_MIGRATED,
    ),
    screenPeople: db.define<ScreenPersonRow>(
      'screen_person',
      {
        shopId: key(),
        screenId: key(),
        personId: key(),
        since: instant(),
        seenAt: instant(),
        wrongPins: { ...whole(), defaultValue: 0 },
      },
      AS_MIGRATED,
    ),
    codes: db.define<CodeRow>(
      'person_code',
      { shopId: key(), personId: key(), codeHash: text(), until: instant() },
      AS_MIGRATED,
    ),
    audit: db.define<AuditRow>(
      'audit',
      {
        shopId: key(),
        id: key(),
        at: instant(),
        personId: perhapsId(),
        what: text(),
        ticketId: perhapsId(),
        toPerson: perhapsId(),
      },
      AS_MIGRATED,
    ),
    links: db.define<LinkRow>(
      'customer_link',
      {
        shopId: key(),
        id: key(),
        ticketId: id(),
        tokenHash: text(),
        madeBy: id(),
        madeAt: instant(),
        until: instant(),
        revokedAt: perhapsInstant(),
      },
      AS_MIGRATED,
    ),
  };
}
