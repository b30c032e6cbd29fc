import { randomUUID } from 'node:crypto';
import { ADDRESSES, BUILD_HEADER, type Reach, SESSION_COOKIE } from '@nodo/api';
import { refuse } from '@nodo/kernel';
import compression from 'compression';
import connectPgSimple from 'connect-pg-simple';
import express, {
  type Express,
  type NextFunction,
  type Request,
  type RequestHandler,
  type Response,
} from 'express';
import session from 'express-session';
import type { Pool } from 'pg';
import { BaseError, type Sequelize } from 'sequelize';
import type { Auth } from './auth/auth.ts';
import type { Backups } from './backup/backups.ts';
import type { Importing } from './exchange/importing.ts';
import type { ExchangeRows } from './exchange/rows.ts';
import { ownHost, sameOrigin } from './http/guards.ts';
import { headers } from './http/headers.ts';
import { observe, requestId, routeOf } from './http/observe.ts';
import { pages } from './http/pages.ts';
import { sendRefusal } from './http/send.ts';
import type { LiveHub } from './live/hub.ts';
import type { PresenceTracker } from './live/presence.ts';
import { faultText, type Log } from './log.ts';
import type { Notices } from './notices/notices.ts';
import type { PhotoStore } from './photos/photoStore.ts';
import { backupRoutes } from './routes/backups.ts';
import { billRoutes } from './routes/bills.ts';
import { calendarRoutes } from './routes/calendars.ts';
import { dayRoutes } from './routes/day.ts';
import { documentRoutes } from './routes/documents.ts';
import { exchangeRoutes } from './routes/exchange.ts';
import { type Health, healthRoutes } from './routes/health.ts';
import { linkRoutes } from './routes/links.ts';
import { liveRoutes } from './routes/live.ts';
import { noticeRoutes } from './routes/notices.ts';
import { peopleRoutes } from './routes/people.ts';
import { photoRoutes } from './routes/photos.ts';
import { type Profiles, profileRoutes } from './routes/profiles.ts';
import { searchRoutes } from './routes/search.ts';
import { sessionRoutes } from './routes/session.ts';
import { tablesRoutes } from './routes/tables.ts';
import { ticketRoutes } from './routes/tickets.ts';
import { tokenRoutes } from './routes/tokens.ts';
import type { EventStore } from './store/port.ts';

export interface AppParts {
  readonly auth: Auth;
  readonly store: EventStore;
  readonly db: Sequelize;
  readonly cards: Profiles;
  readonly photos: PhotoStore;
  readonly notices: Notices;
  /** Undefined where whoever runs the database makes them. */
  readonly backups: Backups | undefined;
  readonly health: Health;
  readonly rows: ExchangeRows;
  readonly importing: Importing;
  /** Bytes left on the disk with the shop's data; as many as one likes where it lies elsewhere. */
  readonly room: () => Promise<number>;
  readonly hub: LiveHub;
  readonly presence: PresenceTracker;
  readonly sessionPool: Pool;
  readonly sessionSecret: string;
  /** Where other devices find it, if it serves them. */
  readonly reach: Reach | null;
  /** By which it is reached besides the loopback's. */
  readonly names: readonly string[];
  readonly webRoot: string;
  /** Which build of the pages that is; named in every answer. */
  readonly build: string;
  readonly now: () => Date;
  readonly log: Log;
  readonly logsRequests: boolean;
  /** How many proxies before it are believed. */
  readonly proxies: number;
}

const SESSION_DAYS = 14;
const DAY_MS = 86_400_000;

/** The whole server, wired from its parts. */
export function createApp(parts: AppParts): Express {
  const app = express();
  app.disable('x-powered-by');
  if (parts.proxies > 0) app.set('trust proxy', parts.proxies);
  app.use(observe(parts.health.metrics, parts.logsRequests ? parts.log : undefined));
  app.use(...headers());
  // Whoever looks after the process calls it by whatever name or number it has.
  healthRoutes(app, parts.auth.people, parts.health);
  app.use(ownHost(parts.names));
  app.use(sameOrigin);
  app.use(
    compression({
      filter: (request, response) =>
        request.path !== '/api/live' && compression.filter(request, response),
    }),
  );
  app.use('/api', apiBasics(parts));
  const { auth, store, photos, hub, presence, now } = parts;
  sessionRoutes(app, auth);
  peopleRoutes(app, auth, parts.reach);
  noticeRoutes(app, auth.people, parts.notices, parts.backups, parts.room, now);
  backupRoutes(app, auth, parts.backups, parts.db);
  ticketRoutes(app, auth, store, photos, now);
  photoRoutes(app, auth, store, photos);
  linkRoutes(app, auth, parts.cards, store);
  profileRoutes(app, auth, parts.cards, store, photos, parts.backups);
  searchRoutes(app, auth, parts.db, store);
  billRoutes(app, auth, parts.cards, store, parts.now);
  dayRoutes(app, auth, parts.cards, parts.now);
  documentRoutes(app, auth, parts.cards, store, photos, parts.reach, now);
  tablesRoutes(app, auth.people, store, now);
  calendarRoutes(app, auth, store);
  tokenRoutes(app, auth);
  exchangeRoutes(app, auth, parts.rows, parts.importing);
  liveRoutes(app, auth.people, hub, presence);
  app.use('/api', (_request: Request, response: Response) => {
    sendRefusal(response, refuse('no-such-route'));
  });
  pages(app, parts.webRoot, parts.build);
  app.use(lastResort(parts.log));
  return app;
}

function apiBasics({ sessionPool, sessionSecret, build }: AppParts) {
  const PgStore = connectPgSimple(session);
  return express
    .Router()
    .use((_request, response, next) => {
      response.set('cache-control', 'no-store').set(BUILD_HEADER, build);
      next();
    })
    .use(unlessLarge(express.json({ limit: '64kb' })))
    .use(
      session({
        name: SESSION_COOKIE,
        secret: sessionSecret,
        resave: false,
        saveUninitialized: false,
        genid: () => randomUUID(),
        cookie: {
          httpOnly: true,
          sameSite: 'strict',
          secure: 'auto',
          maxAge: SESSION_DAYS * DAY_MS,
        },
        store: new PgStore({
          pool: sessionPool,
          tableName: 'session',
          pruneSessionInterval: 3600,
          // Good for so many days from the sign-in on; no write at each call.
          disableTouch: true,
        }),
      }),
    );
}

/** Files are read by their own route, for whoever is signed in. */
function unlessLarge(read: RequestHandler): RequestHandler {
  return (request, response, next) => {
    if (request.originalUrl === ADDRESSES.importRows.path) next();
    else read(request, response, next);
  };
}

function lastResort(log: Log) {
  return (fault: unknown, request: Request, response: Response, _next: NextFunction): void => {
    const where = {
      request: requestId(response),
      method: request.method,
      route: routeOf(request),
    };
    if (response.headersSent) {
      // What was sent of it is cut off, so that nobody takes it for the whole.
      log({ level: 'error', event: 'answer-cut-off', ...where, fault: faultText(fault) });
      response.destroy();
      return;
    }
    const status = (fault as { status?: number }).status;
    if (status !== undefined && status >= 400 && status < 500) {
      // What stands in the address is no text at all.
      const path = fault instanceof URIError ? 'url' : '';
      response.status(status).json(refuse('bad-input', path, { status }));
      return;
    }
    const said = databaseError(fault);
    const database = said ? `${said.code} ${said.message}` : undefined;
    if (said && /^(22|54)/.test(said.code)) {
      // A value that no field has: what our own schemas let through, the database would not take.
      log({ level: 'warn', event: 'refused-by-the-database', ...where, database });
      sendRefusal(response, refuse('bad-input'));
      return;
    }
    log({ level: 'error', event: 'server-fault', ...where, database, fault: faultText(fault) });
    sendRefusal(response, refuse('server-fault'));
  };
}

/** What PostgreSQL itself said, beneath what Sequelize makes of it. */
function databaseError(
  fault: unknown,
): { readonly code: string; readonly message: string } | undefined {
  if (!(fault instanceof BaseError)) return undefined;
  const { parent } = fault as { parent?: { code?: string; message?: string } };
  return parent && { code: parent.code ?? '', message: parent.message ?? '' };
}
