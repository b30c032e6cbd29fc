import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoTicketId } from '@nodo/demo';
import { describe, expect, it } from 'vitest';
import { openBrowser } from '../../scripts/lib/browser.mjs';
import { filmOfCode } from './camera.ts';
import { choose } from './choose.ts';
import { field, Screen } from './screen.ts';
import { useStage } from './stage.ts';

const { screen, sharedScreen, stage } = useStage();

/** A photo as a telephone would take it. */
const PICTURE = new URL('../../docs/screenshots/rack.png', import.meta.url).pathname;

/** Chooses a day in a date field, however this browser writes dates. */
async function chooseDay(at: Screen, name: string, day: string): Promise<void> {
  await at.page.locator(`button[aria-label^="${name}"]`).click();
  await at.page.waitForSelector('.rdp-root, [data-day]');
  const wanted = `td[data-day="${day}"]:not([data-outside]) button`;
  for (let months = 0; months < 3; months += 1) {
    if (await at.page.$(wanted)) break;
    await at.click('Go to the Next Month');
  }
  await at.page.locator(wanted).click();
  await at.page.waitForSelector('[data-day]', { hidden: true });
}

function dayAhead(days: number): string {
  return new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
}

async function jobSheet(at: Screen, ticket: string): Promise<void> {
  await at.go(`/bench/${ticket}`);
  await at.stepAfter('');
  await at.click('Job sheet');
  await at.sees('Job sheet: price, parts, promise, papers');
}

/** Whether this browser keeps a signature with its sheet: only what is kept outlives the page. */
function signatureIsKept(): Promise<boolean> {
  return new Promise((resolve) => {
    const opening = indexedDB.open('nodo-sheet');
    opening.onerror = () => resolve(false);
    opening.onsuccess = () => {
      const asking = opening.result.transaction('pictures').objectStore('pictures').get('counter');
      asking.onerror = () => resolve(false);
      asking.onsuccess = () => {
        const kept = asking.result as { pictures: { place: unknown }[] } | undefined;
        opening.result.close();
        resolve(kept?.pictures.some(({ place }) => place === 'signature') === true);
      };
    };
  });
}

describe('a walk-in', () => {
  it('is taken in with photo, signature, limit and promise; its tag and receipt can be printed', async () => {
    const mirra = await screen('mirra');
    await mirra.go('/counter');
    await mirra.sees('Has it been here?');
    // The hand is where the first question goes; who is not found is new, and goes on with the number.
    await mirra.page.keyboard.type('Aurelia Funk');
    await mirra.sees('New customer: Aurelia Funk');
    await mirra.press('Enter');
    await mirra.page.keyboard.type('000 0771');
    const inField = (name: string) =>
      mirra.read(field(name), (box) => (box as HTMLInputElement).value);
    expect([await inField('Name'), await inField('Phone')]).toEqual(['Aurelia Funk', '000 0771']);
    await mirra.page.type(field('Short description'), 'Scarlet zigzag');
    await mirra.page.type(field('Serial'), 'TR-99 120');
    await mirra.click('Stitches are skipped');
    await mirra.click('Foot control');
    await mirra.page.type(field('How it looks from outside'), 'Lid cracked at the hinge');
    await mirra.click('Up to an amount');
    await mirra.page.type(field('Amount, tax included'), '45,50');
    await mirra.page.waitForSelector('section[aria-label="Promise a day"] li button');
    await mirra.clickWithin('section[aria-label="Promise a day"]', 'Promise');
    const upload = await mirra.page.$('input[type=file]');
    await upload?.uploadFile(PICTURE);
    await mirra.page.waitForSelector('img[alt="Photo 1"]');
    const pad = await mirra.page.waitForSelector('canvas[data-signature]');
    await pad?.scrollIntoView();
    const box = await pad?.boundingBox();
    if (!box) throw new Error('nothing to sign on');
    await mirra.page.mouse.move(box.x + 40, box.y + 60);
    await mirra.page.mouse.down();
    for (let step = 1; step <= 8; step += 1) {
      await mirra.page.mouse.move(box.x + 40 + step * 25, box.y + 60 + (step % 2) * 30);
    }
    await mirra.page.mouse.up();
    await mirra.sees('Sign again');
    await mirra.page.waitForFunction(signatureIsKept, { polling: 50 });

    // The sheet outlives the page, pictures and all.
    await mirra.go('/counter');
    await mirra.page.waitForSelector('img[alt="Photo 1"]');
    await mirra.page.waitForSelector('img[alt="The signature"]');
    await mirra.click('Save ticket');
    await mirra.click('Open this ticket');
    await mirra.sees('It waits its turn.');
    const ticket = new URL(mirra.page.url()).pathname.split('/').at(-1) ?? '';

    await jobSheet(mirra, ticket);
    await mirra.sees('Agreed: up to €45.50');
    await mirra.sees('Lid cracked at the hinge');
    const papers = await mirra.page.evaluate(async () => {
      const links = [...document.querySelectorAll<HTMLAnchorElement>('a[href*="/papers/"]')];
      const answers = await Promise.all(links.map((link) => fetch(link.href)));
      return answers.map(({ headers }) => headers.get('content-type'));
    });
    // Of the tags the one that the shop prints.
    expect(papers).toEqual(Array.from({ length: 4 }, () => 'application/pdf'));
    const kinds = await stage().cluster.sql(
      stage().database,
      `select type from ticket_event where ticket_id = '${ticket}' order by seq`,
    );
    expect(kinds.trim().split('\n')).toEqual([
      'intake-taken',
      'findings-recorded',
      'limit-agreed',
      'day-promised',
      'photo-kept',
      'signed',
    ]);
    expect(mirra.complaints).toEqual([]);
  });

  it('whom the telephone announced comes with all that was said', async () => {
    const mirra = await sharedScreen('mirra');
    await mirra.go('/counter');
    await mirra.sees('Has it been here?');
    await mirra.page.type(field('Has it been here?'), 'corvin');
    // One row for the machine, with the call it was announced by.
    await mirra.clickWithin('section[aria-label="Is it known?"]', 'Tangerine zigzag');
    await mirra.sees('They called about it.');
    await mirra.click('Power lead');
    await mirra.click('Save ticket');
    await mirra.click('Open this ticket');
    await mirra.sees('It waits its turn.');
    await mirra.clickWithin('header', 'Bench');
    await mirra.stepAfter('');
    await mirra.sees('Came into the shop');
    await mirra.sees('A needle broke and now it knocks at every turn.');
    await mirra.sees('Needles break');
    expect(mirra.complaints).toEqual([]);
  });

  it('of a machine that comes back shows what was not looked at, and is counted there', async () => {
    const mirra = await sharedScreen('mirra');
    // Which tags are free is known from the Rack; here it comes after the sheet is filled in.
    const letCome = await mirra.holdBack(/^\/api\/tickets$/);
    await mirra.go('/counter');
    await mirra.sees('Has it been here?');
    await mirra.page.type(field('Has it been here?'), 'olive zig');
    await mirra.clickWithin('section[aria-label="Is it known?"]', 'Olive zigzag');
    await mirra.sees('Same trouble as last time (collected');
    await choose(mirra, 'Same trouble as last time', 'Yes, it comes back');
    await mirra.sees('Not looked at then');
    await mirra.sees('It is Jasper Holtquist.');
    await mirra.click('Thread bunches up under the fabric');
    await mirra.click('Save ticket');
    await letCome();
    await mirra.click('Open this ticket');
    await mirra.page.waitForFunction(() => location.pathname.startsWith('/ticket/'));
    await mirra.sees('Olive zigzag');
    await mirra.go('/?stands=comeback');
    await mirra.sees('Olive zigzag');
    const shelves = await mirra.read(
      'section[aria-labelledby="rack-title"]',
      (box) => box.innerText,
    );
    expect(shelves).toContain('Olive zigzag');
    expect(shelves).not.toContain('Teal zigzag');
    const counted = await stage().cluster.sql(
      stage().database,
      `select count(*) from ticket_summary where line ->> 'label' = 'Olive zigzag' and (line ->> 'comebacks')::int = 1`,
    );
    expect(counted.trim()).toBe('1');
    expect(mirra.complaints).toEqual([]);
  });
});

describe('a promise', () => {
  it('is refused for a day on which nobody works, and says why', async () => {
    const mirra = await sharedScreen('mirra');
    await jobSheet(mirra, demoTicketId(27));
    await mirra.sees('Another day');
    await chooseDay(mirra, 'Another day', dayAhead(5));
    await mirra.sees('cannot be promised');
    const text = await mirra.text();
    expect(text).toMatch(/Odren Vask is off \(Moving house\)|Odren Vask does not work that day/);
    expect(text).toMatch(/Tavi Brennick (is off|does not work)/);
    // The button stays out of reach until somebody says why all the same.
    const isShut = await mirra.page.$$eval('[role="dialog"] button', (all) =>
      all.some((one) => one.innerText === 'Promise it all the same' && one.disabled),
    );
    expect(isShut).toBe(true);
    await mirra.page.waitForSelector('section[aria-label="Promise a day"] li button');
    await mirra.clickWithin('section[aria-label="Promise a day"]', 'Promise');
    await mirra.page.waitForFunction(() =>
      document.querySelector('[data-promised]')?.textContent.startsWith('Promised: '),
    );
    expect(mirra.complaints).toEqual([]);
  });
});

describe('the clock', () => {
  it('of one person runs on one machine: interrupted there, resumed here', async () => {
    const odren = await screen('odren');
    // Where it ran the shop's Rack says, and that can come late.
    const letCome = await odren.holdBack(/^\/api\/tickets$/);
    await odren.go(`/bench/${demoTicketId(25)}`);
    await odren.stepAfter('');
    await odren.click('Start the clock');
    await odren.sees('running');
    await letCome();
    // The demo had it running on the overlocker.
    await odren.sees('Your clock ran on Blue overlocker.');
    await odren.go(`/bench/${demoTicketId(20)}`);
    await odren.stepAfter('');
    await odren.click('Start the clock');
    await odren.sees('Your clock ran on Sage quilter.');
    await odren.click('Pause · 0 min, running');
    await odren.sees('Start the clock');
    await odren.go(`/bench/${demoTicketId(25)}`);
    await odren.stepAfter('');
    await odren.sees('Clock paused');
    // What the screen shows already may still be on its way to the shop.
    const running = () =>
      stage().cluster.sql(
        stage().database,
        `select count(*) from ticket_summary where line -> 'atTheClock' <> '[]'::jsonb`,
      );
    await expect.poll(running).toMatch(/^\s*0\s*$/);
    expect(odren.complaints).toEqual([]);
  });
});

describe('a number that the shop knows', () => {
  it('asks whether it is the same person, and says what else of theirs is here', async () => {
    const mirra = await sharedScreen('mirra');
    await mirra.go('/counter');
    await (await mirra.page.waitForSelector(field('Phone')))?.type('000 0133');
    await mirra.sees('Is it Old Mr Fennimar, 000 0133?');
    await mirra.sees('Here now: tag 33, Walnut straight stitch');
    await mirra.click('Yes, the same');
    await mirra.sees('It is Old Mr Fennimar.');
    await mirra.click('Clear form');
    expect(mirra.complaints).toEqual([]);
  });
});

describe('the price', () => {
  it('refused by the customer: the machine goes back as it is, and the bill says so', async () => {
    const odren = await sharedScreen('odren');
    await jobSheet(odren, demoTicketId(33));
    await odren.sees('Ask customer: €118.00');
    await odren.clickWithin('[role="dialog"]', 'They said no');
    await odren.sees('They said no to the price.');
    const minutes = await odren.page.waitForSelector(field('Minutes to charge'));
    await minutes?.click({ count: 3 });
    await minutes?.type('15');
    await odren.clickWithin('[role="dialog"]', 'Work out the price');
    // Nothing was agreed to: nothing can be charged.
    await odren.sees('That is more than the customer agreed to.');
    await odren.clickWithin('[role="dialog"]', 'Give it back unrepaired');
    await odren.clickWithin('[role="dialog"]', 'Close the ticket unrepaired');
    await odren.press('Escape');
    await odren.sees('Ticket closed');
    await odren.click('Customer informed');
    await odren.handsOut();
    await odren.go('/collected');
    await odren.sees('given back unrepaired');
    expect(odren.complaints).toEqual([]);
  });
});

describe('the closing sheet', () => {
  it('asks the price of the part that went in, and takes it off again', async () => {
    const odren = await sharedScreen('odren');
    await odren.go('/');
    await odren.clickWithin('section[aria-labelledby="rack-title"]', 'Fern zigzag');
    await (await odren.page.waitForSelector(field('Needle, price')))?.type('1,50');
    await odren.press('Enter');
    await odren.sees('Needle €1.50');
    await odren.click('Take off the bill: Needle');
    await odren.page.waitForSelector(field('Needle, price'));
    expect(odren.complaints).toEqual([]);
  });

  it('is filled in, corrected, priced, handed over as a numbered bill, and corrected by a credit', async () => {
    const odren = await sharedScreen('odren');
    // The demo has it closed, without a bill.
    await odren.go(`/bench/${demoTicketId(22)}`);
    await odren.sees('Ticket closed');
    const found = await odren.read(field('Found'), (box) => (box as HTMLTextAreaElement).value);
    expect(found).not.toBe('');
    const minutes = await odren.read(field('Minutes to charge'), (box) =>
      Number((box as HTMLInputElement).value),
    );
    expect(minutes).toBeGreaterThan(0);
    await odren.page.type(field('What helps next time'), ' Bring it in once a year.');
    // Nothing is handed over, nor lost, as long as a field is not as it must be.
    const minutesField = await odren.page.waitForSelector(field('Minutes to charge'));
    await minutesField?.click({ count: 3 });
    await minutesField?.type('12,5');
    await odren.click('Hand over the bill');
    await odren.sees('Whole minutes, at most 10000.');
    await minutesField?.click({ count: 3 });
    await minutesField?.type(String(minutes));
    await odren.seesNot('Whole minutes');
    await odren.click('Hand over the bill');
    await odren.sees('Bill 1 handed over');
    await odren.click('Correct it by a credit');
    await odren.page.type(field('Why is it corrected?'), 'The wrong needle was on it');
    await odren.page.keyboard.press('Enter');
    await odren.sees('Credit 2 took bill 1 back.');
    await odren.click('Hand over the bill');
    await odren.sees('Bill 3 handed over');
    await odren.handsOut('card');
    await odren.sees('Bring it in once a year.');
    expect(odren.complaints).toEqual([]);
  });
});

describe('a printed tag', () => {
  it('typed by a scanner opens its ticket', async () => {
    const tavi = await sharedScreen('tavi');
    await tavi.go('/');
    await tavi.sees('in the shop');
    await tavi.searches(`http://elsewhere.example:4680/t/${demoTicketId(8)}`);
    await tavi.press('Enter');
    await tavi.sees('Needle seven breaks its thread');
    expect(tavi.complaints).toEqual([]);
  });

  it('held in front of the camera opens its ticket', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'nodo-camera-'));
    const film = join(folder, 'tag.y4m');
    filmOfCode(`${stage().url}/t/${demoTicketId(8)}`, film);
    const camera = await openBrowser(undefined, [
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ]);
    try {
      const tavi = await (await Screen.open(camera.browser, stage().url)).signIn('tavi');
      await tavi.click('Scan a tag');
      await tavi.sees('Needle seven breaks its thread');
      expect(tavi.complaints).toEqual([]);
    } finally {
      await camera.close();
      rmSync(folder, { recursive: true });
    }
  });
});
