import { once } from 'node:events';
import { type AddressInfo, createServer, type Server } from 'node:net';
import { afterEach, describe, expect, it } from 'vitest';
import { connect } from '../src/db/connect.ts';

/** A message of PostgreSQL's protocol (version 3): its letter, its length with that of the length, its content. */
function message(letter: string, content: Buffer): Buffer {
  const head = Buffer.alloc(5);
  head.write(letter, 0, 'latin1');
  head.writeInt32BE(content.length + 4, 1);
  return Buffer.concat([head, content]);
}

const SIGNED_IN = message('R', Buffer.alloc(4));
const READY = message('Z', Buffer.from('I'));
const ENDS = message(
  'E',
  Buffer.from(
    'SFATAL\0VFATAL\0C57P01\0Mterminating connection due to unexpected postmaster exit\0\0',
  ),
);

describe('a connection', () => {
  let server: Server | undefined;
  afterEach(() => {
    server?.close();
  });

  // An error that nobody hears ends the process, here the run.
  it('that the database ends in the packet that makes it is refused, and nothing else happens', async () => {
    server = createServer((socket) => {
      socket.on('error', () => undefined);
      socket.once('data', () => socket.end(Buffer.concat([SIGNED_IN, READY, ENDS])));
    });
    server.listen(0, '127.0.0.1');
    await once(server, 'listening');
    const { port } = server.address() as AddressInfo;
    const account = { user: 'nodo_app', password: 'none' };
    const db = connect(
      { host: '127.0.0.1', port, name: 'nodo', app: account, listener: account },
      account,
    );
    await expect(db.query('select 1')).rejects.toThrow();
    await db.close();
  });
});
