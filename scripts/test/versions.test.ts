import { readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { ADDRESSES, ENDPOINTS, pathTo } from '@nodo/api';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { Cluster } from '../lib/cluster.mjs';
import { built } from '../lib/paths.mjs';
import { freePort } from '../lib/ports.mjs';
import { mustRun } from '../lib/run.mjs';
import { DEMO_COPY, serverProcess } from '../lib/stage.mjs';
import { noteCommand, signedIn } from '../lib/testClient.mjs';
import { testFolder } from '../lib/testFolder.mjs';

/** The demo shop as earlier versions left it, by the last migration that had run (scripts/keepVersion.mjs). */
const FOLDER = resolve(import.meta.dirname, '../../packages/server/test/versions');
/** In no version the last: each got its final form together with the one behind it. */
const NEVER_LAST = ['0001-tables', '0002-row-security', '0007-people', '0009-cards', '0015-desk'];
const SUFFIX = '.sql.gz';

const kept = readdirSync(FOLDER)
  .map((file) => file.replace(SUFFIX, ''))
  .toSorted();
const cluster = Cluster.attachedTo(inject('demoCopy'));
const programs = built(resolve(import.meta.dirname, '../..'));
const opened: string[] = [];
/** All of this version, in order. */
let migrations: readonly string[];
beforeAll(async () => {
  const names = await cluster.sql(DEMO_COPY, 'select name from migration order by name');
  migrations = names.trim().split('\n');
});
afterAll(async () => {
  for (const database of opened) await cluster.dropDatabase(database);
});

it('every version that anybody can have used is kept, but for the newest, which the other tests use', () => {
  const before = migrations.slice(0, -1);
  expect(kept).toEqual(before.filter((name) => !NEVER_LAST.includes(name)));
});

describe.each(kept)('a shop that was last used by the version of %s', (schema) => {
  it('opens in this one: every ticket is read, written to, found and exported', async () => {
    const database = `of_${schema.slice(0, 4)}`;
    opened.push(database);
    await cluster.prepareDatabase(database);
    await cluster.sql(database, gunzipSync(readFileSync(join(FOLDER, schema + SUFFIX))).toString());
    const settings = {
      host: '127.0.0.1',
      port: await freePort(),
      webRoot: programs.web,
      photos: testFolder('of-before'),
      sessionSecret: 'a secret for the sessions of this test',
      database: cluster.settings(database),
    };
    const tickets = (
      await cluster.sql(
        database,
        `select s.ticket_id || ' ' || s.status || ' ' || count(*)
           from ticket_summary s join ticket_event e using (shop_id, ticket_id)
          group by s.ticket_id, s.status`,
      )
    )
      .trim()
      .split('\n')
      .map((row) => row.split(' '));
    expect(tickets.length).toBeGreaterThan(5);

    const env = { ...process.env, NODO_SETTINGS: JSON.stringify(settings) };
    const ran = Number(await mustRun(process.execPath, [programs.migrate], { env }));
    expect(ran).toBe(migrations.length - 1 - migrations.indexOf(schema));
    const server = serverProcess(programs.server, settings);
    await server.start();
    try {
      const lead = await signedIn(server.url, 'halle', 'needle-halle');
      const rack = ENDPOINTS.listTickets.answer.parse(
        (await lead.get(ADDRESSES.listTickets.path)).body,
      );
      const there = tickets.filter(([, status]) => status !== 'collected').map(([id]) => id);
      expect(rack.map(({ ticket }) => ticket).toSorted()).toEqual(there.toSorted());
      for (const [ticket = '', , count] of tickets) {
        const answer = await lead.get(pathTo('readTicket', { ticket }));
        expect(answer.status, ticket).toBe(200);
        const file = ENDPOINTS.readTicket.answer.parse(answer.body);
        expect(file.events).toHaveLength(Number(count));
      }
      const [open = ''] = there;
      expect((await lead.record(open, noteCommand('seen by the newest'))).status).toBe(200);
      const exported = await lead.text(pathTo('readExport', { export: 'tickets.jsonl' }));
      const lines = exported.trim().split('\n');
      expect(lines).toHaveLength(tickets.length);
      expect(exported).toContain('seen by the newest');
      const named = rack.find(({ customerName }) => customerName);
      if (named) {
        const found = `${ADDRESSES.search.path}?find=${encodeURIComponent(named.customerName ?? '')}`;
        await expect
          .poll(async () => JSON.stringify((await lead.get(found)).body))
          .toContain(named.ticket);
      }
    } finally {
      await server.kill('SIGTERM');
    }
  });
});
