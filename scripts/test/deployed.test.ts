import { join } from 'node:path';
import { ADDRESSES } from '@nodo/api';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Address, addressFor } from '../../e2e/src/address.ts';
import { jpeg } from '../../packages/server/test/jpeg.ts';
import { type StandIn, startObjectStore } from '../../packages/server/test/objectStore.ts';
import { certificatesIn } from '../lib/certificates.mjs';
import { openDeployment } from '../lib/deployment.mjs';
import { noteCommand, signedIn, takeIn } from '../lib/testClient.mjs';

const PASSWORD = 'a password of the test';
const SETTINGS_WRONG = 78;
const WRITERS = 4;

let store: StandIn;
let deployment: Awaited<ReturnType<typeof openDeployment>>;
let servers: Awaited<ReturnType<typeof deployment.server>>[];
let address: Address;
let tag = 1;

beforeAll(async () => {
  store = await startObjectStore('photos');
  const { bucket, prefix, endpoint = '', region, key } = store.place;
  deployment = await openDeployment({
    NODO_PHOTOS: `s3://${bucket}/${prefix}`,
    NODO_S3_ENDPOINT: endpoint,
    NODO_S3_REGION: region,
    NODO_S3_KEY: key?.id ?? '',
    NODO_S3_SECRET: key?.secret ?? '',
  });
  servers = [await deployment.server(), await deployment.server()];
});
afterAll(async () => {
  address.close();
  await deployment.close();
  await store.stop();
});

const [first, second] = [() => at(0), () => at(1)];
function at(place: number) {
  const found = servers[place];
  if (!found) throw new Error('There are two.');
  return found;
}

/** A shop of its own with its lead signed in. */
async function newShop(login: string) {
  const { code, shop } = await deployment.newShop(login);
  const answer = await fetch(`${address.url}${ADDRESSES.redeemCode.path}`, {
    method: 'POST',
    headers: { origin: address.url, 'content-type': 'application/json' },
    body: JSON.stringify({ login, code, password: PASSWORD }),
  });
  expect(answer.status).toBe(200);
  return { shop, lead: await signedIn(address.url, login, PASSWORD) };
}

type Screen = Awaited<ReturnType<typeof signedIn>>;

/**
 * Writers that note one thing after the other and send each again until it is acknowledged, as a screen does.
 * @returns how to end them; then, by ticket, what was acknowledged, and how often something had to be sent again
 */
async function writing(screen: Screen) {
  let going = true;
  let again = 0;
  const acknowledged = new Map<string, string[]>();
  const write = async (ticket: string) => {
    const said: string[] = [];
    acknowledged.set(ticket, said);
    while (going) {
      const words = `note ${said.length + 1}`;
      const draft = noteCommand(words);
      for (;;) {
        const status = await screen.record(ticket, draft).then(
          (answer) => answer.status,
          () => 0,
        );
        if (status === 200) break;
        // A busy or ending process says so; anything else would be a refusal.
        expect([0, 503]).toContain(status);
        again += 1;
      }
      said.push(words);
    }
  };
  const tickets: string[] = [];
  for (let count = 0; count < WRITERS; count += 1) {
    tag += 1;
    tickets.push(await takeIn(screen, tag));
  }
  const writers = tickets.map(write);
  return {
    /** Waits until all writers together have so many more acknowledged. */
    more: async (count: number) => {
      const sum = () => [...acknowledged.values()].reduce((all, said) => all + said.length, 0);
      const want = sum() + count;
      await expect.poll(sum).toBeGreaterThanOrEqual(want);
    },
    end: async () => {
      going = false;
      await Promise.all(writers);
      return { acknowledged, again };
    },
  };
}

/** What lies in the database of a ticket's notes, in order; fails where its numbers have a gap. */
async function notesIn(ticket: string): Promise<string[]> {
  const rows = await deployment.cluster.sql(
    deployment.database,
    `select seq || ' ' || coalesce(body ->> 'words', '') from ticket_event where ticket_id = '${ticket}' order by seq`,
  );
  const lines = rows.trim().split('\n');
  expect(lines.map((line) => Number.parseInt(line, 10))).toEqual(
    lines.map((_, index) => index + 1),
  );
  return lines.slice(1).map((line) => line.slice(line.indexOf(' ') + 1));
}

describe('before there is anything', () => {
  it('a server says in its log what its settings want, and ends', async () => {
    const wrong = await deployment.server({ NODO_SESSION_SECRET: 'short', NODO_POOL: 'many' });
    await expect(wrong.start()).rejects.toThrow('it does not serve');
    expect(wrong.exitCode()).toBe(SETTINGS_WRONG);
    const lines = wrong.log().trim().split('\n');
    expect(lines.map((line) => JSON.parse(line) as unknown)).toEqual([
      expect.objectContaining({
        level: 'error',
        event: 'settings-wrong',
        message: 'NODO_POOL: wanted is 10',
      }),
      expect.objectContaining({
        message: expect.stringContaining('NODO_SESSION_SECRET') as string,
      }),
    ]);
  });

  it('a server does not start on tables that are not there, and the step that makes them is done once', async () => {
    await expect(first().start()).rejects.toThrow('run the migrations');
    const [one, other] = await Promise.all([deployment.migrate(), deployment.migrate()]);
    expect([Number(one), Number(other)].toSorted((a, b) => a - b)).toEqual([
      0,
      expect.any(Number) as number,
    ]);
    await Promise.all(servers.map((server) => server.start()));
    address = await addressFor(servers.map(({ port }) => port));
  });

  it('it goes to no database that shows another certificate', async () => {
    const another = await certificatesIn(
      join(deployment.cluster.home, 'another'),
      ['127.0.0.1'],
      new Date(),
    );
    const misled = await deployment.server({ NODO_DATABASE_CA: another.authority });
    await expect(misled.start()).rejects.toThrow(/certificate|self-signed|issuer/);
    const clear = await deployment.server(
      Object.fromEntries(
        ['NODO_DATABASE_URL', 'NODO_LISTENER_URL'].map((name) => [
          name,
          (deployment.env as Record<string, string>)[name]?.replace('verify-full', 'disable') ?? '',
        ]),
      ),
    );
    await expect(clear.start()).rejects.toThrow(/pg_hba|no encryption/);
  });
});

describe('two processes behind one address', () => {
  it('serve two shops that know nothing of each other, over TLS to the database', async () => {
    const [north, south] = [await newShop('lead-north'), await newShop('lead-south')];
    expect(north.shop).not.toBe(south.shop);
    tag += 1;
    await takeIn(north.lead, tag);
    const rackOf = async ({ lead }: typeof north) =>
      ((await lead.get(ADDRESSES.listTickets.path)).body as unknown[]).length;
    expect(await rackOf(north)).toBe(1);
    expect(await rackOf(south)).toBe(0);
    const clear = await deployment.cluster.sql(
      deployment.database,
      `select count(*) filter (where not ssl) || ' of ' || (count(*) > 3)
         from pg_stat_ssl join pg_stat_activity using (pid) where usename like 'nodo\\_%' and usename <> 'nodo_super'`,
    );
    expect(clear.trim()).toBe('0 of true');
  });

  it('keep photos in the object store: taken at one, shown at the other', async () => {
    const { lead, shop } = await newShop('lead-photos');
    tag += 1;
    const ticket = await takeIn(lead.at(first().url), tag);
    const bytes = jpeg({ width: 30, height: 20 });
    const photo = await lead.at(first().url).picture(ticket, bytes);
    expect([...store.objects.keys()]).toContain(`photos/${shop}/${photo}.jpg`);
    expect(await lead.at(second().url).preview(ticket, photo)).toBeGreaterThan(0);
  });

  it('lose nothing acknowledged when either is killed under load, by turns', async () => {
    const { lead } = await newShop('lead-killed');
    const writers = await writing(lead);
    for (const server of [first(), second(), first(), second()]) {
      await writers.more(40);
      await server.kill('SIGKILL');
      await writers.more(20);
      await server.start();
    }
    const { acknowledged } = await writers.end();
    for (const [ticket, said] of acknowledged) expect(await notesIn(ticket)).toEqual(said);
  });

  it('lose nothing while one after the other is upgraded, the tables in between', async () => {
    const { lead } = await newShop('lead-upgraded');
    const writers = await writing(lead);
    const newer = '0999-of-the-next-version';
    await writers.more(40);
    // The step of the next version: the processes of this one work on meanwhile.
    await deployment.cluster.sql(
      deployment.database,
      `begin; alter table ticket_event add column of_the_next_version text;
       insert into migration (name) values ('${newer}'); commit`,
    );
    for (const server of [first(), second()]) {
      await writers.more(40);
      await server.kill('SIGTERM');
      expect(server.exitCode()).toBe(0);
      await writers.more(20);
      await server.start();
    }
    await writers.more(40);
    const { acknowledged } = await writers.end();
    for (const [ticket, said] of acknowledged) expect(await notesIn(ticket)).toEqual(said);
  });

  it('say in their logs what happened, a line of JSON each, and name nobody', () => {
    for (const { log } of servers) {
      const lines = log().trim().split('\n');
      const entries = lines
        .filter((line) => line.startsWith('{'))
        .map((line) => JSON.parse(line) as { event: string; level: string; pid: number });
      expect(entries.length).toBeGreaterThan(100);
      expect(entries.filter(({ event }) => event === 'answered').length).toBeGreaterThan(100);
      expect(log()).not.toMatch(/lead-north|lead-killed|note 1\b/);
    }
  });
});
