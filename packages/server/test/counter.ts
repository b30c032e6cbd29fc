import { randomUUID } from 'node:crypto';
import type { Hit, TicketFile } from '@nodo/api';
import { newCustomerProfile, newMachineProfile } from '@nodo/shop';
import type { RackEntry } from '@nodo/ticket';
import { afterAll, beforeAll, expect } from 'vitest';
import { Client, startTestServer, type TestServer } from './server.ts';
import { commandOf, intakeCommand } from './shop.ts';

interface Taken {
  readonly ticket: string;
  readonly customer: string;
  readonly machine: string;
}

export async function ok<Answer>(
  client: Client,
  method: string,
  path: string,
  body?: unknown,
): Promise<Answer> {
  const answer = await client.call(method, path, body);
  expect(answer, `${method} ${path}`).toMatchObject({ status: 200 });
  return answer.body as Answer;
}

export const record = (
  client: Client,
  ticket: string,
  type: Parameters<typeof commandOf>[0],
  command: object,
) => ok(client, 'POST', `/api/tickets/${ticket}/events`, commandOf(type, command));

/** A server with a shop for one test file, and what is done at its counter. */
export function useCounter() {
  let server: TestServer;
  let lead: Client;
  let counter: Client;
  let technician: Client;
  beforeAll(async () => {
    server = await startTestServer();
    lead = await Client.signedIn(server.url, server.shop.people.lead);
    counter = await Client.signedIn(server.url, server.shop.people.counter);
    technician = await Client.signedIn(server.url, server.shop.people.technician);
  });
  afterAll(() => server.stop());
  return {
    get server() {
      return server;
    },
    get lead() {
      return lead;
    },
    get counter() {
      return counter;
    },
    get technician() {
      return technician;
    },
    /** A machine of somebody, taken in at the counter; of somebody known where `customer` says who. */
    async takenIn(
      name: string,
      {
        label = 'Teal zigzag',
        serial = '',
        phone = '',
        customer: known,
        ...first
      }: Record<string, string> = {},
    ): Promise<Taken> {
      const taken = {
        ticket: randomUUID(),
        customer: known ?? randomUUID(),
        machine: randomUUID(),
      };
      await ok<TicketFile>(counter, 'POST', '/api/tickets', {
        ticket: taken.ticket,
        customer:
          known === undefined ? { id: taken.customer, ...newCustomerProfile(name, phone) } : null,
        machine: { id: taken.machine, card: { ...newMachineProfile('drop-in', label), serial } },
        drafts: [
          intakeCommand({ label, customer: taken.customer, machine: taken.machine, ...first }),
        ],
      });
      return taken;
    },
    found: (letters: string) =>
      ok<Hit[]>(counter, 'GET', `/api/search?find=${encodeURIComponent(letters)}`),
    rackLine: async (ticket: string): Promise<RackEntry | undefined> =>
      (await ok<RackEntry[]>(counter, 'GET', '/api/tickets')).find(
        (line) => line.ticket === ticket,
      ),
  };
}
