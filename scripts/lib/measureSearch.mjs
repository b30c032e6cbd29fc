import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { spreadOf } from './spread.mjs';
import { openStage } from './stage.mjs';
import { signedIn } from './testClient.mjs';

const TICKETS = 100_000;
const CUSTOMERS = 40_000;
const QUERIES = 400;
const INDEXED_WITHIN_S = 900;

/** Invented syllables: some forty thousand different names of two or three of them. */
const SYLLABLES =
  'bar bel dor dun fen gil hal ket kor lan mer mol nar nev osk pel quin rav sil tam tol ulf ven wis yor zan bro cli dra fru gra plo ska tre vel'.split(
    ' ',
  );
const COLOURS = 'teal ivory violet mint black white ochre sand rose slate amber lime'.split(' ');
const KINDS = 'zigzag compact overlocker straight embroidery portable table freearm'.split(' ');
const WORDS =
  'skips stitches since needle thread breaks when sewing fast loops underneath after cleaning makes noise jam fabric does not feed bobbin comes loose tension light motor hums slow'.split(
    ' ',
  );

/**
 * Search over a hundred thousand tickets of one shop, through the server and its row-level
 * security, by what people type: names whole and begun, with a letter wrong, two words, numbers.
 * @param {string} root
 */
export async function measureSearch(root) {
  const stage = await openStage(root);
  try {
    const { database } = stage.settings;
    const pool = new pg.Pool({
      host: database.host,
      port: database.port,
      database: database.name,
      ...database.owner,
      max: 1,
    });
    let seed = 20_261_126;
    const draw = (/** @type {number} */ below) => {
      seed = (Math.imul(seed, 1_103_515_245) + 12_345) & 0x7fffffff;
      return seed % below;
    };
    const one = (/** @type {readonly string[]} */ list) => list[draw(list.length)] ?? '';
    const name = () => {
      const first = one(SYLLABLES) + one(SYLLABLES);
      const last = one(SYLLABLES) + one(SYLLABLES) + one(SYLLABLES);
      return `${first} ${last}`.replace(/\b./g, (letter) => letter.toUpperCase());
    };
    const customers = Array.from({ length: CUSTOMERS }, () => ({
      id: randomUUID(),
      name: name(),
      phone: `000 ${1000 + draw(9000)} ${100 + draw(900)}`,
    }));

    const ids = customers.map(({ id }) => id);
    const names = customers.map((each) => each.name);
    const phones = customers.map(({ phone }) => phone);
    const lead = await signedIn(stage.url, 'halle', 'needle-halle');
    const shop = (await lead.get('/api/session')).body.shop.id;
    await pool.query("select set_config('app.shop_id', $1, false)", [shop]);
    for (let from = 0; from < CUSTOMERS; from += 5_000) {
      const some = customers.slice(from, from + 5_000);
      await pool.query(
        'insert into customer (shop_id, id, name, phone) select $1, unnest($2::uuid[]), unnest($3::text[]), unnest($4::text[])',
        [
          shop,
          some.map(({ id }) => id),
          some.map((each) => each.name),
          some.map(({ phone }) => phone),
        ],
      );
    }
    const { rows: lines } = await pool.query('select line from ticket_summary limit 1');
    const line = lines[0].line;
    for (let from = 0; from < TICKETS; from += 5_000) {
      const some = Array.from({ length: 5_000 }, () => {
        const ticket = randomUUID();
        const label = `${one(COLOURS)} ${one(KINDS)}`;
        const words = Array.from({ length: 8 }, () => one(WORDS)).join(' ');
        const at = new Date(Date.UTC(2016, 0, 1) + draw(3_600) * 86_400_000).toISOString();
        const told = { ...line, ticket, label, words, status: 'collected', changedAt: at };
        return { ticket, at, customer: one(ids), line: told };
      });
      await pool.query(
        `insert into ticket_summary (shop_id, ticket_id, tag, status, customer_id, changed_at, line)
         select $1, unnest($2::uuid[]), 1, 'collected', unnest($3::uuid[]), unnest($4::timestamptz[]), unnest($5::jsonb[])`,
        [
          shop,
          some.map(({ ticket }) => ticket),
          some.map(({ customer }) => customer),
          some.map(({ at }) => at),
          some.map((each) => JSON.stringify(each.line)),
        ],
      );
    }
    await pool.query('delete from search_place');
    const started = performance.now();
    await stage.killServer();
    await stage.startServer();
    const want = TICKETS + CUSTOMERS;
    for (;;) {
      const { rows: found } = await pool.query(
        'select count(distinct (kind, id)) as n from search_place',
      );
      if (Number(found[0].n) >= want) break;
      if (performance.now() - started > INDEXED_WITHIN_S * 1000) throw new Error('never indexed');
      await new Promise((resolve) => setTimeout(resolve, 3_000));
    }
    const indexedS = Math.round((performance.now() - started) / 1000);
    await pool.query('analyze');
    const again = await signedIn(stage.url, 'halle', 'needle-halle');

    const wrong = (/** @type {string} */ word) => {
      const at = 1 + draw(Math.max(1, word.length - 2));
      return word.slice(0, at) + (word[at + 1] ?? '') + (word[at] ?? '') + word.slice(at + 2);
    };
    const kinds = {
      wholeName: () => one(names),
      begun: () => (one(names).split(' ')[1] ?? '').slice(0, 4),
      letterWrong: () => wrong(one(names).split(' ')[1] ?? ''),
      nameAndMachine: () => `${one(names).split(' ')[1] ?? ''} ${one(COLOURS)}`,
      commonWord: () => one(KINDS),
      twoCommonWords: () => `${one(COLOURS)} ${one(WORDS)}`,
      phone: () => one(phones),
      endOfPhone: () => one(phones).slice(-3),
      tag: () => String(1 + draw(60)),
      nothing: () => 'xqzvw',
    };
    /** @type {number[]} */
    const all = [];
    /** @type {Record<string, object>} */
    const byKind = {};
    for (const [kind, make] of Object.entries(kinds)) {
      const times = [];
      let found = 0;
      for (let count = 0; count < QUERIES / 10; count += 1) {
        const typed = make();
        const at = performance.now();
        const { status, body } = await again.get(`/api/search?find=${encodeURIComponent(typed)}`);
        if (status !== 200) throw new Error(`search answered ${status}`);
        times.push(performance.now() - at);
        if (body.length > 0) found += 1;
      }
      const at = spreadOf(times, 1);
      byKind[kind] = { median: at(0.5), p95: at(0.95), found: `${found} of ${times.length}` };
      all.push(...times);
    }
    const at = spreadOf(all, 1);
    /** What the database does for one word, as `search_hits` asks it. @param {string} asked */
    const planOf = async (asked) => {
      const { rows } = await pool.query(
        `explain (analyze, costs off, timing off, summary off) ${asked}`,
      );
      return rows.map((/** @type {Record<string, string>} */ row) => row['QUERY PLAN']);
    };
    const plans = {
      resembling: await planOf(
        `select w.word from search_word w where w.shop_id = '${shop}' and w.word % 'kormervn'`,
      ),
      beginning: await planOf(
        `select w.word from search_word w where w.shop_id = '${shop}' and w.word like 'kor%' order by w.word limit 24`,
      ),
      places: await planOf(
        `select kind, id, at from search_place where shop_id = '${shop}' and word = 'zigzag' order by at desc limit 200`,
      ),
    };
    await pool.end();
    return {
      bench: 'search',
      tickets: TICKETS,
      customers: CUSTOMERS,
      indexedS,
      ms: { median: at(0.5), p95: at(0.95), max: at(1) },
      byKind,
      plans,
    };
  } finally {
    await stage.close();
  }
}
