import { demoTicketId } from '@nodo/demo';
import { describe, expect, it } from 'vitest';
import { openBrowser } from '../../scripts/lib/browser.mjs';
import { signedIn, takeIn } from '../../scripts/lib/testClient.mjs';
import { addressFor } from './address.ts';
import { Screen } from './screen.ts';
import { useStage } from './stage.ts';

const { screen, screenAt, stage, notesOf } = useStage();

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
    { polling: 200 },
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
    await odren.note('seen without a line');
    // The tab is closed and opened again: what waits and what is known is still there.
    await odren.page.reload({ waitUntil: 'domcontentloaded' });
    await odren.sees('“seen without a line”');
    await odren.sees('2 entries wait to be sent');
    await odren.sees('waiting to be sent');
    await stage().startServer();
    await odren.seesNot('No connection.');
    await odren.seesNot('waiting to be sent');
    expect(await notesOf(ticket)).toEqual(['seen without a line']);
  });
});

describe('a browser that is closed and opened again without the server', () => {
  it('has the application, the tickets and what waits; and who was signed in', async () => {
    const ticket = demoTicketId(30);
    const before = await openBrowser();
    const morning = await Screen.onPage(await before.browser.newPage(), stage().url);
    await morning.signIn('odren');
    await isKept(morning);
    await stage().killServer('SIGKILL');
    await morning.go(`/bench/${ticket}`);
    await morning.stepAfter('');
    await morning.note('before the battery ran out');
    await before.quit();
    const after = await openBrowser(before.profile);
    try {
      const evening = await Screen.onPage(await after.browser.newPage(), stage().url);
      await evening.sees('in the shop');
      await evening.sees('1 entry waits to be sent');
      await evening.go(`/bench/${ticket}`);
      await evening.stepAfter('');
      await evening.sees('“before the battery ran out”');
      await evening.note('and after');
      await stage().startServer();
      await evening.seesNot('waiting to be sent');
      expect(await notesOf(ticket)).toEqual(['before the battery ran out', 'and after']);
    } finally {
      await after.close();
    }
  });
});

describe('what comes back after somebody else tied the knot', () => {
  it('is taken as late where it was seen before, and goes to the tray where it is work', async () => {
    const halle = await screen('halle');
    const counter = await signedIn(stage().url, 'mirra', 'needle-mirra');
    const ticket = await takeIn(counter, 8_001);
    const line = await addressFor([stage().settings.port]);
    const odren = await screenAt(line.url, 'odren');
    for (const one of [odren, halle]) {
      await one.go(`/bench/${ticket}`);
      await one.stepAfter('');
    }
    line.cut();
    await odren.note('seen in the cellar');
    await odren.press('s');
    await odren.page.waitForSelector('[role="dialog"] input');
    await odren.page.keyboard.type('rethreaded');
    await odren.clickWithin('[role="dialog"] section', 'Rethreaded, presser up');
    await odren.page.waitForSelector('[role="dialog"]', { hidden: true });
    await odren.sees('2 entries wait to be sent');
    // Taken in with words alone: what it does is asked before it can be closed.
    await halle.click('Stitches are skipped');
    await halle.click('Log what was ticked');
    await halle.workToTheKnot();
    await halle.seesNot('waiting to be sent');
    line.mend();
    await halle.sees('“seen in the cellar”');
    await halle.readHistory();
    await halle.sees('arrived after closing');
    // The work is not lost either: it waits with the reason, to be put away by hand.
    await odren.sees('Not accepted');
    const tray = await odren.read('section[aria-label="Not accepted"]', (box) => box.innerText);
    expect(tray).toContain('Rethreaded, presser up');
    // The refusal can be here before the stream tells of the knot.
    await odren.sees('Ticket closed');
    await odren.page.reload();
    await odren.sees('Not accepted');
    // Sent again by hand; it is as closed as before.
    await odren.clickWithin('section[aria-label="Not accepted"]', 'Send again');
    await odren.sees('Not accepted');
    await odren.clickWithin('section[aria-label="Not accepted"]', 'Dismiss');
    await odren.seesNot('Not accepted');
    await halle.press('Escape');
    await halle.click('Rack');
    await halle.sees('Arrived after closing');
    expect(await notesOf(ticket)).toEqual(['seen in the cellar']);
    line.close();
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
    await first.note('from the first');
    await second.sees('“from the first”');
    await first.seesNot('waiting to be sent');
    expect(await streams()).toBe(0);
    await stage().killServer('SIGKILL');
    await second.note('from the second, no line');
    await first.sees('“from the second, no line”');
    await first.sees('1 entry waits to be sent');
    await first.page.close();
    await stage().startServer();
    await second.seesNot('waiting to be sent');
    expect(await notesOf(ticket)).toEqual(['from the first', 'from the second, no line']);
    const tavi = await screen('tavi');
    await tavi.go(`/bench/${ticket}`);
    await tavi.stepAfter('');
    await tavi.note('from another screen');
    await second.sees('“from another screen”');
  });
});
