import { connect, createServer, type Socket } from 'node:net';

export interface Address {
  readonly url: string;
  /** Whatever is open breaks off and nothing gets through, until it is mended. */
  cut(): void;
  mend(): void;
  close(): void;
}

/** One address for several servers: each connection goes to the next of them that answers. */
export async function addressFor(ports: readonly number[]): Promise<Address> {
  const sockets = new Set<Socket>();
  let turn = 0;
  let isCut = false;
  const cut = (): void => {
    isCut = true;
    for (const socket of sockets) socket.destroy();
  };
  const server = createServer((socket) => {
    if (isCut) {
      socket.destroy();
      return;
    }
    sockets.add(socket);
    socket.once('close', () => sockets.delete(socket));
    turn += 1;
    const tryNext = (left: number): void => {
      const port = ports[(turn + left) % ports.length] ?? 0;
      const onward = connect(port, 'localhost');
      onward.once('connect', () => socket.pipe(onward).pipe(socket));
      onward.once('error', () => (left > 0 ? tryNext(left - 1) : socket.destroy()));
      onward.once('close', () => onward.bytesWritten > 0 && socket.destroy());
      socket.once('close', () => onward.destroy());
      socket.once('error', () => onward.destroy());
    };
    tryNext(ports.length - 1);
  });
  await new Promise<void>((resolve) => server.listen(0, 'localhost', resolve));
  const at = server.address();
  return {
    url: `http://localhost:${typeof at === 'object' && at ? at.port : 0}`,
    cut,
    mend: () => {
      isCut = false;
    },
    close: () => {
      cut();
      server.close();
    },
  };
}
