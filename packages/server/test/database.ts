import { randomBytes } from 'node:crypto';
import pg from 'pg';
import { inject } from 'vitest';
import type { DatabaseSettings } from '../src/index.ts';

declare module 'vitest' {
  interface ProvidedContext {
    database: DatabaseSettings;
    superPassword: string;
  }
}

/** Runs statements as the cluster's superuser: what only a test may do. */
export async function asSuper(
  database: string,
  ...statements: readonly string[]
): Promise<pg.QueryResult[]> {
  const { host, port } = inject('database');
  const client = new pg.Client({
    host,
    port,
    database,
    user: 'nodo_super',
    password: inject('superPassword'),
  });
  await client.connect();
  try {
    const results: pg.QueryResult[] = [];
    for (const statement of statements) results.push(await client.query(statement));
    return results;
  } finally {
    await client.end();
  }
}

/** Every row of every table, as a dump would hold it. */
export async function dumped(database: string): Promise<string> {
  const [tables] = await asSuper(
    database,
    `select relname from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace`,
  );
  const names = ((tables?.rows ?? []) as { relname: string }[]).map(({ relname }) => relname);
  const results = await asSuper(
    database,
    ...names.map((name) => `select string_agg(t::text, E'\\n') as rows from ${name} t`),
  );
  return results.map(({ rows }) => (rows as { rows: string | null }[])[0]?.rows ?? '').join('\n');
}

/** A database of its own with the schema as the migrations make it. */
export async function freshDatabase(): Promise<DatabaseSettings> {
  const template = inject('database');
  const name = `test_${randomBytes(6).toString('hex')}`;
  await asSuper('postgres', `create database ${name} template ${template.name} owner nodo_owner`);
  return { ...template, name };
}
