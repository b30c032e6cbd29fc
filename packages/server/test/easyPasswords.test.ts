import { ADDRESSES } from '@nodo/api';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { isEasy } from '../src/auth/easyPasswords.ts';
import { Client, startTestServer, type TestServer } from './server.ts';

describe('a password that is tried first', () => {
  // Of the published lists of common passwords, and what people make of them when twelve characters are wanted.
  it.each([
    'password1234',
    'Password123!',
    '123456789012',
    'qwertyuiop12',
    '1q2w3e4r5t6y',
    'iloveyou1234',
    'passwordpassword',
    'aaaaaaaaaaaa',
    'abcdefghijkl',
    'nodonodonodo',
  ])('is known as one: %s', async (password) => {
    expect(await isEasy(password, ['nodo'])).toBe(true);
  });

  it('is also what everybody knows of somebody', async () => {
    const about = ['Wennamarie Troskander', 'Bench Nowhere'];
    expect(await isEasy('wennamarietroskander', about)).toBe(true);
    expect(await isEasy('wennamarietroskander', [])).toBe(false);
  });

  it.each(['blue scissors under moon', 'a test password', 'ferkel-Hecke 7 tanzt', 'xxxKq8vR2mPz'])(
    'is none that somebody thought of: %s',
    async (password) => {
      expect(await isEasy(password, ['lead', 'My shop'])).toBe(false);
    },
  );
});

describe('the server', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await startTestServer();
  });
  afterAll(() => server.stop());

  it('takes none that is tried first or short; the code of the lead stays good', async () => {
    const lead = await Client.signedIn(server.url, server.shop.people.lead);
    const { password: known } = server.shop.people.lead;
    const change = (fresh: string) =>
      lead.call('POST', ADDRESSES.changePassword.path, { password: known, fresh });
    expect(await change('password1234')).toMatchObject({
      status: 422,
      body: { code: 'password-easy', path: 'fresh' },
    });
    expect(await change('elevenchars')).toMatchObject({
      status: 400,
      body: { code: 'bad-input', path: 'fresh' },
    });
    const invited = await lead.call('POST', ADDRESSES.invitePerson.path, {
      login: 'somebody-new',
      name: 'Somebody New',
      initials: 'SN',
      role: 'technician',
    });
    const { code } = invited.body as { code: string };
    const redeem = (password: string) =>
      new Client(server.url).call('POST', ADDRESSES.redeemCode.path, {
        login: 'somebody-new',
        code,
        password,
      });
    expect(await redeem('123456789012')).toMatchObject({
      status: 422,
      body: { code: 'password-easy', path: 'password' },
    });
    expect((await redeem('blue scissors under moon')).status).toBe(200);
    expect((await change('another blue password')).status).toBe(200);
  });
});
