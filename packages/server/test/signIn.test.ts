import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { waitAfter } from '../src/auth/delays.ts';
import { asSuper } from './database.ts';
import { Client, startTestServer, type TestServer } from './server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

/** Lengthens the waits that failures have earned so far: the next attempt may come late. */
const outlastTheTest = () =>
  asSuper(
    server.database.name,
    "update sign_in_delay set until = until + interval '1 hour' where until > last_at + interval '1 second'",
  );

describe('signing in', () => {
  it('tells who one is, and to which shop one belongs', async () => {
    const client = await Client.signedIn(server.url, server.shop.people.lead);
    expect((await client.call('GET', '/api/session')).body).toMatchObject({
      person: { id: server.shop.people.lead.person, role: 'lead', name: 'Person lead' },
      shop: { id: server.shop.id, name: 'Bench Nowhere' },
    });
    expect((await client.call('GET', '/api/people')).body).toHaveLength(4);
  });

  it('answers null to somebody who is not signed in', async () => {
    expect(await new Client(server.url).call('GET', '/api/session')).toMatchObject({
      status: 200,
      body: null,
    });
  });

  it('sets a cookie that no script reads and no other site sends', async () => {
    const { login, password } = server.shop.people.counter;
    const answer = await new Client(server.url).call('POST', '/api/session', { login, password });
    expect(answer.headers.getSetCookie()[0]).toMatch(/HttpOnly.*SameSite=Strict/);
  });

  it('takes a new session id at each sign-in', async () => {
    const { login, password } = server.shop.people.counter;
    const client = await Client.signedIn(server.url, server.shop.people.counter);
    const before = client.cookie;
    await client.call('POST', '/api/session', { login, password });
    expect(client.cookie).not.toBe(before);
  });

  it('keeps no password, only its argon2 hash', async () => {
    const [people] = await asSuper(server.database.name, 'select password_hash from person');
    for (const { password_hash: hash } of (people?.rows ?? []) as { password_hash: string }[]) {
      expect(hash).toMatch(/^\$argon2id\$/);
    }
  });

  it('is valid no longer than the session in the database', async () => {
    const client = await Client.signedIn(server.url, server.shop.people.counter);
    await asSuper(server.database.name, 'delete from session');
    expect((await client.call('GET', '/api/tickets')).status).toBe(401);
  });

  it('refuses a wrong password and an unknown name alike, then asks to wait longer and longer', async () => {
    const { login, password } = server.shop.people.technician;
    const client = new Client(server.url);
    const attempt = (name: string, guess = 'guess') =>
      client.call('POST', '/api/session', { login: name, password: guess });
    const wrong = await attempt(login);
    expect(wrong).toMatchObject({
      status: 401,
      body: { code: 'wrong-sign-in', path: '', data: {} },
    });
    expect((await attempt('nobody-of-that-name')).body).toEqual(wrong.body);
    await attempt(login);
    await attempt(login);
    await outlastTheTest();
    // Not even the right one is looked at now.
    const waiting = await attempt(login, password);
    expect(waiting).toMatchObject({ status: 429, body: { code: 'too-many-attempts' } });
    expect((waiting.body as { data: { seconds: number } }).data.seconds).toBeGreaterThan(0);
    // Somebody else at the same address is not held up.
    expect((await attempt(server.shop.people.lead.login, 'a test password')).status).toBe(200);
    await asSuper(server.database.name, 'update sign_in_delay set until = now()');
    expect((await attempt(login, password)).status).toBe(200);
    expect((await attempt(login)).status).toBe(401);
  });

  it('counts guesses that come all at once', async () => {
    const client = new Client(server.url);
    const started = Date.now();
    const answers = await Promise.all(
      Array.from({ length: 12 }, () =>
        client.call('POST', '/api/session', {
          // Nobody else signs in as this one: it has to wait afterwards.
          login: server.shop.people.learner.login,
          password: 'guess',
        }),
      ),
    );
    // Three are free; then one more for each wait that a slow machine lets go by.
    let free = 3;
    for (let waited = waitAfter(free, 3); waited * 1000 < Date.now() - started; free += 1) {
      waited += waitAfter(free + 1, 3);
    }
    expect(answers.filter(({ status }) => status === 401).length).toBeLessThanOrEqual(free);
    expect(free).toBeLessThan(answers.length);
  });
});

describe('the wait after failures', () => {
  it('doubles from the third on, up to a quarter of an hour', () => {
    expect([1, 2, 3, 4, 5, 10].map((failures) => waitAfter(failures, 3))).toEqual([
      0, 0, 2, 4, 8, 256,
    ]);
    expect(waitAfter(100, 3)).toBe(900);
  });
});
