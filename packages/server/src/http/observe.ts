import { randomUUID } from 'node:crypto';
import { ADDRESSES } from '@nodo/api';
import type { Request, RequestHandler, Response } from 'express';
import type { Log } from '../log.ts';
import type { Metrics } from '../metrics/metrics.ts';

/** How a proxy names a request; whatever else it says is not taken into the log. */
const NAME = /^[\w-]{1,64}$/;
const HEADER = 'x-request-id';

/** By what name a request stands in the log and in its answer. */
export function requestId(response: Response): string {
  return String(response.locals.request);
}

/** The pattern of the route that answers: never the path, which may hold a customer's link. */
export function routeOf(request: Request): string | undefined {
  const { path } = (request.route ?? {}) as { path?: unknown };
  return typeof path === 'string' ? path : undefined;
}

/** Names each request, and tells of each answer how long it took. */
export function observe(metrics: Metrics, log: Log | undefined): RequestHandler {
  return (request, response, next) => {
    const given = request.get(HEADER) ?? '';
    response.locals.request = NAME.test(given) ? given : randomUUID();
    response.set(HEADER, requestId(response));
    const from = performance.now();
    response.once('close', () => {
      const route = routeOf(request);
      // A stream lasts for as long as somebody looks.
      if (route === ADDRESSES.live.path) return;
      const seconds = (performance.now() - from) / 1e3;
      const { method } = request;
      const { statusCode: status } = response;
      metrics.answered(method, route, status, seconds);
      log?.({
        level: 'info',
        event: 'answered',
        request: requestId(response),
        method,
        route,
        status,
        ms: Math.round(seconds * 1e3),
        shop: response.locals.shop as string | undefined,
      });
    });
    next();
  };
}
