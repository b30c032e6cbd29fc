import { gzipSync } from 'node:zlib';

/** Of each status of a ticket so many are kept: enough to see that each is still understood. */
const OF_EACH_STATUS = 3;

/**
 * A database of the demo shop as a dump that is small enough to be kept: tickets of each status, and all that belongs
 * to them. It is cut down in place.
 * @param {import('./cluster.mjs').Cluster} cluster
 * @param {string} database thrown away afterwards
 * @returns {Promise<{ schema: string, dump: Buffer }>} schema: the last migration that ran; dump: SQL, compressed
 */
export async function keptVersion(cluster, database) {
  const tables = (
    await cluster.sql(
      database,
      `select table_name || '.' || column_name from information_schema.columns
        where table_schema = 'public' and column_name in ('ticket_id', 'kind')`,
    )
  )
    .trim()
    .split('\n');
  const withTicket = tables
    .filter((column) => column.endsWith('.ticket_id'))
    .map((column) => column.split('.')[0]);
  const cuts = withTicket.map(
    (table) => `delete from ${table} where ticket_id not in (select ticket_id from kept);`,
  );
  if (tables.includes('search_place.kind')) {
    cuts.push(
      `delete from search_place where kind = 'ticket' and id not in (select ticket_id from kept);`,
    );
  }
  // What is append-only for everybody is so by trigger.
  await cluster.sql(
    database,
    `set session_replication_role = replica;
     create temp table kept as select ticket_id from (
       select ticket_id, row_number() over (partition by status order by ticket_id) as n
         from ticket_summary) ranked
      where n <= ${OF_EACH_STATUS};
     ${cuts.join('\n')}`,
  );
  const schema = await cluster.sql(database, 'select max(name) from migration');
  const dump = await cluster.dump(database);
  return { schema: schema.trim(), dump: gzipSync(dump, { level: 9 }) };
}
