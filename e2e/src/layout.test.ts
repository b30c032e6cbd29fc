import { DEMO_CUSTOMER, demoTicketId } from '@nodo/demo';
import { describe, expect, it } from 'vitest';
import { badlyDrawnTexts } from './drawnTexts.ts';
import { useStage } from './stage.ts';

const { sharedScreen: screen } = useStage();

/** Views with a text that stands there when all of it is there. */
const VIEWS = [
  ['Rack', '/', 'Teal zigzag'],
  ['Counter', '/counter', 'What kind is it?'],
  ['Bench', `/bench/${demoTicketId(14)}`, 'Measure the pieces'],
  ['Ticket page', `/ticket/${demoTicketId(29)}`, 'Customer says'],
  ['Phone call', '/phone', 'What kind is it?'],
  ['Knowledge', '/knowledge/check/needle-facing', 'What it can find'],
] as const;

/** Views that the lead has besides. */
const LEADS_VIEWS = [
  ['Customer', `/customers/${DEMO_CUSTOMER.customer}`, 'The same person as'],
  ['Machine', `/machines/${DEMO_CUSTOMER.machine}`, 'Change the record'],
  ['Shop', '/shop', 'Odren Vask'],
  ['The shop’s data', '/data', 'Backups begin with a passphrase'],
  ['Access for programs', '/programs', 'Two examples'],
  ['Collected machines', '/collected', 'Dove zigzag'],
  ['Day sheet', '/day', 'Takings'],
] as const;

/** Every part of the instruments, beside a ticket. */
const INSTRUMENTS = [
  'needle/seat',
  'needle/condition',
  'needle/fit',
  'needle/wear',
  'needle/broken',
  'needle/register',
  'bobbin/which',
  'bobbin/condition',
  'bobbin/case',
  'bobbin/marks?on=plate-top',
  'bobbin/tension',
  'bobbin/left',
  'stitch/why',
  'stitch/turn',
  'stitch/timing',
  'tension/balance',
  'tension/pull',
  'tension/path',
  'tension/alike',
  'sample/read',
].map(beside);
/** Those in which nothing is drawn before something was measured. */
const UNDRAWN = ['sample/compare'].map(beside);

function beside(part: string) {
  return [part, `/bench/${demoTicketId(14)}/${part}`, 'Back to the bench'] as const;
}

const EVERY_VIEW = [...VIEWS, ...LEADS_VIEWS, ...INSTRUMENTS, ...UNDRAWN];

describe('at 200 % zoom', () => {
  it.each(EVERY_VIEW)('%s needs no sideways scrolling of the page', async (_, path, shown) => {
    const odren = await screen('halle');
    await odren.page.setViewport({ width: 640, height: 400 });
    await odren.go(path);
    await odren.sees(shown);
    const overflow = await odren.page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    await odren.page.setViewport({ width: 1280, height: 800 });
    expect(overflow).toBeLessThanOrEqual(0);
  });
});

describe('type', () => {
  it.each(EVERY_VIEW)(
    'has at most nine pairs of size and weight on the %s, and no size but those of its roles',
    async (_, path, shown) => {
      const halle = await screen('halle');
      await halle.go(path);
      await halle.sees(shown);
      const pairs = await halle.page.evaluate(() => {
        const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        const found = new Set<string>();
        while (texts.nextNode()) {
          const holder = texts.currentNode.parentElement;
          const box = holder?.getBoundingClientRect();
          const isShown = box !== undefined && box.width > 1 && box.height > 1;
          // What is drawn has its own test; what only a screen reader reads has no size.
          if (!holder || !isShown || holder.closest('svg, script, style')) continue;
          if (texts.currentNode.textContent?.trim() === '') continue;
          const { fontSize, fontWeight } = getComputedStyle(holder);
          found.add(`${Number.parseFloat(fontSize)} ${fontWeight}`);
        }
        return [...found].toSorted();
      });
      expect(pairs.length, pairs.join(', ')).toBeLessThanOrEqual(9);
      const sizes = new Set(pairs.map((pair) => Number(pair.split(' ')[0])));
      expect([...sizes].filter((size) => ![14, 16, 18, 22, 30].includes(size))).toEqual([]);
    },
  );
});

describe('what is written in drawings', () => {
  it.each([
    ['Bench, presser', `/bench/${demoTicketId(27)}`, ''],
    ['Bench, thread path', `/bench/${demoTicketId(11)}`, ''],
    ...INSTRUMENTS,
  ] as const)(
    'on %s is at least 14 px on the screen, whole, and one beside the other',
    async (_, path) => {
      const odren = await screen('odren');
      for (const width of [1280, 390]) {
        await odren.page.setViewport({ width, height: 844 });
        await odren.go(path);
        await odren.page.waitForSelector('svg text');
        const wrong = () => badlyDrawnTexts(odren.page);
        await expect.poll(wrong, { message: `${path} at ${width}` }).toEqual([]);
      }
      await odren.page.setViewport({ width: 1280, height: 800 });
    },
  );
});

describe('long words', () => {
  const LONG = 'Riemenspannvorrichtungsbefestigungsschraubenschlüsselhalter';

  it('break where they must: no view scrolls sideways or hides them', async () => {
    const mirra = await screen('mirra');
    await mirra.go('/counter');
    await mirra.sees('What kind is it?');
    await mirra.paste('::-p-aria([name="Name"])', `Mrs ${LONG}`);
    await mirra.paste('::-p-aria([name="Short description"])', LONG);
    await mirra.paste('::-p-aria([name="In the customer’s own words"])', LONG.repeat(3));
    await mirra.click('Stitches are skipped');
    await mirra.click('Save ticket');
    await mirra.click('Open this ticket');
    await mirra.sees(`“${LONG.repeat(3)}”`);
    const bench = new URL(mirra.page.url()).pathname.replace('/ticket/', '/bench/');
    const odren = await screen('odren');
    await odren.go(bench);
    await odren.stepAfter('');
    await odren.press('s');
    await odren.page.waitForSelector('[role="dialog"] input');
    await odren.page.keyboard.sendCharacter(LONG.repeat(2));
    await odren.clickWithin('[role="dialog"]', 'Save');
    await odren.sees(`“${LONG.repeat(2)}”`);
    for (const width of [1280, 640, 390]) {
      await odren.page.setViewport({ width, height: 800 });
      for (const path of ['/', bench]) {
        await odren.go(path);
        await odren.page.waitForSelector('h1');
        // Shelves below the window are not drawn before somebody comes to them.
        await odren.page.waitForFunction(
          (name) => {
            const all = [...document.querySelectorAll<HTMLElement>('main bdi')];
            const found = all.find(({ textContent }) => textContent.includes(name));
            found?.scrollIntoView();
            return found !== undefined;
          },
          { polling: 50 },
          LONG,
        );
        await odren.sees(LONG);
        const overflow = await odren.page.evaluate(
          () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
        );
        expect(overflow, `${path} at ${width}`).toBeLessThanOrEqual(0);
      }
    }
    await odren.page.setViewport({ width: 1280, height: 800 });
    expect(odren.complaints).toEqual([]);
  });
});

describe('targets', () => {
  it.each(EVERY_VIEW)('on the %s are at least 44 px high', async (_, path, shown) => {
    const odren = await screen('halle');
    await odren.go(path);
    await odren.sees(shown);
    const small = await odren.page.evaluate(() =>
      [
        ...document.querySelectorAll<HTMLElement>(
          'button, a, label, input:not([type=checkbox]):not([type=radio]), textarea',
        ),
      ]
        .filter((element) => {
          const { width, height } = element.getBoundingClientRect();
          // A field's own label is not its target; what is only for screen readers has no size.
          const isFieldLabel = element instanceof HTMLLabelElement && element.htmlFor !== '';
          return width > 1 && height > 1 && height < 43.5 && !isFieldLabel;
        })
        .map(({ tagName, textContent, offsetHeight }) =>
          [tagName, textContent.trim().slice(0, 40), offsetHeight].join(' '),
        ),
    );
    expect(small).toEqual([]);
  });
});

describe('what is touched', () => {
  it('shows it with the next frames, before anything is done', async () => {
    const odren = await screen('odren');
    await odren.go(`/bench/${demoTicketId(27)}`);
    await odren.stepAfter('');
    for (const selector of ['[data-answer]', 'header a', 'main button']) {
      const target = await odren.page.waitForSelector(selector);
      const box = await target?.boundingBox();
      if (!target || !box) throw new Error(`no ${selector}`);
      const look = () =>
        target.evaluate(
          (one) =>
            new Promise<number>((resolve) => {
              requestAnimationFrame(() =>
                requestAnimationFrame(() => resolve(Number(getComputedStyle(one).opacity))),
              );
            }),
        );
      await odren.page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
      expect(await look()).toBe(1);
      await odren.page.mouse.down();
      expect(await look(), selector).toBeLessThan(1);
      // Let go beside it: nothing is answered.
      await odren.page.mouse.move(2, 2);
      await odren.page.mouse.up();
    }
  });
});
