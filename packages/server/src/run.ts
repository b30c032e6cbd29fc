import { createServer, type Server } from 'node:http';
import pg from 'pg';
import { createApp } from './app.ts';
import { People } from './auth/people.ts';
import { LiveHub } from './live/hub.ts';
import { listen } from './live/listen.ts';
import { PhotoStore } from './photos/photoStore.ts';
import type { Settings } from './settings.ts';
import { connect } from './store/connect.ts';
import { PostgresEventStore } from './store/postgres.ts';
import { unsafeReasons } from './store/safety.ts';

export interface Running {
  readonly port: number;
  stop(): Promise<void>;
}

/**
 * Starts a server on its settings.
 * @throws when the database account could see more than one shop.
 */
export async function runServer(
  settings: Settings,
  now: () => Date,
  log: (line: string) => void,
  signInAttempts?: number,
): Promise<Running> {
  const { database } = settings;
  const db = connect(database, database.app);
  const unsafe = await unsafeReasons(db);
  if (unsafe.length > 0) {
    await db.close();
    throw new Error(`The database is not safe to serve from: ${unsafe.join('; ')}`);
  }
  const sessionPool = new pg.Pool({
    host: database.host,
    port: database.port,
    database: database.name,
    user: database.app.user,
    password: database.app.password,
    max: 5,
    connectionTimeoutMillis: 8_000,
  });
  sessionPool.on('error', (fault) => log(`sessions: lost a connection (${fault.message})`));
  const store = new PostgresEventStore(db);
  const hub = new LiveHub();
  const listening = listen(database, store, hub, log);
  await listening.ready;
  const app = createApp({
    people: new People(db),
    store,
    photos: new PhotoStore(settings.photos),
    hub,
    sessionPool,
    sessionSecret: settings.sessionSecret,
    webRoot: settings.webRoot,
    now,
    log,
    ...(signInAttempts === undefined ? {} : { signInAttempts }),
  });
  const server = createServer(app);
  await bind(server, settings);
  const address = server.address();
  return {
    port: typeof address === 'object' && address ? address.port : settings.port,
    stop: async () => {
      hub.endAll();
      const closed = new Promise<void>((resolve) => server.close(() => resolve()));
      server.closeAllConnections();
      await closed;
      await listening.stop();
      await sessionPool.end();
      await db.close();
    },
  };
}

function bind(server: Server, { host, port }: Settings): Promise<void> {
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, () => resolve());
  });
}
