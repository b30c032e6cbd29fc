import type { Server } from 'node:http';

const LAST_ANSWERS_WITHIN_MS = 3_000;

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
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, () => resolve());
  });
}
