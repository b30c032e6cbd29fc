import { createServer, type RequestListener, type Server } from 'node:http';
import { z } from 'zod';

/** What the start command hands to the door. Nothing of it is secret. */
export const doorSettings = z.object({
  host: z.string(),
  port: z.number().int(),
  /** Where the application is served over TLS. */
  appPort: z.number().int(),
  /** The certificate of this installation's authority, PEM. */
  authority: z.string(),
});
export type DoorSettings = z.infer<typeof doorSettings>;

const AUTHORITY = '/nodo-authority.crt';

/**
 * Plain http, for a device that does not trust us yet: how to, the certificate itself, and the
 * way on. Nothing of the shop is behind it, and it runs as a process of its own.
 */
export function doorServer(settings: DoorSettings): Server {
  return createServer(listener(settings));
}

function listener({ authority, appPort }: DoorSettings): RequestListener {
  return (request, response) => {
    // What stands in a request line need be no address at all.
    const [path] = (request.url ?? '').split('?');
    if (request.method !== 'GET' && request.method !== 'HEAD') {
      response.writeHead(405).end();
      return;
    }
    if (path === AUTHORITY) {
      response.writeHead(200, {
        'content-type': 'application/x-x509-ca-cert',
        'content-disposition': 'attachment; filename="nodo-authority.crt"',
      });
      response.end(authority);
      return;
    }
    // Only a name or an address, whatever a request may call us.
    const [, host = 'localhost'] =
      /^([a-z0-9.-]+)(?::\d+)?$/i.exec(request.headers.host ?? '') ?? [];
    response.writeHead(path === '/' ? 200 : 404, {
      'content-type': 'text/html; charset=utf-8',
      'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'",
      'x-content-type-options': 'nosniff',
    });
    response.end(page(`https://${host}:${appPort}/`));
  };
}

function page(address: string): string {
  return `<!doctype html>
<html lang="en">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Nodo on this device</title>
<style>
  body { font: 1.1rem/1.5 system-ui, sans-serif; max-width: 34rem; margin: 2rem auto; padding: 0 1rem;
         color: #18212b; background: #f3efe4 }
  a { display: inline-block; padding: .7rem 1rem; border: 2px solid #18212b; border-radius: .4rem;
      color: inherit }
  li { margin: 1rem 0 }
</style>
<h1>Nodo on this device</h1>
<ol>
  <li>Take the shop’s certificate: <br><a href="${AUTHORITY}">nodo-authority.crt</a></li>
  <li>Install it as a trusted authority. A telephone or tablet asks by itself or under its security
      settings; a browser under its certificates. It was made on the shop’s own computer and is
      good for this shop only: install it on the shop’s devices alone.</li>
  <li>Open Nodo: <br><a href="${address}">${address}</a></li>
</ol>
</html>
`;
}
