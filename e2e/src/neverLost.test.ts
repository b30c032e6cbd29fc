import { demoTicketId } from '@nodo/demo';
import { describe, expect, it } from 'vitest';
import type { Screen } from './screen.ts';
import { useStage } from './stage.ts';

// The real cluster's own settings: what is acknowledged must be on the disk.
const { screen, stage, notesOf } = useStage({ durable: true });

const atBench = async (login: string, ticket: string): Promise<Screen> => {
  const one = await screen(login);
  await one.go(`/bench/${ticket}`);
  await one.stepAfter('');
  return one;
};

describe('kill -9 while entries are made', () => {
  it('of the server: entries wait visibly, go out by themselves, none lost, none doubled', async () => {
    const ticket = demoTicketId(3);
    const odren = await atBench('odren', ticket);
    const tavi = await atBench('tavi', ticket);
    await odren.note('before');
    await tavi.sees('“before”');

    await stage().killServer('SIGKILL');
    await odren.note('meanwhile one');
    await odren.note('meanwhile two');
    await odren.sees('No connection.');
    await odren.sees('entries wait to be sent');

    await stage().startServer();
    await odren.seesNot('No connection.');
    await tavi.sees('“meanwhile two”');
    await odren.note('after');
    await tavi.sees('“after”');
    expect(await notesOf(ticket)).toEqual(['before', 'meanwhile one', 'meanwhile two', 'after']);
  });

  it('of the database: the same, and the server lives on', async () => {
    const ticket = demoTicketId(6);
    const odren = await atBench('odren', ticket);
    const tavi = await atBench('tavi', ticket);
    await odren.note('before');
    await stage().killDatabase();
    await odren.note('meanwhile');
    await odren.sees('No connection.');
    await stage().startDatabase();
    await odren.seesNot('No connection.');
    await tavi.sees('“meanwhile”');
    await odren.note('after');
    await tavi.sees('“after”');
    expect(await notesOf(ticket)).toEqual(['before', 'meanwhile', 'after']);
  });

  it('of the server, and a reload of the page: what waits is still there', async () => {
    const ticket = demoTicketId(27);
    const odren = await atBench('odren', ticket);
    await stage().killServer('SIGKILL');
    await odren.note('kept through the reload');
    await stage().startServer();
    await odren.go(`/bench/${ticket}`);
    await odren.sees('“kept through the reload”');
    await odren.seesNot('waiting to be sent');
    expect(await notesOf(ticket)).toEqual(['kept through the reload']);
  });
});

describe('a sign-in that ended', () => {
  it('asks who is there, keeps the entry, and sends it when that person is back', async () => {
    const ticket = demoTicketId(30);
    const odren = await atBench('odren', ticket);
    await stage().cluster.sql(stage().database, 'delete from session');
    await odren.press('s');
    await odren.page.waitForSelector('[role="dialog"] input');
    await odren.page.keyboard.type('entered after it ended');
    await odren.clickWithin('[role="dialog"]', 'Save');
    await odren.sees('Who is at the bench?');
    await odren.page.type('input[name=login]', 'odren');
    await odren.page.type('input[name=password]', 'needle-odren');
    await odren.press('Enter');
    await odren.sees('“entered after it ended”');
    await odren.seesNot('waiting to be sent');
    expect(await notesOf(ticket)).toEqual(['entered after it ended']);
  });
});

describe('leaving the page', () => {
  it('keeps the counter’s sheet as it was', async () => {
    const label = '::-p-aria([name="Short description"])';
    const tick = '::-p-aria([name="Top thread breaks"])';
    const mirra = await screen('mirra');
    await mirra.go('/counter');
    await mirra.sees('What kind is it?');
    await mirra.page.type(label, 'Half written');
    await mirra.click('Top thread breaks');
    await mirra.go('/');
    await mirra.go('/counter');
    await mirra.sees('Show likely causes');
    const inputOf = (selector: string, field: 'value' | 'checked') =>
      mirra.page.$eval(selector, (input, name) => (input as HTMLInputElement)[name], field);
    expect(await inputOf(label, 'value')).toBe('Half written');
    expect(await inputOf(tick, 'checked')).toBe(true);

    // Another kind of machine keeps what it knows; a blank sheet can be undone.
    await mirra.page.locator('::-p-text(Household front-loading zigzag)').click();
    expect(await inputOf(tick, 'checked')).toBe(true);
    await mirra.click('Clear form');
    await mirra.sees('The form is empty.');
    expect(await inputOf(label, 'value')).toBe('');
    await mirra.click('Undo');
    await mirra.page.waitForFunction(() =>
      [...document.querySelectorAll('input')].some(({ value }) => value === 'Half written'),
    );
  });
});
