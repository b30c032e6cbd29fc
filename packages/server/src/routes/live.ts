import { ENDPOINTS } from '@nodo/contract';
import type { Express } from 'express';
import type { People } from '../auth/people.ts';
import { route } from '../http/route.ts';
import type { LiveHub } from '../live/hub.ts';

const HEARTBEAT_MS = 15_000;
const RETRY_MS = 1_000;

/** The stream of the whole shop, one per screen. */
export function liveRoutes(app: Express, people: People, hub: LiveHub): void {
  route(app, people, ENDPOINTS.live, async ({ session, request, response }) => {
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    });
    response.write(`retry: ${RETRY_MS}\n\n`);
    const stop = hub.follow(session.shop.id, {
      send: (frame) => response.write(`data: ${JSON.stringify(frame)}\n\n`),
      end: () => response.end(),
    });
    const heartbeat = setInterval(() => response.write(': still here\n\n'), HEARTBEAT_MS);
    request.on('close', () => {
      clearInterval(heartbeat);
      stop();
    });
    return 'answered';
  });
}
