import { createHash, createHmac } from 'node:crypto';
import { createServer, type IncomingMessage } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { ObjectStore } from '../src/config/settings.ts';

const BUCKET = 'pictures';
const REGION = 'test-1';
const KEY = { id: 'test-key', secret: 'test-secret' };
/** So few on a page that even a small list has several. */
const A_PAGE = 2;

interface Kept {
  readonly bytes: Buffer;
  readonly at: Date;
}

/** A stand-in for an object store: what the S3 protocol says of five commands, with every signature looked at. */
export interface StandIn {
  readonly place: ObjectStore;
  readonly objects: Map<string, Kept>;
  /** Answers the next requests with this status. */
  failNext(status: number, times: number): void;
  stop(): Promise<void>;
}

export async function startObjectStore(prefix: string): Promise<StandIn> {
  const objects = new Map<string, Kept>();
  const failing: number[] = [];
  const server = createServer((request, response) => {
    answer(request, objects, failing.shift()).then(
      ({ status, body, headers }) => response.writeHead(status, headers).end(body),
      (fault: unknown) => response.writeHead(500).end(String(fault)),
    );
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  const endpoint = `http://127.0.0.1:${port}`;
  return {
    place: { bucket: BUCKET, prefix, endpoint, region: REGION, key: KEY },
    objects,
    failNext: (status, times) => {
      failing.push(...Array.from({ length: times }, () => status));
    },
    stop: () => {
      server.closeAllConnections();
      return new Promise((resolve) => server.close(() => resolve()));
    },
  };
}

interface Said {
  readonly status: number;
  readonly body?: Buffer | string;
  readonly headers?: Record<string, string>;
}

async function answer(
  request: IncomingMessage,
  objects: Map<string, Kept>,
  failing: number | undefined,
): Promise<Said> {
  const chunks: Buffer[] = [];
  for await (const chunk of request) chunks.push(chunk as Buffer);
  const body = Buffer.concat(chunks);
  const url = new URL(request.url ?? '/', 'http://127.0.0.1');
  if (failing !== undefined) return { status: failing, body: errorXml('SlowDown') };
  if (!isSigned(request, url, body)) return { status: 403, body: errorXml('AccessDenied') };
  const [, bucket, key = ''] = /^\/([^/]+)\/?(.*)$/.exec(decodeURIComponent(url.pathname)) ?? [];
  if (bucket !== BUCKET) return { status: 404, body: errorXml('NoSuchBucket') };
  if (url.searchParams.get('list-type') === '2') return listed(objects, url.searchParams);
  const found = objects.get(key);
  if (request.method === 'PUT') {
    objects.set(key, { bytes: body, at: new Date() });
    return { status: 200 };
  }
  if (request.method === 'DELETE') {
    objects.delete(key);
    return { status: 204 };
  }
  if (!found) return { status: 404, body: errorXml('NoSuchKey') };
  return request.method === 'HEAD'
    ? { status: 200, headers: { 'content-length': String(found.bytes.length) } }
    : { status: 200, body: found.bytes };
}

/** Signature version 4, worked out anew from what arrived. */
function isSigned(request: IncomingMessage, url: URL, body: Buffer): boolean {
  const given = request.headers.authorization ?? '';
  const [, day = '', names = '', signature] =
    /Credential=[^/]+\/(\d{8})\/[^,]+, SignedHeaders=([^,]+), Signature=([0-9a-f]{64})/.exec(
      given,
    ) ?? [];
  const hash = createHash('sha256').update(body).digest('hex');
  if (request.headers['x-amz-content-sha256'] !== hash) return false;
  const headers = names
    .split(';')
    .map((name) => `${name}:${String(request.headers[name]).trim()}\n`);
  const query = [...url.searchParams]
    .map((pair) => pair.map(encoded).join('='))
    .toSorted()
    .join('&');
  const asked = [request.method, url.pathname, query, headers.join(''), names, hash].join('\n');
  const scope = `${day}/${REGION}/s3/aws4_request`;
  const text = [
    'AWS4-HMAC-SHA256',
    String(request.headers['x-amz-date']),
    scope,
    createHash('sha256').update(asked).digest('hex'),
  ].join('\n');
  const sealed = (key: Buffer | string, part: string) =>
    createHmac('sha256', key).update(part).digest();
  const key = scope.split('/').reduce<Buffer | string>(sealed, `AWS4${KEY.secret}`);
  return sealed(key, text).toString('hex') === signature;
}

function encoded(text: string): string {
  return encodeURIComponent(text).replaceAll(
    /[!'()*]/g,
    (letter) => `%${letter.charCodeAt(0).toString(16).toUpperCase()}`,
  );
}

function listed(objects: Map<string, Kept>, query: URLSearchParams): Said {
  const prefix = query.get('prefix') ?? '';
  const after = query.get('continuation-token') ?? '';
  const entries = new Map<string, string>();
  for (const [key, { bytes, at }] of objects) {
    if (!key.startsWith(prefix)) continue;
    const slash = key.indexOf('/', prefix.length);
    if (slash < 0) {
      entries.set(
        key,
        `<Contents><Key>${key}</Key><LastModified>${at.toISOString()}</LastModified><Size>${bytes.length}</Size></Contents>`,
      );
    } else {
      const folder = key.slice(0, slash + 1);
      entries.set(folder, `<CommonPrefixes><Prefix>${folder}</Prefix></CommonPrefixes>`);
    }
  }
  const rest = [...entries].toSorted(([a], [b]) => (a < b ? -1 : 1)).filter(([key]) => key > after);
  const page = rest.slice(0, A_PAGE);
  const next =
    rest.length > A_PAGE
      ? `<IsTruncated>true</IsTruncated><NextContinuationToken>${page.at(-1)?.[0] ?? ''}</NextContinuationToken>`
      : '<IsTruncated>false</IsTruncated>';
  const inside = page.map(([, xml]) => xml).join('');
  return {
    status: 200,
    headers: { 'content-type': 'application/xml' },
    body: `<?xml version="1.0"?><ListBucketResult xmlns="http://s3.amazonaws.com/doc/2006-03-01/"><Name>${BUCKET}</Name>${next}${inside}</ListBucketResult>`,
  };
}

function errorXml(code: string): string {
  return `<?xml version="1.0"?><Error><Code>${code}</Code></Error>`;
}
