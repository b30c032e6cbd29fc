import { randomUUID } from 'node:crypto';
import { ADDRESSES, type Session, type ShopRecord } from '@nodo/api';
import { NEW_SHOP_PROFILE } from '@nodo/shop';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { FIRST_LOGIN, openOwnShop } from '../src/index.ts';
import { Client, startTestServer, type TestServer } from './server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const PASSWORD = 'a test password';
const shop = randomUUID();
const open = () => openOwnShop(server.database, shop, FIRST_LOGIN, () => new Date());
const redeem = (code: string | undefined) =>
  new Client(server.url).call('POST', '/api/codes', {
    login: FIRST_LOGIN,
    code: code ?? '',
    password: PASSWORD,
  });

describe('a shop of one’s own', () => {
  it('begins with one lead who has a code and no password, and gives a new code until it is taken', async () => {
    const first = await open();
    expect(first).toMatchObject({ before: 'nothing', login: 'lead' });
    const again = await open();
    expect(again.before).toBe('untaken');
    expect(again.code).not.toBe(first.code);
    expect((await redeem(first.code)).status).not.toBe(200);
    expect((await redeem(again.code)).status).toBe(200);
    expect(await open()).toEqual({ before: 'taken', login: 'lead', code: undefined });
    // The code is good once.
    expect((await redeem(again.code)).status).not.toBe(200);
  });

  it('has nothing in it, and says nothing of itself yet', async () => {
    const lead = new Client(server.url);
    await lead.call('POST', '/api/session', { login: FIRST_LOGIN, password: PASSWORD });
    expect((await lead.call('GET', ADDRESSES.listTickets.path)).body).toEqual([]);
    const sheet = (await lead.call('GET', ADDRESSES.readShop.path)).body as ShopRecord;
    expect(sheet).toMatchObject({ revision: 0, zoneAssumed: true });
    expect((await lead.call('GET', ADDRESSES.listAccounts.path)).body).toHaveLength(1);
  });

  it('is called as its lead calls it, and so are they; no other shop is', async () => {
    const lead = new Client(server.url);
    await lead.call('POST', '/api/session', { login: FIRST_LOGIN, password: PASSWORD });
    expect((await lead.call('POST', ADDRESSES.nameShop.path, { name: 'Bench Anew' })).status).toBe(
      200,
    );
    const named = { name: 'Ansa Vorrel', initials: 'AV' };
    expect((await lead.call('POST', ADDRESSES.nameMyself.path, named)).status).toBe(200);
    const card = { ...NEW_SHOP_PROFILE, shelves: ['A', 'Window'] };
    await lead.call('POST', ADDRESSES.changeShop.path, { revision: 0, card });
    const session = (await lead.call('GET', ADDRESSES.whoAmI.path)).body as Session;
    expect(session.shop.name).toBe('Bench Anew');
    expect(session.person).toMatchObject(named);
    const sheet = (await lead.call('GET', ADDRESSES.readShop.path)).body as ShopRecord;
    expect(sheet.card.shelves).toEqual(['A', 'Window']);
    const other = await Client.signedIn(server.url, server.otherShop.people.lead);
    const elsewhere = (await other.call('GET', ADDRESSES.whoAmI.path)).body as Session;
    expect(elsewhere.shop.name).toBe('Bench Nowhere');
  });

  it.each([
    [ADDRESSES.nameShop.path, { name: '' }],
    [ADDRESSES.nameShop.path, { name: 'x'.repeat(81) }],
    [ADDRESSES.nameMyself.path, { name: 'Somebody', initials: 'LONG' }],
  ])('refuses %s with %j, and nothing is changed', async (path, body) => {
    const lead = await Client.signedIn(server.url, server.shop.people.lead);
    const refused = await lead.call('POST', path, body);
    expect(refused.status).toBe(400);
    const session = (await lead.call('GET', ADDRESSES.whoAmI.path)).body as Session;
    expect(session.shop.name).toBe('Bench Nowhere');
    expect(session.person.name).toBe('Person lead');
  });
});
