import { demoTicketId } from '@nodo/demo';
import { beforeAll, describe, expect, it } from 'vitest';
import type { Screen } from './screen.ts';
import { useStage } from './stage.ts';

const { screen } = useStage();

/** Where the drawing of a part is tapped, and the answer that its questions show for it. */
const SPOTS = [
  { part: 'needle/condition', tap: '0.2', question: 'Roll it on a flat plate', answer: '0.2' },
  { part: 'needle/condition', tap: 'gum', question: 'Gum on the blade', answer: 'Yes' },
  { part: 'needle/register', tap: 'found', question: 'Comes from', answer: 'Found in it' },
  { part: 'needle/register', tap: 'broken', question: 'The one before', answer: 'Broken' },
  { part: 'bobbin/which', tap: 'sides', question: 'Sides', answer: 'curved' },
  {
    part: 'bobbin/condition',
    tap: 'clockwise',
    question: 'As its thread is drawn off it turns',
    answer: 'clockwise',
  },
  {
    part: 'bobbin/condition',
    tap: 'spring',
    question: 'The thread lies',
    answer: 'not under the spring',
  },
  { part: 'bobbin/condition', tap: 'wound', question: 'Pressed with a nail', answer: 'soft' },
  { part: 'bobbin/condition', tap: 'below', question: 'catches at', answer: 'the lower rim' },
  { part: 'bobbin/case', tap: 'seat', question: 'The case', answer: 'does not' },
  { part: 'bobbin/case', tap: 'spring', question: 'Under the spring is', answer: 'lint' },
] as const;

/** Drawings that take a place: where across and down they are tapped, and the field that hears it. */
const PLACES = [
  { part: 'needle/wear', at: [0.5, 0.6], field: 'How much', least: 5, most: 15 },
  { part: 'needle/broken', at: [0.5, 0.36], field: 'Next piece, mm', least: 18, most: 21 },
  { part: 'bobbin/left', at: [0.4, 0.25], field: 'Winding across now, mm', least: 9, most: 16 },
] as const;

describe('the drawing of an instrument', () => {
  let odren: Screen;
  const open = async (part: string) => {
    await odren.go(`/bench/${demoTicketId(27)}/${part}`);
    await odren.page.waitForSelector('[data-tap]');
  };
  beforeAll(async () => {
    odren = await screen('odren');
  });

  it.each(SPOTS)('of $part takes “$answer” by a tap', async ({ part, tap, question, answer }) => {
    await open(part);
    const chosen = () =>
      odren.page.evaluate((asked) => {
        const group = [...document.querySelectorAll('fieldset')].find((fieldset) =>
          fieldset.querySelector('legend')?.textContent.includes(asked),
        );
        return [...(group?.querySelectorAll('label:has(input:checked)') ?? [])].map(
          ({ textContent }) => textContent.trim(),
        );
      }, question);
    expect(await chosen()).not.toContain(answer);
    await odren.page.locator(`[data-tap="${tap}"]`).click();
    await expect.poll(chosen).toContain(answer);
    expect(odren.complaints).toEqual([]);
  });

  it.each([...new Set(SPOTS.map(({ part }) => part)), 'needle/fit', 'bobbin/tension'])(
    'of %s has nothing to tap that is smaller than a finger',
    async (part) => {
      await open(part);
      const small = await odren.page.$$eval('[data-tap]', (taps) =>
        taps.flatMap((tap) => {
          const { width, height } = tap.getBoundingClientRect();
          return Math.min(width, height) < 43.5
            ? [`${tap.getAttribute('data-tap')} ${Math.round(width)} x ${Math.round(height)}`]
            : [];
        }),
      );
      expect(small).toEqual([]);
    },
  );

  it.each(PLACES)('of $part takes a measure where it is tapped', async (place) => {
    await open(place.part);
    const box = await (await odren.page.$('[data-tap="place"]'))?.boundingBox();
    if (!box) throw new Error('nothing to tap');
    const [across, down] = place.at;
    await odren.page.mouse.click(box.x + across * box.width, box.y + down * box.height);
    const value = () =>
      odren.page.$eval(`::-p-aria([name="${place.field}"][role="textbox"])`, (one) =>
        Number((one as HTMLInputElement).value.replace(',', '.')),
      );
    await expect.poll(value).toBeGreaterThanOrEqual(place.least);
    expect(await value()).toBeLessThanOrEqual(place.most);
  });

  it('leads to the field of a measure, and tells whether a size in hand would do', async () => {
    await open('bobbin/which');
    await odren.page.locator('[data-tap="hole"]').click();
    await odren.page.keyboard.type('6');
    await odren.page.locator('[data-tap="across"]').click();
    await odren.page.keyboard.type('20.6');
    await odren.page.locator('[data-tap="width"]').click();
    await odren.page.keyboard.type('8.9');
    await odren.sees('It is a Class L bobbin.');
    await open('needle/fit');
    await odren.page.locator('::-p-aria([name="Number"][role="textbox"])').fill('40');
    await odren.sees('130/705 H 80/12');
    await odren.page.locator('[data-tap="110"]').click();
    await odren.sees('Would 110/18 do?');
    await odren.sees('Too thick: holes stay');
  });

  it.each([
    'needle/seat',
    'needle/condition',
    'needle/fit',
    'bobbin/condition',
    'bobbin/case',
    'bobbin/marks',
    'bobbin/tension',
  ])('of %s takes the left two fifths, questions and verdict beside it', async (part) => {
    await odren.go(`/bench/${demoTicketId(27)}/${part}`);
    const frame = await (await odren.page.waitForSelector('[data-frame="drawing"]'))?.evaluate(
      (drawing) => {
        const columns = [...(drawing.parentElement?.children ?? [])].map((one) => {
          const { left, right } = one.getBoundingClientRect();
          return [left, right] as const;
        });
        return { columns, isSticky: getComputedStyle(drawing).position === 'sticky' };
      },
    );
    const [drawing, questions, verdict] = frame?.columns ?? [];
    if (!drawing || !questions || !verdict) throw new Error('no three columns');
    expect(frame?.isSticky).toBe(true);
    const whole = verdict[1] - drawing[0];
    const share = (drawing[1] - drawing[0]) / whole;
    expect(share).toBeGreaterThan(0.36);
    expect(share).toBeLessThan(0.42);
    expect(questions[0]).toBeGreaterThan(drawing[1]);
    expect(verdict[0]).toBeGreaterThan(questions[1]);
  });
});
