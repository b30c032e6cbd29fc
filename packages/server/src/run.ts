import { createServer } from 'node:http';
import { BEAT_MS } from '@nodo/api';
import pg from 'pg';
import type { Sequelize } from 'sequelize';
import { createApp } from './app.ts';
import { Accounts } from './auth/accounts.ts';
import { Audit } from './auth/audit.ts';
import { SignInDelays } from './auth/delays.ts';
import { Feeds } from './auth/feeds.ts';
import { Links } from './auth/links.ts';
import { People } from './auth/people.ts';
import { Backups } from './backup/backups.ts';
import type { BackupRunner } from './backup/runner.ts';
import type { Settings } from './config/settings.ts';
import { DaySheets } from './days/daySheets.ts';
import { connect, reachOf } from './db/connect.ts';
import { periodically, unlessElsewhere } from './db/once.ts';
import { unsafeReasons } from './db/safety.ts';
import { missingMigrations } from './db/schema.ts';
import { Importing } from './exchange/importing.ts';
import { ExchangeRows } from './exchange/rows.ts';
import { blobsIn } from './files/blobsIn.ts';
import { bind, close } from './http/listening.ts';
import { buildOf } from './http/pages.ts';
import { lanServer } from './lan.ts';
import { LiveHub } from './live/hub.ts';
import { listen } from './live/listen.ts';
import { PresenceTracker } from './live/presence.ts';
import { faultText, type Log } from './log.ts';
import { Metrics } from './metrics/metrics.ts';
import { Notices } from './notices/notices.ts';
import { PhotoStore } from './photos/photoStore.ts';
import { sweepPhotos } from './photos/sweep.ts';
import { Bills } from './profiles/bills.ts';
import { Customers } from './profiles/customers.ts';
import { Machines } from './profiles/machines.ts';
import { Needles } from './profiles/needles.ts';
import { ShopProfiles } from './profiles/shopProfiles.ts';
import { rebuildMissingWords } from './search/rebuild.ts';
import { PostgresEventStore } from './store/postgres.ts';

const READY_WITHIN_MS = 2_000;
const SESSION_POOL = 5;
const SWEEP_MS = 5_000;
const LOOK_FOR_WORK_MS = 3_600_000;
const SWEEP_PICTURES_S = 24 * 3_600;

export interface Running {
  readonly port: number;
  stop(): Promise<void>;
}

/** What a server knows of the world around it. */
export interface ServerWorld {
  readonly now: () => Date;
  /** Its own time zone: where a shop is until somebody says otherwise. */
  readonly zone: string;
  /** Comes back after so many milliseconds. */
  readonly wait: (ms: number) => Promise<void>;
  /** Bytes left on the disk that holds a folder. */
  readonly room: (folder: string) => Promise<number>;
  readonly log: Log;
  /** Undefined where nobody stands behind this process who could make one. */
  readonly backups?: BackupRunner | undefined;
}

/**
 * Starts a server on its settings.
 * @throws when the database account could see more than one shop, or the tables are older than this version.
 */
export async function runServer(
  settings: Settings,
  { now, zone, wait, room, log, backups }: ServerWorld,
): Promise<Running> {
  const { database } = settings;
  const db = connect(database, database.app);
  try {
    await assertServable(db);
  } catch (fault) {
    await db.close();
    throw fault;
  }
  const sessionPool = new pg.Pool({ ...reachOf(database, database.app), max: SESSION_POOL });
  sessionPool.on('error', (fault) =>
    log({ level: 'warn', event: 'session-connection-lost', fault: fault.message }),
  );
  const store = new PostgresEventStore(db);
  const hub = new LiveHub();
  const presence = new PresenceTracker(db, hub, now);
  const listening = listen(database, store, hub, presence, log);
  const sweeping = setInterval(() => presence.sweep(), SWEEP_MS);
  const beating = setInterval(() => hub.pushAll({ kind: 'beat' }), BEAT_MS);
  await listening.ready;
  const photos = new PhotoStore(await blobsIn(settings.photos));
  let isStopping = false;
  const sheets = new ShopProfiles(db, zone);
  const bills = new Bills(db);
  const rows = new ExchangeRows(db, store, bills, sheets);
  const build = await buildOf(settings.webRoot);
  const { isHearing } = listening;
  const app = createApp({
    auth: {
      people: new People(db, now),
      accounts: new Accounts(db, now),
      audit: new Audit(db),
      delays: new SignInDelays(db),
      links: new Links(db, now),
      feeds: new Feeds(db, now),
      isForbidden: (person, password) =>
        (settings.lan?.refused ?? []).some(
          (known) => known.person === person && known.password === password,
        ),
    },
    store,
    db,
    cards: {
      customers: new Customers(db, now),
      machines: new Machines(db, now),
      needles: new Needles(db),
      bills,
      days: new DaySheets(db, store),
      sheets,
    },
    photos,
    health: {
      isReady: async () => !isStopping && isHearing() && (await reaches(db)),
      metrics: new Metrics({ db, sessionPool, screens: () => hub.screens(), isHearing, build }),
      metricsSecret: settings.metricsSecret,
    },
    rows,
    importing: new Importing(db, rows, now),
    notices: new Notices(db),
    backups:
      settings.backups && backups
        ? new Backups(settings.backups, settings.backups.isOwnShop, backups, db, now, log)
        : undefined,
    room: () =>
      typeof settings.photos === 'string' ? room(settings.photos) : Promise.resolve(Infinity),
    hub,
    presence,
    sessionPool,
    sessionSecret: settings.sessionSecret,
    reach: settings.lan ? { address: settings.lan.address, door: settings.lan.door } : null,
    names: settings.names,
    webRoot: settings.webRoot,
    build,
    now,
    log,
    logsRequests: settings.logsRequests ?? false,
    proxies: settings.proxies ?? 0,
  });
  const beside = (event: string, work: Promise<unknown>) => {
    work.catch((fault: unknown) => log({ level: 'error', event, fault: faultText(fault) }));
  };
  const sweepPictures = () =>
    beside(
      'photos-not-swept',
      periodically(db, 'sweep-photos', SWEEP_PICTURES_S, () => sweepPhotos(db, photos, now())),
    );
  sweepPictures();
  const sweepingPictures = setInterval(sweepPictures, LOOK_FOR_WORK_MS);
  // Beside the work: only shops of before there was a search wait for it.
  beside(
    'search-words-missing',
    unlessElsewhere(db, 'search-words', () => rebuildMissingWords(db, log)),
  );
  const server = createServer(app);
  await bind(server, settings);
  const { lan } = settings;
  const others = lan ? [lanServer(lan, app)] : [];
  for (const other of others) await bind(other, lan ?? settings);
  const address = server.address();
  return {
    port: typeof address === 'object' && address ? address.port : settings.port,
    stop: async () => {
      isStopping = true;
      // Whoever stands before it sends nobody any more; who still comes is served.
      await wait(settings.drainMs ?? 0);
      clearInterval(sweeping);
      clearInterval(sweepingPictures);
      clearInterval(beating);
      hub.endAll();
      await Promise.all([server, ...others].map(close));
      await listening.stop();
      await sessionPool.end();
      await db.close();
    },
  };
}

async function assertServable(db: Sequelize): Promise<void> {
  const unsafe = await unsafeReasons(db);
  if (unsafe.length > 0) {
    throw new Error(`The database is not safe to serve from: ${unsafe.join('; ')}`);
  }
  const missing = await missingMigrations(db);
  if (missing.length > 0) {
    throw new Error(
      `The tables are older than this version: run the migrations (${missing.join(', ')})`,
    );
  }
}

/** A database that answers too late is as good as none. */
async function reaches(db: Sequelize): Promise<boolean> {
  const late = new Promise<false>((resolve) => setTimeout(() => resolve(false), READY_WITHIN_MS));
  const asked = db.query('select 1').then(
    () => true,
    () => false,
  );
  return Promise.race([asked, late]);
}
