import { openDeployment } from './deployment.mjs';
import { shopFiller } from './fillShops.mjs';
import { spreadOf } from './spread.mjs';
import { noteCommand, signedIn, takeIn } from './testClient.mjs';

const SHOPS = [1, 100, 1_000];
const EVENTS_EACH = 10_000;
const PROCESSES = [1, 2];
const WRITERS = 8;
/** Of each so many rounds, the best counts: what else the machine does only ever makes it slower. */
const ROUNDS = 3;
const APPEND_MS = 3_000;
const READS = 60;
/** The last that was hung on a machine; the demo's are below. */
let tag = 5_000;

/**
 * How an installation of several processes goes with the number of shops: each with ten thousand entries, up to ten
 * million. Load, processes and database share this one machine, so that what counts are the ratios to the smallest.
 * @param {(result: object) => void} tell
 */
export async function measureScale(tell) {
  const deployment = await openDeployment({ NODO_DRAIN_SECONDS: '0', NODO_LOG_REQUESTS: 'no' });
  try {
    await deployment.migrate();
    await deployment.demo();
    const filler = await shopFiller(deployment.cluster, deployment.database);
    /** @type {Record<string, number> | undefined} */
    let smallest;
    for (const shops of SHOPS) {
      const began = performance.now();
      const events = await filler.fill(shops, EVENTS_EACH);
      const filledS = Math.round((performance.now() - began) / 1000);
      const bytes = await deployment.cluster.sql(
        deployment.database,
        `select pg_database_size(current_database())`,
      );
      for (const processes of PROCESSES) {
        const measured = await measure(deployment, shops, processes);
        smallest ??= measured;
        const base = smallest;
        const ratios = Object.fromEntries(
          Object.entries(measured).map(([name, value]) => [
            name,
            Number((value / (base[name] ?? Number.NaN)).toFixed(2)),
          ]),
        );
        tell({
          bench: 'scale',
          shops,
          processes,
          events,
          databaseGb: Number((Number(bytes) / 1e9).toFixed(2)),
          filledS,
          measured,
          ratios,
        });
      }
    }
  } finally {
    await deployment.close();
  }
}

/**
 * @param {Awaited<ReturnType<typeof openDeployment>>} deployment
 * @param {number} shops
 * @param {number} processes
 * @returns {Promise<Record<string, number>>} milliseconds, but for appends a second and memory
 */
async function measure(deployment, shops, processes) {
  const servers = [];
  for (let count = 0; count < processes; count += 1) servers.push(await deployment.server());
  await Promise.all(servers.map((server) => server.start()));
  try {
    // Eight shops, as far apart as there are any.
    const places = Array.from({ length: WRITERS }, (_, place) =>
      Math.floor((place * shops) / WRITERS),
    );
    const screens = [];
    for (const [place, shop] of places.entries()) {
      const { url } = servers[place % processes] ?? { url: '' };
      screens.push(await signedIn(url, shop === 0 ? 'halle' : `halle-${shop}`, 'needle-halle'));
    }
    const at = (/** @type {number} */ count) => {
      const screen = screens[count % screens.length];
      if (!screen) throw new Error('No screen');
      return screen;
    };
    // The first shop has tickets of earlier rounds as well; what is asked for is the demo's, which all have.
    const rack = (await at(WRITERS - 1).get('/api/tickets')).body.filter(
      ({ tag: hung }) => hung < 5_000,
    );
    const names = rack.flatMap(({ customerName }) => (customerName ? [customerName] : []));
    await reads((count) => at(count).get('/api/tickets'));

    const rackMs = await reads((count) => at(count).get('/api/tickets'));
    const ticketMs = await reads((count) =>
      at(count).get(`/api/tickets/${rack[count % rack.length].ticket}`),
    );
    const searchMs = await reads((count) =>
      at(count).get(`/api/search?find=${encodeURIComponent(names[count % names.length] ?? '')}`),
    );
    const appended = await appends(screens);
    const memoryMb = servers[0]?.memoryMb() ?? Number.NaN;
    return { rackMs, ticketMs, searchMs, ...appended, memoryMb, startMs: await starts(deployment) };
  } finally {
    await Promise.all(servers.map((server) => server.kill('SIGTERM')));
  }
}

/** @param {(count: number) => Promise<{ status: number }>} read @returns the median in ms, of the best round */
async function reads(read) {
  let best = Number.POSITIVE_INFINITY;
  for (let round = 0; round < ROUNDS; round += 1) {
    /** @type {number[]} */
    const times = [];
    for (let count = 0; count < READS; count += 1) {
      const from = performance.now();
      const { status } = await read(count);
      if (status !== 200) throw new Error(`a read answered ${status}`);
      times.push(performance.now() - from);
    }
    best = Math.min(best, spreadOf(times, 1)(0.5));
  }
  return best;
}

/** @param {Awaited<ReturnType<typeof signedIn>>[]} screens each writes to a ticket of its own, one entry after the other */
async function appends(screens) {
  const tickets = [];
  for (const screen of screens) {
    tag += 1;
    tickets.push(await takeIn(screen, tag));
  }
  let best = { appendMs: Number.POSITIVE_INFINITY, appendsASecond: 0 };
  for (let round = 0; round < ROUNDS; round += 1) {
    /** @type {number[]} */
    const times = [];
    const until = performance.now() + APPEND_MS;
    await Promise.all(
      screens.map(async (screen, place) => {
        while (performance.now() < until) {
          const from = performance.now();
          const { status } = await screen.record(tickets[place] ?? '', noteCommand('seen'));
          if (status !== 200) throw new Error(`an entry answered ${status}`);
          times.push(performance.now() - from);
        }
      }),
    );
    const appendMs = spreadOf(times, 1)(0.5);
    const appendsASecond = Math.round((times.length * 1000) / APPEND_MS);
    if (appendMs < best.appendMs) best = { appendMs, appendsASecond };
  }
  return best;
}

/** From the start of one more process until it is ready. @param {Awaited<ReturnType<typeof openDeployment>>} deployment */
async function starts(deployment) {
  /** @type {number[]} */
  const times = [];
  for (let count = 0; count < ROUNDS; count += 1) {
    const server = await deployment.server();
    const from = performance.now();
    await server.start();
    times.push(performance.now() - from);
    await server.kill('SIGTERM');
  }
  return Math.round(Math.min(...times));
}
