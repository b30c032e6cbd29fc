import { randomUUID } from 'node:crypto';
import { ADDRESSES, type NeedleFile, pathTo, type TicketFile } from '@nodo/api';
import { newMachineProfile } from '@nodo/shop';
import type { NeedleIn } from '@nodo/ticket';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { SHARP_80 } from '../../ticket/test/needles.ts';
import { asSuper } from './database.ts';
import { Client, startTestServer, type TestServer } from './server.ts';
import { commandOf, intakeCommand, needleEntry } from './shop.ts';

let server: TestServer;
let technician: Client;
beforeAll(async () => {
  server = await startTestServer();
  technician = await Client.signedIn(server.url, server.shop.people.technician);
});
afterAll(() => server.stop());

/** A machine on the bench. */
async function takenIn(): Promise<{ readonly ticket: string; readonly machine: string }> {
  const [ticket, machine] = [randomUUID(), randomUUID()];
  const taken = await technician.call('POST', ADDRESSES.takeIn.path, {
    ticket,
    customer: null,
    machine: { id: machine, card: newMachineProfile('drop-in', 'Teal zigzag') },
    drafts: [intakeCommand({ machine })],
  });
  expect(taken.status).toBe(200);
  return { ticket, machine };
}

async function registerOfMachine(machine: string): Promise<NeedleFile> {
  const answer = await technician.call('GET', pathTo('readNeedles', { machine }));
  expect(answer.status).toBe(200);
  return answer.body as NeedleFile;
}

const post = (machine: string, body: object) =>
  technician.call('POST', pathTo('registerNeedle', { machine }), body);

function fitted(change: Partial<NeedleIn>, when = '2026-03-02T10:00:00.000Z') {
  const { id, when: _when, ...command } = needleEntry(change);
  return commandOf('needle-fitted', command, { id, observedAt: when });
}

async function onTicket(ticket: string, entry: object): Promise<void> {
  const answer = await technician.call('POST', `/api/tickets/${ticket}/events`, entry);
  expect(answer).toMatchObject({ status: 200 });
}

describe('the needle register', () => {
  it('tells what tickets and entries without one say, in the order of their time', async () => {
    const { ticket, machine } = await takenIn();
    await onTicket(ticket, fitted({ from: 'found', sewn: 9000 }));
    const alone = needleEntry({ before: 'put-back', beforeSewn: 9500 });
    const later = { ...alone, when: '2026-03-04T10:00:00.000Z' };
    expect(await post(machine, later)).toMatchObject({ status: 200 });
    const { entries, opened } = await registerOfMachine(machine);
    expect(entries.map(({ from, ticket: on }) => [from, on])).toEqual([
      ['found', ticket],
      ['new', null],
    ]);
    expect(opened).toMatchObject([{ id: later.id, needle: SHARP_80, sewn: 9500 }]);
  });

  it('lets an opened needle be used in any machine of the shop, once', async () => {
    const [one, other] = [await takenIn(), await takenIn()];
    await onTicket(one.ticket, fitted({ from: 'found' }, '2026-03-05T10:00:00.000Z'));
    const back = fitted({ before: 'put-back', beforeSewn: 300 }, '2026-03-05T10:01:00.000Z');
    await onTicket(one.ticket, back);
    const again = needleEntry({ from: 'opened', opened: back.id, sewn: 300 });
    const taken = { ...again, when: '2026-03-06T10:00:00.000Z' };
    const answer = await post(other.machine, taken);
    expect(answer.status).toBe(200);
    const { opened } = answer.body as NeedleFile;
    expect(opened.map(({ id }) => id)).not.toContain(back.id);
    expect(await post(other.machine, { ...taken, id: randomUUID() })).toMatchObject({
      status: 409,
      body: { code: 'no-such-needle', path: 'opened' },
    });
  });

  it('counts an entry once however often it is sent, and refuses another under its id', async () => {
    const { machine } = await takenIn();
    const entry = needleEntry();
    const sent = await Promise.all([post(machine, entry), post(machine, entry)]);
    expect(sent.map(({ status }) => status)).toEqual([200, 200]);
    expect(await post(machine, entry)).toMatchObject({ status: 200 });
    expect((await registerOfMachine(machine)).entries).toHaveLength(1);
    expect(await post(machine, { ...entry, at: 2 })).toMatchObject({
      status: 409,
      body: { code: 'id-used-otherwise' },
    });
  });

  it('forgets what its ticket took back', async () => {
    const { ticket, machine } = await takenIn();
    const slip = fitted({});
    await onTicket(ticket, slip);
    await onTicket(ticket, commandOf('entry-corrected', { corrects: slip.id }));
    expect((await registerOfMachine(machine)).entries).toEqual([]);
  });

  it('refuses a needle of 3 mm, and a machine that it does not know', async () => {
    const { machine } = await takenIn();
    const thick = needleEntry({ needle: { ...SHARP_80, size: 300 } });
    expect(await post(machine, thick)).toMatchObject({
      status: 400,
      body: { code: 'bad-input', path: expect.stringContaining('needle.size') as string },
    });
    expect(await post(randomUUID(), needleEntry())).toMatchObject({ status: 404 });
  });

  it('is never changed or taken out of the database', async () => {
    const { machine } = await takenIn();
    await post(machine, needleEntry());
    for (const statement of ['update needle_entry set at = now()', 'delete from needle_entry']) {
      await expect(asSuper(server.database.name, statement)).rejects.toThrow();
    }
  });
});

it('prints the needle card with what the ticket knows', async () => {
  const { ticket } = await takenIn();
  const paper = pathTo('readPaper', { ticket, paper: 'needle-card' });
  const work = {
    fabric: 'weave',
    layers: 2,
    thickness: 0.3,
    crossing: false,
    threadKind: 'plain',
    fibre: 'polyester',
    thread: { by: 'label', unit: 'wt', number: 50, plies: 1 },
  };
  const taken = (await technician.call('GET', `/api/tickets/${ticket}`)).body as TicketFile;
  expect(taken.ticket).toBe(ticket);
  const before = await technician.call('GET', paper);
  await onTicket(ticket, commandOf('work-told', work));
  await onTicket(ticket, fitted({}));
  const after = await technician.call('GET', paper);
  expect([before.status, after.status]).toEqual([200, 200]);
  expect(String(after.body).startsWith('%PDF-')).toBe(true);
  expect(String(after.body).length).toBeGreaterThan(String(before.body).length);
  const silly = { ...work, thread: { by: 'weight', grams: -1, metres: 10 } };
  expect(
    await technician.call('POST', `/api/tickets/${ticket}/events`, commandOf('work-told', silly)),
  ).toMatchObject({ status: 400 });
});
