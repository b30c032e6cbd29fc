/** So many shops are written with one statement. */
const TOGETHER = 20;
/** Tables without rows of a shop. */
const NOT_COPIED = ['session', 'sign_in_delay', 'audit', 'screen', 'screen_person'];

/**
 * Fills a database with shops of one size, each a copy of the demo shop that lies in it, with everything that was
 * there repeated under other tickets that are collected. Written past the server, as fast as the database takes it.
 * @param {import('./cluster.mjs').Cluster} cluster
 * @param {string} database
 */
export async function shopFiller(cluster, database) {
  /** @param {string} text */
  const ask = async (text) => (await cluster.sql(database, text)).trim();
  const demo = await ask('select id from shop');
  const tables = (
    await ask(
      `select string_agg(table_name, ' ') from information_schema.columns
      where table_schema = 'public' and column_name = 'shop_id'`,
    )
  )
    .split(' ')
    .filter((table) => !NOT_COPIED.includes(table));
  // A schema of its own: the server does not serve from tables that know no shops.
  await ask('create schema copied');
  /** @type {Map<string, string[]>} */
  const columns = new Map();
  for (const table of ['shop', ...tables]) {
    // As it is now: what shops are copied from, whatever is written later.
    await ask(`create unlogged table copied.${table} as select * from ${table}`);
    const names = await ask(
      `select string_agg(column_name, ' ' order by ordinal_position) from information_schema.columns
        where table_schema = 'public' and table_name = '${table}' and is_generated = 'NEVER'`,
    );
    columns.set(table, names.split(' '));
  }
  const events = Number(await ask('select count(*) from ticket_event'));

  /**
   * @param {string} table
   * @param {{ shop: string, shops: readonly [number, number], copies: readonly [number, number], where?: string }} what
   */
  const copied = (table, { shop, shops, copies, where = 'true' }) => {
    const names = columns.get(table) ?? [];
    const another = (/** @type {string} */ name) =>
      `case when c = 0 then t.${name} else md5(t.${name} || ' ' || c)::uuid end`;
    const values = names.map((name) => {
      if (name === 'shop_id' || (table === 'shop' && name === 'id')) return shop;
      if (name === 'ticket_id' || (table === 'ticket_event' && name === 'id')) return another(name);
      if (table === 'search_place' && name === 'id') return another(name);
      if (name === 'login') return `t.login || case when k = 0 then '' else '-' || k end`;
      if (table === 'ticket_summary' && name === 'status') {
        return `case when c = 0 then t.status else 'collected' end`;
      }
      if (table === 'ticket_summary' && name === 'collected_at') {
        return 'case when c = 0 then t.collected_at else t.changed_at end';
      }
      if (table === 'ticket_summary' && name === 'line') {
        return `case when c = 0 then t.line else t.line || jsonb_build_object('ticket', md5(t.ticket_id || ' ' || c)::uuid, 'status', 'collected') end`;
      }
      return `t.${name}`;
    });
    return `insert into ${table} (${names.join(', ')}) select ${values.join(', ')}
      from generate_series(${shops[0]}, ${shops[1]}) k, generate_series(${copies[0]}, ${copies[1]}) c, copied.${table} t where ${where};`;
  };

  /** @param {string} shop @param {readonly [number, number]} shops @param {readonly [number, number]} copies */
  const ofTickets = (shop, shops, copies) => [
    ...tables
      .filter((table) => columns.get(table)?.includes('ticket_id'))
      .map((table) => copied(table, { shop, shops, copies })),
    copied('search_place', { shop, shops, copies, where: "t.kind = 'ticket'" }),
  ];
  /** Rows come by the million; their keys are right by how they are made. @param {readonly string[]} statements */
  const write = (statements) =>
    ask(`set session_replication_role = replica;\n${statements.join('\n')}`);

  let filled = 0;
  return {
    /** Until there are so many shops of so many events each. @param {number} shops @param {number} eventsEach */
    async fill(shops, eventsEach) {
      const last = Math.ceil(eventsEach / events) - 1;
      // The demo shop is the first of them.
      if (filled === 0 && last > 0) await write(ofTickets(`'${demo}'`, [0, 0], [1, last]));
      filled = Math.max(filled, 1);
      const shop = `md5('shop ' || k)::uuid`;
      for (; filled < shops; filled = Math.min(shops, filled + TOGETHER)) {
        const range = /** @type {const} */ ([filled, Math.min(shops, filled + TOGETHER) - 1]);
        const once = ['shop', ...tables].filter(
          (table) => !columns.get(table)?.includes('ticket_id'),
        );
        await write([
          ...once.map((table) =>
            copied(table, {
              shop,
              shops: range,
              copies: [0, 0],
              where: table === 'search_place' ? "t.kind <> 'ticket'" : 'true',
            }),
          ),
          ...ofTickets(shop, range, [0, last]),
        ]);
      }
      await ask('vacuum (analyze) ticket_event, ticket_summary, search_place, search_word, person');
      return Number(await ask('select count(*) from ticket_event'));
    },
  };
}
