import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { MIGRATIONS } from './index.ts';

/**
 * Brings the schema up to date as the owner. A step and the note that it ran are one transaction,
 * so that whoever is killed in between finds either both or neither.
 * @param owner with room for two connections: one holds the turn
 * @param last where to stop, as a version of before did; the latest if left out
 * @returns the names of what ran
 * @throws when a newer version has been here: what it keeps is not known to this one
 */
export async function migrate(owner: Sequelize, last?: string): Promise<readonly string[]> {
  const noted = new SequelizeStorage({ sequelize: owner, tableName: 'migration' });
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, statements }) => ({
      name,
      up: () =>
        owner.transaction(async (transaction) => {
          for (const statement of statements) await owner.query(statement, { transaction });
          await owner.query('insert into migration (name) values ($1)', {
            bind: [name],
            transaction,
          });
        }),
    })),
    storage: {
      executed: () => noted.executed(),
      logMigration: () => Promise.resolve(),
      unlogMigration: () => Promise.reject(new Error('Migrations go one way')),
    },
    logger: undefined,
  });
  const known = new Set(MIGRATIONS.map(({ name }) => name));
  // Of several that start at once one migrates; the others wait, and find it done.
  return owner.transaction(async (turn) => {
    await owner.query('select pg_advisory_xact_lock(hashtextextended($1, 0))', {
      bind: ['migrations'],
      transaction: turn,
    });
    const unknown = (await noted.executed()).filter((name) => !known.has(name));
    if (unknown.length > 0) throw new Error(`newer-data ${unknown.join(', ')}`);
    return (await umzug.up(last === undefined ? {} : { to: last })).map(({ name }) => name);
  });
}
