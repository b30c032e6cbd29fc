import { request } from 'node:http';
import type { AuditPage, TicketFile } from '@nodo/api';
import type { RackEntry } from '@nodo/ticket';
import { beforeEach, describe, expect, it } from 'vitest';
import { ok, record, useCounter } from './counter.ts';
import { asSuper } from './database.ts';
import { Client } from './server.ts';

const shop = useCounter();

const forgetFailures = () => asSuper(shop.server.database.name, 'delete from sign_in_delay');
beforeEach(forgetFailures);

/** Asks under a name that a browser would not let a test set. */
function askedAs(host: string, path: string): Promise<{ status: number; body: string }> {
  return new Promise((resolve, reject) => {
    const { port } = new URL(shop.server.url);
    request({ host: '127.0.0.1', port, path, headers: { host } }, (response) => {
      let body = '';
      response.on('data', (part: Buffer) => (body += part.toString()));
      response.on('end', () => resolve({ status: response.statusCode ?? 0, body }));
    })
      .on('error', reject)
      .end();
  });
}

describe('a name that is not ours', () => {
  it.each(['evil.example', 'evil.example:4680', 'localhost.evil.example', '127.0.0.1.nip.example'])(
    'is answered with nothing of the shop: “%s”',
    async (host) => {
      for (const path of ['/', '/api/session', '/api/tickets', '/assets/x.js']) {
        expect(await askedAs(host, path), path).toMatchObject({
          status: 421,
          body: expect.stringContaining('foreign-host') as string,
        });
      }
    },
  );

  it.each(['localhost', 'LOCALHOST:1234', '127.0.0.1', '[::1]:80'])(
    'is told from this computer’s own: %s',
    async (host) => {
      expect((await askedAs(host, '/api/session')).status).toBe(200);
    },
  );
});

describe('an address that guesses', () => {
  const guess = (login: string, password = 'not this one') =>
    new Client(shop.server.url).call('POST', '/api/session', { login, password });

  it('waits after twenty failures, whatever the names; who knows a password is not counted', async () => {
    const { login, password } = shop.server.shop.people.technician;
    for (let time = 0; time < 19; time += 1) expect((await guess(`name-${time}`)).status).toBe(401);
    // Signing in rightly neither counts nor wipes out.
    expect((await guess(login, password)).status).toBe(200);
    expect((await guess('name-19')).status).toBe(401);
    expect(await guess('name-20')).toMatchObject({
      status: 429,
      body: { code: 'too-many-attempts' },
    });
    await forgetFailures();
    expect((await guess(login, password)).status).toBe(200);
  });
});

describe('the audit', () => {
  it('tells of machine files, papers and links that were read', async () => {
    const { ticket, machine } = await shop.takenIn('Osk Trenholt');
    await ok(shop.technician, 'GET', `/api/machines/${machine}`);
    await ok(shop.technician, 'GET', `/api/machines/${machine}/needles`);
    await ok(shop.technician, 'GET', `/api/tickets/${ticket}/links`);
    await shop.technician.call('GET', `/api/tickets/${ticket}/papers/receipt`);
    const { lines } = await ok<AuditPage>(shop.lead, 'GET', '/api/audit');
    const by = shop.server.shop.people.technician.person;
    const told = lines.filter(({ person }) => person === by).map(({ what }) => what);
    expect(told).toEqual(
      expect.arrayContaining(['machine-read', 'needles-read', 'links-read', 'paper-read']),
    );
  });

  it('tells of names that nobody has, in a shop that is alone in its database, without the name', async () => {
    const guess = () =>
      new Client(shop.server.url).call('POST', '/api/session', { login: 'xerxes', password: 'x' });
    const count = async () => {
      const [found] = await asSuper(
        shop.server.database.name,
        "select count(*)::int as times from audit where what = 'unknown-sign-in'",
      );
      return ((found?.rows ?? []) as { times: number }[])[0]?.times;
    };
    await guess();
    // Two shops: nobody knows whose it was.
    expect(await count()).toBe(0);
    const other = shop.server.otherShop.id;
    await asSuper(
      shop.server.database.name,
      'set session_replication_role = replica',
      ...['audit', 'screen_person', 'screen', 'person', 'shop_sheet'].map(
        (table) => `delete from ${table} where shop_id = '${other}'`,
      ),
      `delete from shop where id = '${other}'`,
    );
    await guess();
    expect(await count()).toBe(1);
    const { lines } = await ok<AuditPage>(shop.lead, 'GET', '/api/audit');
    expect(lines[0]).toMatchObject({ what: 'unknown-sign-in', person: null });
    expect(JSON.stringify(lines)).not.toContain('xerxes');
  });
});

describe('a learner', () => {
  it('sees the machines, and of no customer the name or number', async () => {
    const { ticket } = await shop.takenIn('Quillon Zarra', { phone: '000 90417' });
    const learner = await Client.signedIn(shop.server.url, shop.server.shop.people.learner);
    const there = await learner.follow();
    const here = await shop.counter.follow();
    const rack = await ok<RackEntry[]>(learner, 'GET', '/api/tickets');
    expect(rack.find((line) => line.ticket === ticket)).toMatchObject({ customerName: null });
    const file = await ok<TicketFile>(learner, 'GET', `/api/tickets/${ticket}`);
    expect(file.customer).toBeNull();
    const told = JSON.stringify(
      await Promise.all(
        ['/api/tickets', '/api/open-tickets', '/api/collected', `/api/tickets/${ticket}`].map(
          (path) => ok(learner, 'GET', path),
        ),
      ),
    );
    await record(shop.counter, ticket, 'observation-noted', { words: 'something new' });
    await expect.poll(() => JSON.stringify(there.frames)).toContain('something new');
    await expect.poll(() => JSON.stringify(here.frames)).toContain('Quillon');
    for (const text of [told, JSON.stringify(there.frames)]) {
      expect(text).toContain(ticket);
      expect(text).not.toMatch(/Quillon|Zarra|90417/);
    }
    expect(JSON.stringify(await ok(shop.counter, 'GET', '/api/tickets'))).toContain(
      'Quillon Zarra',
    );
    there.stop();
    here.stop();
  });
});
