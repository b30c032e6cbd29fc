import { randomUUID } from 'node:crypto';
import { ADDRESSES, ENDPOINTS, type EndpointName } from '@nodo/api';
import { Validator } from '@seriousme/openapi-schema-validator';
import Ajv2020, { type ValidateFunction } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Calls, callsAbout, NOTHING } from './calls.ts';
import { Client, startTestServer, type TestServer } from './server.ts';
import { commandOf, intakeCommand } from './shop.ts';
import { wellFormed } from './wellFormed.ts';

interface Operation {
  readonly operationId: string;
  readonly security: readonly Record<string, unknown>[];
  readonly parameters?: readonly { readonly name: string; readonly in: string }[];
  readonly requestBody?: { readonly content: Readonly<Record<string, { schema?: object }>> };
  readonly responses: Readonly<
    Record<string, { readonly content: Readonly<Record<string, { schema?: object }>> }>
  >;
}
interface Document {
  readonly openapi: string;
  readonly paths: Readonly<Record<string, Readonly<Record<string, Operation>>>>;
  readonly components: { readonly schemas: { readonly Refusal: object } };
}

let server: TestServer;
let lead: Client;
let document: Document;
let calls: Calls;
const ajv = new Ajv2020({ strict: false });
addFormats(ajv);
const checks = new Map<object, ValidateFunction>();
const fits = (schema: object, value: unknown): string => {
  const check = checks.get(schema) ?? ajv.compile(schema);
  checks.set(schema, check);
  return check(value) ? '' : ajv.errorsText(check.errors);
};

beforeAll(async () => {
  server = await startTestServer();
  lead = await Client.signedIn(server.url, server.shop.people.lead);
  document = (await lead.call('GET', ADDRESSES.readOpenApi.path)).body as Document;
  const ticket = randomUUID();
  const customer = { id: randomUUID(), name: 'Wenna Trosk', phone: '0555 0100' };
  await lead.call('POST', '/api/tickets', {
    ticket,
    customer,
    drafts: [intakeCommand({ customer: customer.id })],
  });
  const noted = commandOf('observation-noted', { words: 'Rattles' });
  await lead.call('POST', `/api/tickets/${ticket}/events`, noted);
  calls = callsAbout({ ...NOTHING, ticket, customer: customer.id });
});
afterAll(() => server.stop());

const operations = (): { path: string; method: string; operation: Operation }[] =>
  Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, operation]) => ({ path, method, operation })),
  );
const operationOf = (name: string): Operation => {
  const found = operations().find(({ operation }) => operation.operationId === name);
  if (!found) throw new Error(`${name} is not described`);
  return found.operation;
};

describe('the description of all routes', () => {
  it('is OpenAPI 3.1, as an independent validator reads it', async () => {
    const validator = new Validator();
    const { valid, errors } = await validator.validate(
      JSON.parse(JSON.stringify(document)) as Record<string, unknown>,
    );
    expect(errors ?? []).toEqual([]);
    expect(valid).toBe(true);
    expect(document.openapi).toBe('3.1.0');
  });

  it('has every route, each with what its path names, and says which a token opens', () => {
    const described = operations().map(({ path, method, operation }) => {
      const named = [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => name);
      const told = (operation.parameters ?? []).filter((one) => one.in === 'path');
      expect([operation.operationId, told.map(({ name }) => name).toSorted()]).toEqual([
        operation.operationId,
        named.toSorted(),
      ]);
      return `${method.toUpperCase()} ${path.replace(/\{(\w+)\}/g, ':$1')}`;
    });
    const there = Object.values(ADDRESSES).map(({ method, path }) => `${method} ${path}`);
    expect(described.toSorted()).toEqual(there.toSorted());
    expect(operationOf('readShared').security).toEqual([]);
    expect(operationOf('changePassword').security).toEqual([{ cookie: [] }]);
    expect(operationOf('readTicket').security).toEqual([{ token: [] }, { cookie: [] }]);
  });

  const endings: readonly EndpointName[] = ['signOut', 'lockScreen', 'live'];
  const called = (Object.keys(ENDPOINTS) as EndpointName[]).filter(
    (name) => !endings.includes(name),
  );

  it.each(called)('says of %s what the server answers, with nothing left out', async (name) => {
    const { path, body } = calls[name]();
    const answer = await lead.call(ADDRESSES[name].method, path, body);
    expect([name, answer.body]).not.toMatchObject([name, { code: 'no-such-route' }]);
    const { responses } = operationOf(name);
    if (answer.status >= 400) {
      expect(fits(document.components.schemas.Refusal, answer.body)).toBe('');
      return;
    }
    const [type = '', media] = Object.entries(responses['200']?.content ?? {})[0] ?? [];
    if (media?.schema) expect(fits(media.schema, answer.body)).toBe('');
    else if (type !== '*/*') expect(answer.headers.get('content-type')).toContain(type);
  });

  it('describes bodies as the server takes them: what it describes is read, what it does not is refused', async () => {
    const { ticket } = (
      (await lead.call('GET', ADDRESSES.listTickets.path)).body as { ticket: string }[]
    )[0] ?? { ticket: '' };
    const samples = wellFormed(ticket, (items) => items[0] as never).map((make) => make());
    expect(samples.length).toBeGreaterThan(20);
    for (const { name, path, body } of samples) {
      const schema = operationOf(name).requestBody?.content['application/json']?.schema ?? {};
      expect([name, fits(schema, body)]).toEqual([name, '']);
      const broken = {
        ...(body as object),
        [Object.keys(body as object)[0] ?? '']: { no: 'such' },
      };
      const isDescribed = fits(schema, broken) === '';
      const answer = await lead.call(ADDRESSES[name].method, path, broken);
      expect([name, isDescribed, answer.status]).toEqual([name, false, 400]);
    }
  });
});
