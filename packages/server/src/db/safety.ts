import { QueryTypes, type Sequelize } from 'sequelize';

/** Why the server must not run with this database account; empty when it may. */
export async function unsafeReasons(app: Sequelize): Promise<readonly string[]> {
  const reasons: string[] = [];
  const [account] = await app.query<{ name: string; rolsuper: boolean; rolbypassrls: boolean }>(
    'select rolname as name, rolsuper, rolbypassrls from pg_roles where rolname = current_user',
    { type: QueryTypes.SELECT },
  );
  if (!account || account.rolsuper) reasons.push('the application account is a superuser');
  if (account?.rolbypassrls) reasons.push('the application account bypasses row-level security');
  const tables = await app.query<{ relname: string; owned: boolean; safe: boolean }>(
    `select c.relname, pg_get_userbyid(c.relowner) = current_user as owned,
            c.relrowsecurity and c.relforcerowsecurity as safe
       from pg_class c
       join pg_namespace n on n.oid = c.relnamespace and n.nspname = 'public'
      where c.relkind = 'r' and (c.relname = 'shop' or exists (
        select 1 from pg_attribute a where a.attrelid = c.oid and a.attname = 'shop_id'))`,
    { type: QueryTypes.SELECT },
  );
  if (tables.length === 0) reasons.push('the tables are missing: run the migrations');
  for (const { relname, owned, safe } of tables) {
    if (owned) reasons.push(`the application account owns the table ${relname}`);
    if (!safe) reasons.push(`row-level security is not forced on the table ${relname}`);
  }
  return reasons;
}
