import { QueryTypes, type Sequelize } from 'sequelize';
import { MIGRATIONS } from '../migrations/index.ts';

/**
 * Which migrations this version wants and the database does not have. One that is newer than this version is none of
 * its business: a migration leaves the version before it working.
 */
export async function missingMigrations(app: Sequelize): Promise<readonly string[]> {
  const rows = await app.query<{ name: string }>('select name from migration', {
    type: QueryTypes.SELECT,
  });
  const ran = new Set(rows.map(({ name }) => name));
  return MIGRATIONS.map(({ name }) => name).filter((name) => !ran.has(name));
}
