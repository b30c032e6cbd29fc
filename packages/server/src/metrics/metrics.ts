import type { Pool } from 'pg';
import {
  collectDefaultMetrics,
  Gauge,
  Histogram,
  type OpenMetricsContentType,
  Registry,
} from 'prom-client';
import type { Sequelize } from 'sequelize';

/** From a read by key to what a person waits for. */
const SECONDS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 10];
/** What no route answered: a foreign name, a path that there is not. */
const NO_ROUTE = 'none';

/** Sequelize's pool, of which its types do not tell. */
interface Counted {
  readonly using: number;
  readonly available: number;
  readonly waiting: number;
}

/** What the metrics look at. */
export interface Measured {
  readonly db: Sequelize;
  readonly sessionPool: Pool;
  /** How many screens follow. */
  readonly screens: () => number;
  readonly isHearing: () => boolean;
  readonly build: string;
}

/** What one process counts of itself, as OpenMetrics reads it. No shop, person or ticket is named. */
export class Metrics {
  private readonly registry = new Registry<OpenMetricsContentType>();
  private readonly took: Histogram;

  constructor({ db, sessionPool, screens, isHearing, build }: Measured) {
    const registers = [this.registry];
    this.registry.setContentType(Registry.OPENMETRICS_CONTENT_TYPE);
    collectDefaultMetrics({ register: this.registry });
    this.took = new Histogram({
      name: 'nodo_http_request_duration_seconds',
      help: 'From a request to the end of its answer, by route; live streams are left out',
      labelNames: ['method', 'route', 'status'],
      buckets: SECONDS,
      registers,
    });
    const live: Gauge = new Gauge({
      name: 'nodo_live_screens',
      help: 'Screens that follow their shop from this process',
      registers,
      collect: () => {
        live.set(screens());
      },
    });
    const hearing: Gauge = new Gauge({
      name: 'nodo_hears_others',
      help: 'Whether it hears what other processes write: 1 or 0',
      registers,
      collect: () => {
        hearing.set(isHearing() ? 1 : 0);
      },
    });
    const connections: Gauge = new Gauge({
      name: 'nodo_database_connections',
      help: 'Connections to the database, and requests that wait for one',
      labelNames: ['pool', 'state'],
      registers,
      collect: () => {
        const { pool } = db.connectionManager as unknown as { pool: Counted };
        const counted = {
          app: [pool.using, pool.available, pool.waiting],
          sessions: [
            sessionPool.totalCount - sessionPool.idleCount,
            sessionPool.idleCount,
            sessionPool.waitingCount,
          ],
        };
        for (const [name, counts] of Object.entries(counted)) {
          for (const [index, state] of ['used', 'idle', 'waiting'].entries()) {
            connections.set({ pool: name, state }, counts[index] ?? 0);
          }
        }
      },
    });
    new Gauge({
      name: 'nodo_build_info',
      help: 'Which build of the pages it serves',
      labelNames: ['build'],
      registers,
    }).set({ build }, 1);
  }

  /** Counts an answer. @param route its pattern, undefined where no route answered */
  answered(method: string, route: string | undefined, status: number, seconds: number): void {
    this.took.observe({ method, route: route ?? NO_ROUTE, status: String(status) }, seconds);
  }

  read(): Promise<string> {
    return this.registry.metrics();
  }
}
