import type { RequestListener, Server } from 'node:http';
import { createServer } from 'node:https';
import type { LanSettings } from './config/settings.ts';

/** The server for the other benches: the application over TLS. */
export function lanServer({ cert, key }: LanSettings, app: RequestListener): Server {
  return createServer({ cert, key, minVersion: 'TLSv1.2' }, app);
}
