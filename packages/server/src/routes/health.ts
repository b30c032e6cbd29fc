import { ENDPOINTS } from '@nodo/api';
import { refuse } from '@nodo/kernel';
import type { Express } from 'express';
import type { People } from '../auth/people.ts';
import { isSameText } from '../auth/secrets.ts';
import { bearerOf } from '../http/bearer.ts';
import { route } from '../http/route.ts';
import type { Metrics } from '../metrics/metrics.ts';

const OPEN_METRICS = 'application/openmetrics-text; version=1.0.0; charset=utf-8';

/** What whoever looks after a process asks it. */
export interface Health {
  /** Whether it reaches the database, hears what others write, and is not about to end. */
  readonly isReady: () => Promise<boolean>;
  readonly metrics: Metrics;
  /** Undefined where nobody may read them. */
  readonly metricsSecret: string | undefined;
}

export function healthRoutes(
  app: Express,
  people: People,
  { isReady, metrics, metricsSecret }: Health,
): void {
  route(app, people, ENDPOINTS.readHealth, () =>
    Promise.resolve({ ok: true, answer: { alive: true } }),
  );

  route(app, people, ENDPOINTS.readReadiness, async () => {
    if (!(await isReady())) return { ok: false, refusal: refuse('not-ready') };
    return { ok: true, answer: { ready: true } };
  });

  route(app, people, ENDPOINTS.readMetrics, async ({ request, response }) => {
    if (metricsSecret === undefined) return { ok: false, refusal: refuse('no-such-route') };
    if (!isSameText(bearerOf(request), metricsSecret))
      return { ok: false, refusal: refuse('token-not-valid') };
    response.set('content-type', OPEN_METRICS).end(await metrics.read());
    return 'answered';
  });
}
