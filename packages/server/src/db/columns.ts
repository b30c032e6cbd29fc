import {
  DataTypes,
  type Model,
  type ModelAttributeColumnOptions,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

declare const holds: unique symbol;
declare const mayBeLeftOut: unique symbol;
/** A column, and what a row has in it. */
interface Column<Value> extends ModelAttributeColumnOptions {
  readonly [holds]?: Value;
}
/** One that a new row need not name. */
interface Optional<Value> extends Column<Value> {
  readonly [mayBeLeftOut]?: true;
}
type Columns = Readonly<Record<string, Column<unknown>>>;
type Values<Of extends Columns> = {
  -readonly [Name in keyof Of]: Of[Name] extends Column<infer Value> ? Value : never;
};
type OptionalIn<Of extends Columns> = {
  [Name in keyof Of]: typeof mayBeLeftOut extends keyof Of[Name] ? Name : never;
}[keyof Of];
type NewRow<Of extends Columns> = Omit<Values<Of>, OptionalIn<Of>> &
  Partial<Pick<Values<Of>, OptionalIn<Of>>>;
type RowOf<Of extends Columns> = Model<Values<Of>, NewRow<Of>> & Values<Of>;

const { ARRAY, DATE, INTEGER, JSONB, TEXT, UUID } = DataTypes;

// Each is made anew for its column: Sequelize writes the column's name into what it is given.
export const id = (): Column<string> => ({ type: UUID, allowNull: false });
export const ids = (): Column<string[]> => ({ type: ARRAY(UUID), allowNull: false });
export const key = (): Column<string> => inKey(id());
export const text = <Text extends string = string>(): Column<Text> => ({
  type: TEXT,
  allowNull: false,
});
export const whole = (): Column<number> => ({ type: INTEGER, allowNull: false });
export const instant = (): Column<Date> => ({ type: DATE, allowNull: false });
export const document = <Content>(): Column<Content> => ({ type: JSONB, allowNull: false });

export function perhaps<Value>(column: Column<Value>): Optional<Value | null> {
  return { ...column, allowNull: true };
}

export function inKey<Value>(column: Column<Value>): Column<Value> {
  return { ...column, primaryKey: true };
}

export function fromZero(column: Column<number>): Optional<number> {
  return { ...column, defaultValue: 0 };
}

/** A table as the migrations made it: they name and date, Sequelize adds nothing of its own. */
export function table<Of extends Columns>(
  db: Sequelize,
  name: string,
  columns: Of,
): ModelStatic<RowOf<Of>> {
  return db.define<RowOf<Of>>(name, columns as never, {
    timestamps: false,
    underscored: true,
    freezeTableName: true,
  });
}

/** A row of a table. */
export type Row<Table> = Table extends ModelStatic<infer Found> ? Found : never;
