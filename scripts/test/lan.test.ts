import { X509Certificate } from 'node:crypto';
import {
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import type { IncomingHttpHeaders } from 'node:http';
import { request } from 'node:https';
import { connect, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { connect as connectTls } from 'node:tls';
import { DEMO_PEOPLE } from '@nodo/demo';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { type Certificates, certificatesIn } from '../lib/certificates.mjs';
import { built } from '../lib/paths.mjs';
import { freePort } from '../lib/ports.mjs';
import { openStage, type RunningCluster, serverProcess } from '../lib/stage.mjs';

declare module 'vitest' {
  interface ProvidedContext {
    demoCopy: RunningCluster;
  }
}

const root = new URL('../..', import.meta.url).pathname;

const NOW = new Date('2026-03-02T10:00:00Z');
const DAY_MS = 86_400_000;
const folder = () => mkdtempSync(join(tmpdir(), 'nodo-tls-'));

describe('the certificates of an installation', () => {
  it('hold for the names of the computer, under an authority that is made once', async () => {
    const home = folder();
    const first = await certificatesIn(home, ['localhost', '10.0.0.7'], NOW);
    const cert = new X509Certificate(first.cert);
    const authority = new X509Certificate(first.authority);
    expect(cert.checkIssued(authority)).toBe(true);
    expect(cert.verify(authority.publicKey)).toBe(true);
    expect(authority.ca).toBe(true);
    expect(cert.ca).toBe(false);
    expect(cert.checkIP('10.0.0.7')).toBe('10.0.0.7');
    // Browsers refuse a server's certificate that holds for more than 398 days.
    const days = (Date.parse(cert.validTo) - Date.parse(cert.validFrom)) / DAY_MS;
    expect(days).toBeLessThanOrEqual(398);
    expect(statSync(join(home, 'authority.key')).mode & 0o077).toBe(0);

    const again = await certificatesIn(home, ['localhost', '10.0.0.7'], NOW);
    expect(again).toEqual(first);
  });

  it.each(['authority.key', 'authority.crt'])(
    'are told, not made anew, where %s is lost or damaged: no device would trust another',
    async (name) => {
      const home = folder();
      await certificatesIn(home, ['localhost'], NOW);
      const kept = readFileSync(join(home, name), 'utf8');
      writeFileSync(join(home, name), kept.slice(0, 90));
      await expect(certificatesIn(home, ['localhost'], NOW)).rejects.toThrow(
        new RegExp(`${name} is damaged.*Put it back from a copy`),
      );
      rmSync(join(home, name));
      await expect(certificatesIn(home, ['localhost'], NOW)).rejects.toThrow(`${name} is missing`);
      expect(existsSync(join(home, name))).toBe(false);
      writeFileSync(join(home, name), kept);
      await certificatesIn(home, ['localhost'], NOW);
    },
  );

  it('are made anew for another address and before they end; the authority stays', async () => {
    const home = folder();
    const first = await certificatesIn(home, ['localhost'], NOW);
    const moved = await certificatesIn(home, ['localhost', '10.0.0.8'], NOW);
    expect(new X509Certificate(moved.cert).checkIP('10.0.0.8')).toBe('10.0.0.8');
    const later = new Date(NOW.getTime() + 380 * DAY_MS);
    const renewed = await certificatesIn(home, ['localhost', '10.0.0.8'], later);
    expect(renewed.cert).not.toBe(moved.cert);
    expect(renewed.authority).toBe(first.authority);
    expect(readFileSync(join(home, 'authority.crt'), 'utf8')).toBe(first.authority);
  });
});

describe('over the network', () => {
  const ports = { port: 0, doorPort: 0 };
  const counter = { login: 'mirra', password: 'needle-mirra' };
  const lead = { login: 'halle', password: 'needle-halle' };
  const reach = () => ({
    address: `https://localhost:${ports.port}/`,
    door: `http://localhost:${ports.doorPort}/`,
  });
  let made: Certificates;
  let stage: Awaited<ReturnType<typeof openStage>>;
  let doorProcess: ReturnType<typeof serverProcess>;

  beforeAll(async () => {
    made = await certificatesIn(folder(), ['localhost', '127.0.0.1'], new Date());
    ports.port = await freePort();
    ports.doorPort = await freePort();
    stage = await openStage(root, {
      copyFrom: inject('demoCopy'),
      names: ['shop-pc'],
      lan: {
        host: '127.0.0.1',
        port: ports.port,
        ...reach(),
        cert: made.cert,
        key: made.key,
        refused: [{ person: DEMO_PEOPLE.mirra.id, password: counter.password }],
      },
    });
    doorProcess = serverProcess(built(root).door, {
      host: '127.0.0.1',
      port: ports.doorPort,
      appPort: ports.port,
      authority: made.authority,
    });
    await doorProcess.start();
  });
  afterAll(async () => {
    await doorProcess.kill('SIGTERM');
    await stage.close();
  });

  const signIn = (person: { login: string; password: string }, ca?: string) =>
    new Promise<{ status: number; body: string; cookie: string }>((resolve, reject) => {
      const body = JSON.stringify({ login: person.login, password: person.password });
      const origin = `https://localhost:${ports.port}`;
      const call = request(
        `${origin}/api/session`,
        { method: 'POST', ca, headers: { origin, 'content-type': 'application/json' } },
        (response) => {
          let text = '';
          response.on('data', (part: Buffer) => (text += part.toString()));
          response.on('end', () =>
            resolve({
              status: response.statusCode ?? 0,
              body: text,
              cookie: response.headers['set-cookie']?.[0] ?? '',
            }),
          );
        },
      );
      call.on('error', reject);
      call.end(body);
    });

  it('is trusted by whoever has the authority, and by nobody else', async () => {
    const answer = await signIn(lead, made.authority);
    expect(answer.status).toBe(200);
    expect(answer.cookie).toMatch(/HttpOnly; Secure; SameSite=Strict/);
    await expect(signIn(lead)).rejects.toThrow(/certificate|issuer/);
  });

  it('does not take a password that everybody knows, which is good on this computer', async () => {
    expect(await signIn(counter, made.authority)).toMatchObject({
      status: 403,
      body: expect.stringContaining('demo-password') as string,
    });
    const here = stage.url;
    const answer = await fetch(`${here}/api/session`, {
      method: 'POST',
      headers: { origin: here, 'content-type': 'application/json' },
      body: JSON.stringify(counter),
    });
    expect(answer.status).toBe(200);
  });

  it('does not take it either for a name that only the database took for the same', async () => {
    for (const login of [
      'M\u0130RRA',
      'm\u0130rra',
      'MIRRA',
      ' mirra ',
      'm\u0131rra',
      '\uff4dirra',
    ]) {
      const answer = await signIn({ login, password: counter.password }, made.authority);
      expect(answer.status, login).not.toBe(200);
      expect(answer.cookie, login).toBe('');
    }
  });

  it('is held to TLS by browsers, under names that are not this very computer’s', async () => {
    const headersAs = (host: string) =>
      new Promise<IncomingHttpHeaders>((resolve, reject) => {
        const { port } = ports;
        request(
          {
            host: '127.0.0.1',
            port,
            path: '/',
            ca: made.authority,
            headers: { host },
            // Its certificate is for other names; that is not what is looked at here.
            checkServerIdentity: () => undefined,
          },
          (response) => {
            response.resume();
            resolve(response.headers);
          },
        )
          .on('error', reject)
          .end();
      });
    expect((await headersAs('shop-pc'))['strict-transport-security']).toBe('max-age=15724800');
    const own = await headersAs(`localhost:${ports.port}`);
    // Plain http serves the same name: a browser held to TLS could not come in any more.
    expect(own).not.toHaveProperty('strict-transport-security');
    expect(own['permissions-policy']).toContain('camera=(self), microphone=()');
    expect(await headersAs('LOCALHOST')).not.toHaveProperty('strict-transport-security');
    expect(await headersAs('another-pc')).not.toHaveProperty('set-cookie');
  });

  it('has no page for a file that there is not, and nothing of its sources', async () => {
    for (const path of ['/assets/gone-1a2b.js', '/gone.js', '/assets/', '/index.js.map', '/.env']) {
      const answer = await fetch(stage.url + path);
      expect(answer.status, path).toBe(404);
      expect(await answer.text(), path).toContain('no-such-route');
    }
    expect((await fetch(`${stage.url}/bench/anything`)).status).toBe(200);
    const files = readdirSync(built(root).web, { recursive: true }).map(String);
    expect(files.some((file) => file.endsWith('.js'))).toBe(true);
    expect(files.filter((file) => file.endsWith('.map'))).toEqual([]);
  });

  it('tells the lead how other devices come to it', async () => {
    const { cookie } = await signIn(lead, made.authority);
    const answer = await fetch(`${stage.url}/api/reach`, { headers: { cookie } });
    expect(await answer.json()).toEqual(reach());
  });

  it('hands out the certificate at a door behind which there is nothing else', async () => {
    const door = `http://127.0.0.1:${ports.doorPort}`;
    const page = await (await fetch(door)).text();
    expect(page).toContain(`https://127.0.0.1:${ports.port}/`);
    const certificate = await fetch(`${door}/nodo-authority.crt`);
    expect(certificate.headers.get('content-type')).toBe('application/x-x509-ca-cert');
    expect(await certificate.text()).toBe(made.authority);
    expect((await fetch(`${door}/api/session`)).status).toBe(404);
    expect((await fetch(door, { method: 'POST' })).status).toBe(405);
  });

  it('goes on whatever stands in a request line', async () => {
    const lines = [
      'GET // HTTP/1.1',
      'GET //[ HTTP/1.1',
      'GET http:// HTTP/1.1',
      'GET http://[::1 HTTP/1.1',
      'GET /%ff%zz HTTP/1.1',
      'GET /../../etc HTTP/1.1',
      'GET /?a[]=%E0%A4%A HTTP/1.1',
      'GET * HTTP/1.1',
      'OPTIONS * HTTP/1.1',
      'CONNECT nowhere:1 HTTP/1.1',
      'GET / HTTP/9.9',
      'GET',
      `GET /${'a'.repeat(40_000)} HTTP/1.1`,
      'GET / HTTP/1.1\r\nUpgrade: odd\r\nConnection: Upgrade',
      'POST /api/session HTTP/1.1\r\nContent-Length: -1',
      '\u0000\u0001\u0002',
    ];
    const before = [stage.pid, doorProcess.pid];
    const here = Number(new URL(stage.url).port);
    for (const line of [...lines, ...lines]) {
      await said(() => connect(here, '127.0.0.1'), line);
      await said(() => connect(ports.doorPort, '127.0.0.1'), line);
      await said(
        () => connectTls({ port: ports.port, host: '127.0.0.1', ca: made.authority }),
        line,
      );
    }
    expect((await fetch(`http://127.0.0.1:${ports.doorPort}/`)).status).toBe(200);
    expect((await fetch(`${stage.url}/api/session`)).status).toBe(200);
    expect((await signIn(lead, made.authority)).status).toBe(200);
    expect([stage.pid, doorProcess.pid]).toEqual(before);
  });
});

/** Says a line to a listener, and waits until the connection is over. */
function said(open: () => Socket, line: string): Promise<void> {
  return new Promise((resolve) => {
    const socket = open();
    const over = () => {
      socket.destroy();
      resolve();
    };
    socket.on('error', over).on('close', over).on('data', over);
    socket.write(`${line}\r\nHost: localhost\r\n\r\n`);
    socket.end();
  });
}
