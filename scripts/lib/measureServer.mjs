import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { spreadOf } from './spread.mjs';
import { openStage } from './stage.mjs';
import { signedIn, takeIn } from './testClient.mjs';

const SCREENS = 60;
const TICKETS = 30;
const FINDINGS_A_SECOND = 30;
/** As many as a long repair has; then another machine stands there. */
const ENTRIES_A_TICKET = 80;
const PLAIN_SECONDS = 5;
const BESIDE_EVERY_MS = 100;
const WARM_UP_S = 5;

/**
 * A whole shop at work on one server: so many live screens on so many tickets, so many findings a
 * second. Beside it, what the database alone takes in of the same rows.
 * @param {string} root
 * @param {number} seconds
 */
export async function measureServer(root, seconds) {
  const stage = await openStage(root, { durable: true });
  try {
    const lead = await signedIn(stage.url, 'halle', 'needle-halle');
    const tickets = [];
    for (let place = 0; place < TICKETS; place += 1)
      tickets.push(await takeIn(lead, 5_000 + place));
    /** @type {Map<string, number>} */
    const sentAt = new Map();
    /** @type {number[]} */
    const arrivals = [];
    let errors = 0;
    const streams = [];
    for (let screen = 0; screen < SCREENS; screen += 1) {
      streams.push(
        await lead.follow((frame) => {
          if (frame.kind !== 'events') return;
          for (const { id } of frame.events) {
            const at = sentAt.get(id);
            if (at !== undefined) arrivals.push(performance.now() - at);
          }
        }),
      );
    }
    /** @type {number[]} */
    const acknowledged = [];
    const memory = [stage.memoryMb()];
    const beside = await insertsBeside(stage.settings.database);
    /** @type {Promise<void>[]} */
    const under = [];
    const total = FINDINGS_A_SECOND * seconds;
    const started = performance.now();
    for (let count = 0; count < total; count += 1) {
      const due = started + (count * 1000) / FINDINGS_A_SECOND;
      const early = due - performance.now();
      if (early > 0) await new Promise((resolve) => setTimeout(resolve, early));
      const place = count % TICKETS;
      const turn = Math.floor(count / TICKETS);
      if (turn > 0 && turn % ENTRIES_A_TICKET === 0) {
        tickets[place] = await takeIn(lead, 5_000 + place + (turn / ENTRIES_A_TICKET) * TICKETS);
      }
      const ticket = tickets[place] ?? '';
      const id = randomUUID();
      under.push(
        (async () => {
          const at = performance.now();
          sentAt.set(id, at);
          const { status } = await lead.record(ticket, finding(id, count));
          if (status === 200) acknowledged.push(performance.now() - at);
          else errors += 1;
        })().catch(() => {
          errors += 1;
        }),
      );
      if (count % (FINDINGS_A_SECOND * 10) === 0 && count > 0) memory.push(stage.memoryMb());
    }
    await Promise.all(under);
    await new Promise((resolve) => setTimeout(resolve, 1_000));
    memory.push(stage.memoryMb());
    for (const stop of streams) stop();
    const ownMs = spreadOf(await beside.stop(), 1)(0.95);
    const plain = await plainInserts(stage.settings.database);
    const [acknowledgedAt, arrivedAt] = [
      spreadOf(acknowledged.slice(FINDINGS_A_SECOND * WARM_UP_S), 1),
      spreadOf(arrivals, 1),
    ];
    return {
      bench: 'server/load',
      screens: SCREENS,
      tickets: TICKETS,
      findingsASecond: FINDINGS_A_SECOND,
      seconds,
      acknowledgedMs: {
        median: acknowledgedAt(0.5),
        p95: acknowledgedAt(0.95),
        max: acknowledgedAt(1),
      },
      arrivalMs: { median: arrivedAt(0.5), p95: arrivedAt(0.95), max: arrivedAt(1) },
      arrived: arrivals.length / (acknowledged.length * SCREENS),
      errors,
      memoryMb: memory,
      databaseP95Ms: ownMs,
      timesTheDatabase: {
        acknowledged: Number((acknowledgedAt(0.95) / ownMs).toFixed(1)),
        arrival: Number((arrivedAt(0.95) / ownMs).toFixed(1)),
      },
      databaseInsertsASecond: plain,
      timesBelowTheDatabase: Number((plain / FINDINGS_A_SECOND).toFixed(1)),
    };
  } finally {
    await stage.close();
  }
}

/**
 * @param {string} id
 * @param {number} count
 */
function finding(id, count) {
  return {
    id,
    type: 'findings-recorded',
    command: { check: 'winder', answers: { 'winder-on': count % 2 ? 'yes' : 'no' } },
    epoch: 0,
    observedAt: new Date().toISOString(),
    device: 'bench',
  };
}

/**
 * What the database itself takes for an event and its line on the Rack, one transaction, while the
 * shop is at work: the same disk, the same busy processors.
 * @param {import('../../packages/server/src/config/settings.ts').DatabaseSettings} database
 */
async function insertsBeside({ host, port, name, owner }) {
  const client = new pg.Client({ host, port, database: name, ...owner });
  await client.connect();
  await client.query(
    'create table beside (a int primary key, c jsonb); create table beside_line (c jsonb); insert into beside_line values (null)',
  );
  const body = JSON.stringify(finding(randomUUID(), 0));
  /** @type {number[]} */
  const took = [];
  let going = true;
  const work = async () => {
    while (going) {
      const at = performance.now();
      await client.query('begin');
      await client.query('insert into beside values ($1, $2)', [took.length, body]);
      await client.query('update beside_line set c = $1', [body]);
      await client.query('commit');
      took.push(performance.now() - at);
      await new Promise((resolve) => setTimeout(resolve, BESIDE_EVERY_MS));
    }
  };
  const worked = work();
  return {
    async stop() {
      going = false;
      await worked;
      await client.end();
      return took;
    },
  };
}

/**
 * Rows a second that the database takes in, one transaction each, over ten connections: an
 * event and its line on the Rack, without anything of ours round it.
 * @param {import('../../packages/server/src/config/settings.ts').DatabaseSettings} database
 */
async function plainInserts({ host, port, name, owner }) {
  const pool = new pg.Pool({ host, port, database: name, ...owner, max: 10 });
  try {
    await pool.query(
      'create table plain (a uuid, b int, c jsonb, primary key (a, b)); create table plain_line (a uuid primary key, c jsonb)',
    );
    let count = 0;
    const until = performance.now() + PLAIN_SECONDS * 1000;
    const body = JSON.stringify(finding(randomUUID(), 0));
    const work = async () => {
      const client = await pool.connect();
      const key = randomUUID();
      await client.query('insert into plain_line values ($1, $2)', [key, body]);
      for (let seq = 0; performance.now() < until; seq += 1) {
        await client.query('begin');
        await client.query('insert into plain values ($1, $2, $3)', [key, seq, body]);
        await client.query('update plain_line set c = $2 where a = $1', [key, body]);
        await client.query('commit');
        count += 1;
      }
      client.release();
    };
    await Promise.all(Array.from({ length: 10 }, work));
    return Math.round(count / PLAIN_SECONDS);
  } finally {
    await pool.end();
  }
}
