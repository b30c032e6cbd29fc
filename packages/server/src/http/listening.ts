import type { Server } from 'node:http';

const LAST_ANSWERS_WITHIN_MS = 3_000;
/**
 * Longer than a browser, or a proxy in front, keeps an idle connection. With the five seconds that Node gives, one that is
 * used again after a pause may be closed in the same moment, and what was asked is lost.
 */
const IDLE_KEPT_MS = 75_000;

/** What was asked is still answered; who keeps a connection open beyond that is let go. */
export async function close(server: Server): Promise<void> {
  const closed = new Promise<void>((resolve) => server.close(() => resolve()));
  const answered = setInterval(() => server.closeIdleConnections(), 20);
  const letGo = setTimeout(() => server.closeAllConnections(), LAST_ANSWERS_WITHIN_MS);
  await closed;
  clearInterval(answered);
  clearTimeout(letGo);
}

/** @throws when the port is taken, or may not be listened on. */
export function bind(
  server: Server,
  { host, port }: { readonly host: string; readonly port: number },
): Promise<void> {
  server.keepAliveTimeout = IDLE_KEPT_MS;
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, () => resolve());
  });
}
