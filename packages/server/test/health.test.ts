import { request } from 'node:http';
import { ADDRESSES } from '@nodo/api';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { connect } from '../src/index.ts';
import { migrate } from '../src/migrations/run.ts';
import { asSuper, freshDatabase } from './database.ts';
import { Client, startTestServer, type TestServer } from './server.ts';

describe('whoever looks after the process', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await startTestServer();
  });
  afterAll(() => server.stop());

  const ask = (path: string) => new Client(server.url).call('GET', path);

  it('learns whether it lives and whether it can serve, by whatever name it calls', async () => {
    expect(await ask(ADDRESSES.readHealth.path)).toMatchObject({
      status: 200,
      body: { alive: true },
    });
    expect(await ask(ADDRESSES.readReadiness.path)).toMatchObject({
      status: 200,
      body: { ready: true },
    });
    const { port } = new URL(server.url);
    const status = await new Promise((resolve, reject) => {
      const headers = { host: '10.1.2.3' };
      request({ port, path: ADDRESSES.readHealth.path, headers }, ({ statusCode }) =>
        resolve(statusCode),
      )
        .on('error', reject)
        .end();
    });
    expect(status).toBe(200);
  });

  it('may keep a connection over a pause: it is not closed in the moment it is used again', async () => {
    const { headers } = await ask(ADDRESSES.readHealth.path);
    const [, seconds] = headers.get('keep-alive')?.match(/timeout=(\d+)/) ?? [];
    // A common proxy keeps idle connections for sixty seconds.
    expect(Number(seconds)).toBeGreaterThan(60);
  });

  it('is told that it lives but cannot serve while its database is away, and when it can again', async () => {
    const { name } = server.database;
    const [before] = await asSuper(
      'postgres',
      `select datname from pg_database where datname = '${name}'`,
    );
    expect(before?.rowCount).toBe(1);
    await asSuper(
      'postgres',
      `alter database ${name} with allow_connections false`,
      `select pg_terminate_backend(pid) from pg_stat_activity where datname = '${name}'`,
    );
    await expect
      .poll(async () => (await ask(ADDRESSES.readReadiness.path)).body)
      .toMatchObject({ code: 'not-ready' });
    expect((await ask(ADDRESSES.readReadiness.path)).status).toBe(503);
    expect((await ask(ADDRESSES.readHealth.path)).status).toBe(200);
    await asSuper('postgres', `alter database ${name} with allow_connections true`);
    await expect.poll(async () => (await ask(ADDRESSES.readReadiness.path)).status).toBe(200);
  });
});

describe('two that start at once', () => {
  it('migrate one after the other: one does it, the other finds it done', async () => {
    const database = await freshDatabase();
    if (!database.owner) throw new Error('The owner is wanted.');
    await asSuper(
      database.name,
      'drop schema public cascade',
      'create schema public authorization nodo_owner',
      'grant usage on schema public to nodo_app, nodo_listener',
    );
    const [one, other] = [
      connect(database, database.owner, 2),
      connect(database, database.owner, 2),
    ];
    try {
      const ran = await Promise.all([migrate(one), migrate(other)]);
      const counts = ran.map(({ length }) => length).toSorted((a, b) => a - b);
      expect(counts[0]).toBe(0);
      expect(counts[1]).toBeGreaterThan(15);
    } finally {
      await Promise.all([one.close(), other.close()]);
    }
  });
});
