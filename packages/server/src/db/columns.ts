import {
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
} from 'sequelize';

/** A row with these columns, as Sequelize sees it. */
export type Row<Own> = Model<InferAttributes<Own & Model>, InferCreationAttributes<Own & Model>> &
  Own;

const { DATE, INTEGER, JSONB, TEXT, UUID } = DataTypes;

// Each is made anew for its column: Sequelize writes the column's name into what it is given.
export const key = () => ({ type: UUID, primaryKey: true });
export const id = () => ({ type: UUID, allowNull: false });
export const perhapsId = () => ({ type: UUID, allowNull: true });
export const text = () => ({ type: TEXT, allowNull: false });
export const perhapsText = () => ({ type: TEXT, allowNull: true });
export const whole = () => ({ type: INTEGER, allowNull: false });
export const perhapsWhole = () => ({ type: INTEGER, allowNull: true });
export const instant = () => ({ type: DATE, allowNull: false });
export const perhapsInstant = () => ({ type: DATE, allowNull: true });
export const document = () => ({ type: JSONB, allowNull: false });

/** The migrations name and date the tables; Sequelize adds nothing of its own. */
export const AS_MIGRATED = {
  timestamps: false,
  underscored: true,
  freezeTableName: true,
} as const;
