import { randomInt } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:net';

const LOWEST = 15_000;
const TRIES = 200;
/** Ports that this process has already handed out; they may not be listening yet. */
const taken = new Set();

/**
 * A port on loopback on which nothing listens. It lies below the range from which the kernel
 * picks ports for outgoing connections: a client that keeps calling a server which is down could
 * otherwise be given the server's own port, and then holds it when the server starts again.
 * @returns {Promise<number>}
 */
export async function freePort() {
  const end = firstOutgoingPort();
  for (let tries = 0; tries < TRIES; tries += 1) {
    const port = randomInt(LOWEST, end);
    if (taken.has(port) || !(await isFree(port))) continue;
    taken.add(port);
    return port;
  }
  throw new Error(`No free port between ${LOWEST} and ${end}`);
}

/** @returns {number} */
function firstOutgoingPort() {
  const range = readFileSync('/proc/sys/net/ipv4/ip_local_port_range', 'utf8');
  return Math.max(Number.parseInt(range, 10), LOWEST + 5_000);
}

/** @param {number} port */
function isFree(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });
}
