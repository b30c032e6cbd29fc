import {
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

type Row<Own> = Model<InferAttributes<Own & Model>, InferCreationAttributes<Own & Model>> & Own;

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

const { DATE, INTEGER, TEXT, UUID } = DataTypes;
// Made anew for each column: Sequelize writes the column's name into what it is given.
const key = () => ({ type: UUID, primaryKey: true });
const id = () => ({ type: UUID, allowNull: false });
const perhapsId = () => ({ type: UUID, allowNull: true });
const text = () => ({ type: TEXT, allowNull: false });
const instant = () => ({ type: DATE, allowNull: false });
const perhapsInstant = () => ({ type: DATE, allowNull: true });

/** Screens, sign-ins, codes, audit and customers' links, as the migrations made them. */
export function definePeopleModels(db: Sequelize): PeopleModels {
  const common = { timestamps: false, underscored: true, freezeTableName: true } as const;
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
      common,
    ),
    screenPeople: db.define<ScreenPersonRow>(
      'screen_person',
      {
        shopId: key(),
        screenId: key(),
        personId: key(),
        since: instant(),
        seenAt: instant(),
        wrongPins: { type: INTEGER, allowNull: false, defaultValue: 0 },
      },
      common,
    ),
    codes: db.define<CodeRow>(
      'person_code',
      { shopId: key(), personId: key(), codeHash: text(), until: instant() },
      common,
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
      common,
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
      common,
    ),
  };
}
