import { demoTicketId } from '@nodo/demo';
import { describe, expect, it } from 'vitest';
import { Screen } from './screen.ts';
import { useStage } from './stage.ts';

const { screen, stage } = useStage();

const stored = async (ticket: string): Promise<readonly string[]> => {
  const { cluster, database } = stage();
  const rows = await cluster.sql(
    database,
    `select body->>'words' from ticket_event where ticket_id = '${ticket}' and type = 'observation-noted' order by seq`,
  );
  return rows.trim().split('\n').filter(Boolean);
};
async function note(on: Screen, words: string): Promise<void> {
  await on.press('s');
  await on.page.waitForSelector('[role="dialog"] input');
  await on.page.keyboard.type(words);
  await on.clickWithin('[role="dialog"]', 'Write it down');
  await on.page.waitForSelector('[role="dialog"]', { hidden: true });
  await on.sees(`“${words}”`);
}
/** The application's files and the open tickets are on this device. */
async function isKept(on: Screen): Promise<void> {
  await on.page.waitForFunction(
    async () => {
      if (!navigator.serviceWorker.controller) return false;
      const request = indexedDB.open('nodo');
      const count = await new Promise<number>((resolve) => {
        request.onsuccess = () => {
          const { result } = request;
          if (!result.objectStoreNames.contains('copies')) resolve(0);
          else {
            const counted = result.transaction('copies').objectStore('copies').count();
            counted.onsuccess = () => resolve(counted.result);
          }
        };
        request.onerror = () => resolve(0);
      });
      return count > 10;
    },
    { timeout: 20_000, polling: 200 },
  );
}

describe('without the server', () => {
  it('opens, shows the Rack and a ticket never opened before, takes entries, and sends them later', async () => {
    const ticket = demoTicketId(3);
    const odren = await screen('odren');
    await isKept(odren);
    await stage().killServer('SIGKILL');
    await odren.page.reload({ waitUntil: 'domcontentloaded' });
    await odren.sees('in the shop');
    await odren.sees('No connection.');
    await odren.go(`/bench/${ticket}`);
    const first = await odren.stepAfter('');
    await odren.press('1');
    await odren.stepAfter(first);
    await note(odren, 'seen without a line');
    // The tab is closed and opened again: what waits and what is known is still there.
    await odren.page.reload({ waitUntil: 'domcontentloaded' });
    await odren.sees('“seen without a line”');
    await odren.sees('2 entries wait to be sent');
    await odren.sees('waiting to be sent');
    await stage().startServer();
    await odren.seesNot('No connection.', 20_000);
    await odren.seesNot('waiting to be sent', 20_000);
    expect(await stored(ticket)).toEqual(['seen without a line']);
  });
});

describe('two tabs of one browser', () => {
  it('share one outbox and one stream, and the second goes on when the first is closed', async () => {
    const ticket = demoTicketId(6);
    const first = await screen('odren');
    await first.go(`/bench/${ticket}`);
    await first.stepAfter('');
    const page = await first.page.browserContext().newPage();
    const second = await Screen.onPage(page, stage().url);
    await second.go(`/bench/${ticket}`);
    await second.stepAfter('');
    const streams = () =>
      second.page.evaluate(
        () =>
          performance.getEntriesByType('resource').filter(({ name }) => name.endsWith('/api/live'))
            .length,
      );
    await note(first, 'from the first');
    await second.sees('“from the first”');
    await first.seesNot('waiting to be sent');
    expect(await streams()).toBe(0);
    await stage().killServer('SIGKILL');
    await note(second, 'from the second, no line');
    await first.sees('“from the second, no line”');
    await first.sees('1 entry waits to be sent', 20_000);
    await first.page.close();
    await stage().startServer();
    await second.seesNot('waiting to be sent', 30_000);
    expect(await stored(ticket)).toEqual(['from the first', 'from the second, no line']);
    const tavi = await screen('tavi');
    await tavi.go(`/bench/${ticket}`);
    await tavi.stepAfter('');
    await note(tavi, 'from another screen');
    await second.sees('“from another screen”', 15_000);
  });
});
