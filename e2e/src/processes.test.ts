import { randomUUID } from 'node:crypto';
import type { Session } from '@nodo/api';
import { ADDRESSES } from '@nodo/api';
import { demoTicketId } from '@nodo/demo';
import type { TicketEvent } from '@nodo/ticket';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { noteCommand, signedIn, takeIn } from '../../scripts/lib/testClient.mjs';
import { type Address, addressFor } from './address.ts';
import { useStage } from './stage.ts';

const { stage, screenAt, notesOf } = useStage();

type Beside = Awaited<ReturnType<ReturnType<typeof stage>['startBeside']>>;
type TestScreen = Awaited<ReturnType<typeof signedIn>>;

let beside: Beside;
beforeAll(async () => {
  beside = await stage().startBeside();
});

/** What a screen hears, as one text. */
async function hearing(screen: TestScreen) {
  const frames: object[] = [];
  const stop = await screen.follow((frame) => frames.push(frame));
  return { said: () => JSON.stringify(frames), stop };
}

describe('two server processes on one database', () => {
  it('know a sign-in of the other, and its end', async () => {
    const here = await signedIn(stage().url, 'odren', 'needle-odren');
    const there = here.at(beside.url);
    const stream = await hearing(there);
    const locked = await there.post(ADDRESSES.lockScreen.path, {});
    expect((locked.body as Session).person.name).toBe('Odren Vask');
    expect((await here.post(ADDRESSES.lookAt.path, { ticket: null, check: null })).status).toBe(
      423,
    );
    stream.stop();
  });

  it('tell their screens what the other took in, and who looks at what', async () => {
    const here = await signedIn(stage().url, 'halle', 'needle-halle');
    const there = await signedIn(beside.url, 'tavi', 'needle-tavi');
    const ticket = await takeIn(here, 7_001);
    const [hears, alsoHears] = [await hearing(here), await hearing(there)];
    await here.record(ticket, noteCommand('taken in at one'));
    await expect.poll(alsoHears.said).toContain('taken in at one');
    await there.record(ticket, noteCommand('taken in at the other'));
    await expect.poll(hears.said).toContain('taken in at the other');
    await there.post(ADDRESSES.lookAt.path, { ticket, check: 'winder' });
    await expect.poll(hears.said).toMatch(/"presence".*"check":"winder"/);
    for (const { stop } of [hears, alsoHears]) stop();
  });

  it('number the entries of one ticket without a gap, and keep a resent one once', async () => {
    const here = await signedIn(stage().url, 'halle', 'needle-halle');
    const there = here.at(beside.url);
    const ticket = await takeIn(here, 7_002);
    const drafts = Array.from({ length: 40 }, (_, index) => noteCommand(`note ${index}`));
    // Each goes to both at once: what a screen does whose answer was lost.
    const answers = await Promise.all(
      drafts.map((draft) =>
        Promise.all([here, there].map((screen) => screen.record(ticket, draft))),
      ),
    );
    const seqs = answers.map((pair) => {
      expect(pair.map(({ status }) => status)).toEqual([200, 200]);
      const [one, other] = pair.map(({ body }) => (body as TicketEvent).seq);
      expect(one).toBe(other);
      return one ?? 0;
    });
    expect(seqs.sort((a, b) => a - b)).toEqual(drafts.map((_, index) => index + 2));
    expect((await notesOf(ticket)).length).toBe(drafts.length);
  });

  it('count failed sign-ins together', async () => {
    const login = `nobody-${randomUUID().slice(0, 8)}`;
    const attempt = (url: string) =>
      signedIn(url, login, 'wrong').then(
        () => 'signed in',
        (fault: unknown) => String(fault),
      );
    for (const url of [stage().url, beside.url, stage().url]) {
      expect(await attempt(url)).toContain('401');
    }
    // The wait that these three earned must not be over before the next attempt comes.
    await stage().cluster.sql(
      stage().database,
      "update sign_in_delay set until = until + interval '1 hour' where until > last_at + interval '1 second'",
    );
    expect(await attempt(beside.url)).toContain('429');
  });
});

describe('behind one address', () => {
  let address: Address;
  beforeAll(async () => {
    address = await addressFor([Number(new URL(beside.url).port), stage().settings.port]);
  });
  afterAll(() => address.close());

  it('screens go over to the other when one process is killed, and nothing is lost', async () => {
    const ticket = demoTicketId(3);
    const [odren, tavi] = await Promise.all([
      screenAt(address.url, 'odren'),
      screenAt(address.url, 'tavi'),
    ]);
    for (const one of [odren, tavi]) {
      await one.go(`/bench/${ticket}`);
      await one.stepAfter('');
    }
    await odren.note('before');
    await tavi.sees('“before”');
    await beside.kill();
    await odren.note('one is gone');
    await tavi.sees('“one is gone”');
    await tavi.note('and still here');
    await odren.sees('“and still here”');
    await beside.start();
    await stage().killServer();
    await odren.note('now the other');
    await tavi.sees('“now the other”');
    await odren.seesNot('waiting to be sent');
    expect(await notesOf(ticket)).toEqual([
      'before',
      'one is gone',
      'and still here',
      'now the other',
    ]);
    await stage().startServer();
  });
});
