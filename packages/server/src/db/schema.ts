import { DatabaseError, QueryTypes, type Sequelize } from 'sequelize';
import { MIGRATIONS } from '../migrations/index.ts';

/** PostgreSQL's code for a right that an account does not have. */
const NO_RIGHT = '42501';

/**
 * Which migrations this version wants and the database does not have. One that is newer than this version is none of
 * its business: a migration leaves the version before it working.
 */
export async function missingMigrations(app: Sequelize): Promise<readonly string[]> {
  const rows = await app
    .query<{ name: string }>('select name from migration', { type: QueryTypes.SELECT })
    .catch((fault: unknown) => {
      // Which ones ran may be read since 0021.
      if (!(fault instanceof DatabaseError)) throw fault;
      if ((fault.parent as { code?: string }).code !== NO_RIGHT) throw fault;
      return undefined;
    });
  if (!rows) return MIGRATIONS.slice(-1).map(({ name }) => name);
  const ran = new Set(rows.map(({ name }) => name));
  return MIGRATIONS.map(({ name }) => name).filter((name) => !ran.has(name));
}
