import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { MIGRATIONS } from './index.ts';

/** Brings the schema up to date as the owner. Returns the names of what ran. */
export async function migrate(owner: Sequelize): Promise<readonly string[]> {
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, statements }) => ({
      name,
      up: () =>
        owner.transaction(async (transaction) => {
          for (const statement of statements) await owner.query(statement, { transaction });
        }),
    })),
    storage: new SequelizeStorage({ sequelize: owner, tableName: 'migration' }),
    logger: undefined,
  });
  return (await umzug.up()).map(({ name }) => name);
}
