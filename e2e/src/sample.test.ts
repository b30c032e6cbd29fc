import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transformer } from '@napi-rs/image';
import { CARD, type MadeUpSample, madeUpSample, readPicture, SAMPLE_SIDES } from '@nodo/core';
import { demoTicketId } from '@nodo/demo';
import type { ElementHandle } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { choose } from './choose.ts';
import { field, type Screen } from './screen.ts';
import { useStage } from './stage.ts';
import { typeOver } from './typeOver.ts';

const { screen } = useStage();

const GOOD = { seed: 51, stitches: 30, length: 2.5, width: 0, balance: 0.03, skipped: [] };
const SKIPS = { seed: 52, stitches: 40, length: 1.8, width: 4, balance: 0.5, skipped: [12, 21] };

/** Pictures of both sides, as a telephone keeps them. */
async function photographed(made: MadeUpSample): Promise<readonly string[]> {
  const folder = await mkdtemp(join(tmpdir(), 'nodo-sample-'));
  return Promise.all(
    SAMPLE_SIDES.map(async (side) => {
      const { width, height, data } = madeUpSample(made, side);
      const path = join(folder, `${side}.jpg`);
      await writeFile(path, Transformer.fromRgbaPixels(data, width, height).jpegSync(88));
      return path;
    }),
  );
}

interface Place {
  readonly x: number;
  readonly y: number;
}

/** A part of a picture without the card's marks in it; and where on it some places of the card lie, in its pixels. */
async function withoutCard(made: MadeUpSample, places: readonly (readonly [number, number])[]) {
  const picture = madeUpSample(made, 'top');
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, i = 1] =
    readPicture(picture).view.toPicture;
  const seen = (x: number, y: number) => ({
    x: (a * x + b * y + c) / (g * x + h * y + i),
    y: (d * x + e * y + f) / (g * x + h * y + i),
  });
  const [left, right] = [seen(17, 40), seen(93, 40)].map(({ x }) => Math.round(x)) as [
    number,
    number,
  ];
  const [top, bottom] = [seen(50, 16), seen(50, 73)].map(({ y }) => Math.round(y)) as [
    number,
    number,
  ];
  const whole = Transformer.fromRgbaPixels(picture.data, picture.width, picture.height).jpegSync(
    95,
  );
  const path = join(await mkdtemp(join(tmpdir(), 'nodo-sample-')), 'ruler.jpg');
  await writeFile(
    path,
    new Transformer(whole).crop(left, top, right - left, bottom - top).jpegSync(90),
  );
  return {
    path,
    at: places.map(([x, y]) => ({ x: seen(x, y).x - left, y: seen(x, y).y - top })),
  };
}

/** Gives each side its picture, from above first; a side without one keeps what it has. */
async function give(one: Screen, paths: readonly (string | undefined)[]): Promise<void> {
  for (const [index, side] of ['From above', 'From below'].entries()) {
    const path = paths[index];
    if (path === undefined) continue;
    const picker = await one.page.waitForSelector(`section[aria-label="${side}"] input[type=file]`);
    await (picker as ElementHandle<HTMLInputElement>).uploadFile(path);
  }
}

/** A figure as it stands in its field. */
function figure(one: Screen, name: string): Promise<number> {
  return one.page.$eval(field(name), (box) => Number((box as HTMLInputElement).value));
}

describe('a sewn sample', () => {
  it('is measured from both sides and proves a repair with its pictures, its figures and its minutes', async () => {
    const odren = await screen('odren');
    const ticket = `/bench/${demoTicketId(20)}`;
    await odren.go(`${ticket}/sample/read?check=standard-straight`);
    await odren.sees('Nothing measured yet.');
    const [top, bottom] = await photographed(GOOD);
    await give(odren, [top]);
    await odren.sees('No skip in 30 stitches');
    await odren.sees('One side alone says nothing of the balance');
    await odren.sees('Says nothing of that check.');
    await give(odren, [undefined, bottom]);
    await odren.sees('A good sew-out: no skip');
    expect(await figure(odren, 'Stitch length, mm, From above')).toBeCloseTo(2.5, 1);
    expect(Math.abs((await figure(odren, 'Balance')) - 0.03)).toBeLessThan(0.06);
    await odren.sees('30 stitches at 600 a minute');
    await odren.page.waitForSelector('[data-length-chart=top] canvas');
    expect(await odren.audit()).toEqual([]);

    await odren.clickLine('button', 'Log: No skip in 30 stitches, balance');
    await odren.sees('Saved on the ticket.');
    await odren.sees('saved; take another picture to save again');
    const tavi = await screen('tavi');
    await tavi.go(ticket);
    await tavi.stepAfter('');
    await tavi.press('h');
    await tavi.sees('No skip in 30 stitches, balance');
    await tavi.sees('Photo: Sewn sample from above');

    await odren.click('Before and after');
    await odren.sees('Only one sample so far');
    await odren.page.waitForFunction(
      () =>
        [...document.querySelectorAll<HTMLImageElement>('figure img')].filter(
          ({ naturalWidth }) => naturalWidth > 0,
        ).length === 2,
    );
    expect(await odren.audit()).toEqual([]);
    expect([...odren.complaints, ...tavi.complaints]).toEqual([]);
  });

  it('that skips says at which swing; a figure set right by hand is what is kept, and the balance is a try of the tension', async () => {
    const odren = await screen('odren');
    const ticket = `/bench/${demoTicketId(17)}`;
    await odren.go(`${ticket}/sample/read?check=found-sew`);
    await give(odren, await photographed(SKIPS));
    await odren.sees('2 skips in ');
    await odren.sees('The top thread shows underneath.');
    await odren.sees('It skips on both swings.');
    await typeOver(odren, 'Skips, From above', '41');
    await odren.sees('A whole number, no more than there are stitches.');
    await odren.sees('a figure is no number');
    await typeOver(odren, 'Skips, From above', '3');
    await odren.sees('set by hand, read: 2');
    await typeOver(odren, 'Dial it was sewn at', '3');
    await odren.clickLine('button', 'Log: 3 skips in ');
    await odren.sees('Saved on the ticket.');
    await odren.click('Go on in Tension');
    await odren.sees('Tries');
    expect(await odren.read('section[aria-label=Tries] tbody tr', (row) => row.innerText)).toMatch(
      /^1\s+3\s+as found\s+\+0\.\d\d$/,
    );
    expect(odren.complaints).toEqual([]);
  });

  it('without the card is measured by a ruler that is pointed at, and its thread can be pointed at', async () => {
    const odren = await screen('odren');
    await odren.go('/sample');
    const { left, right, y } = CARD.check;
    const seam = { ...GOOD, stitches: 20 };
    // The line on the card stands for a ruler; the seam is in the card's middle.
    const ends = [CARD.width / 2 - 25, CARD.width / 2 + 25] as const;
    const { path, at } = await withoutCard(seam, [
      [left, y],
      [right, y],
      [ends[0], CARD.height / 2],
      [ends[1], CARD.height / 2],
      [ends[0] + 1.25, CARD.height / 2],
    ]);
    await give(odren, [path]);
    await odren.sees('A ruler in the picture will do as well.');
    await odren.click('Measure by a ruler');
    await odren.sees('First mark: ');
    const drag = async (from: readonly [number, number], to: Place) => {
      const image = await odren.page.$('section[aria-label="From above"] img');
      const box = await image?.boundingBox();
      if (!image || !box) throw new Error('no picture to point at');
      const pixels = await image.evaluate((one) => one.naturalWidth);
      await odren.page.mouse.move(box.x + from[0] * box.width, box.y + from[1] * box.height);
      await odren.page.mouse.down();
      const part = box.width / pixels;
      await odren.page.mouse.move(box.x + part * to.x, box.y + part * to.y, { steps: 3 });
      await odren.page.mouse.up();
      // A move is drawn when there is time for it: only then does the page measure from there.
      await odren.page.waitForFunction(
        (x, y) =>
          [...document.querySelectorAll('section[aria-label="From above"] fieldset button')].some(
            ({ textContent }) => {
              const [, left, top] = /: (\d+), (\d+)$/.exec(textContent) ?? [];
              return Math.hypot(Number(left) - x, Number(top) - y) < 3;
            },
          ),
        {},
        to.x,
        to.y,
      );
    };
    const [firstMark, secondMark, start, end, thread] = at as [Place, Place, Place, Place, Place];
    await drag([0.25, 0.85], firstMark);
    await drag([0.75, 0.85], secondMark);
    await drag([0.15, 0.5], start);
    await drag([0.85, 0.5], end);
    // By keys a point goes one pixel, with Shift ten.
    await odren.page.focus('section[aria-label="From above"] fieldset button');
    const place = () =>
      odren.read('section[aria-label="From above"] fieldset button', (one) => one.innerText);
    const before = Number((await place()).match(/: (\d+),/)?.[1]);
    await odren.press('ArrowRight');
    await odren.page.keyboard.down('Shift');
    await odren.press('ArrowRight');
    await odren.page.keyboard.up('Shift');
    expect(Number((await place()).match(/: (\d+),/)?.[1])).toBe(before + 11);
    await odren.page.keyboard.down('Shift');
    await odren.press('ArrowLeft');
    await odren.page.keyboard.up('Shift');
    await odren.press('ArrowLeft');
    await typeOver(odren, 'Between the marks', '5');
    await odren.sees('A number from 10 to 300.');
    await typeOver(odren, 'Between the marks', '50');
    expect(await odren.audit()).toEqual([]);
    await odren.clickWithin('section[aria-label="From above"]', 'Measure');
    await odren.sees('No skip in 20 stitches');
    // Perspective stays in it: the line and the seam are not equally far from the camera.
    expect(Math.abs((await figure(odren, 'Stitch length, mm, From above')) / 2.5 - 1)).toBeLessThan(
      0.03,
    );

    await odren.click('Point at the thread');
    await odren.sees('The thread: ');
    await odren.clickWithin('section[aria-label="From above"]', 'Measure');
    await odren.sees('The points do not fit the picture');
    await odren.click('Point at the thread');
    await odren.sees('The thread: ');
    await drag([0.5, 0.5], thread);
    await odren.clickWithin('section[aria-label="From above"]', 'Measure');
    await odren.sees('No skip in 20 stitches');
    expect(odren.complaints).toEqual([]);
  });

  it('without its card, or no picture at all, is refused with what to do', async () => {
    const odren = await screen('odren');
    await odren.go('/sample');
    const pictures = new URL('../../docs/screenshots/', import.meta.url).pathname;
    await give(odren, [`${pictures}rack.png`, `${pictures}../../README.md`]);
    await odren.sees('The scale card was not found');
    await odren.sees('This file is no picture that can be read here.');
    await odren.click('Leave this picture out');
    await odren.sees('Picture from above');
    expect(odren.complaints).toEqual([]);
  });

  it('that the stand-in makes up is shown with its skips, can be stopped, and is not saved', async () => {
    const odren = await screen('odren');
    await odren.go(`/bench/${demoTicketId(17)}/sample`);
    await odren.clickLine('summary', 'No sample at hand?');
    await choose(odren, 'Seam', 'zigzag');
    await choose(odren, 'It skips', 'twice');
    await odren.click('Take its pictures');
    await odren.click('Stop');
    await odren.sees('Stopped. Nothing was measured.');
    await odren.click('Take its pictures');
    await odren.sees('It skips on the left swing alone');
    await odren.page.waitForFunction(() =>
      /2 skips in 3\d stitches, balance/.test(document.body.innerText),
    );
    // It was made up with its knots in the middle.
    expect(Math.abs(await figure(odren, 'Balance'))).toBeLessThan(0.1);
    await odren.sees('made up by the stand-in: shown, not saved');

    await choose(odren, 'Seam', 'straight');
    await choose(odren, 'It skips', 'every sixth');
    await choose(odren, 'Loops hang below', 'three');
    await odren.click('Take its pictures');
    await odren.sees('From above: it skips every 6 stitches.');
    await odren.sees('Neither the bobbin nor a spool turns once in that.');
    await odren.sees('Thread hangs loose beside the seam: it covers ');
    await odren.sees('in 2 loops');
    expect(await figure(odren, 'Loose thread, mm², From above')).toBe(0);
    const loose = await figure(odren, 'Loose thread, mm², From below');
    // Two of the rings touch: 1.6 and 1.2 mm² of thread beside the seam, and 2.
    expect(Math.abs(loose / 4.7 - 1)).toBeLessThan(0.3);
    // Whoever sees that it is lint says so.
    await typeOver(odren, 'Loose thread, mm², From below', '0');
    await odren.seesNot('Thread hangs loose beside the seam');
    expect(await odren.audit()).toEqual([]);
    expect(odren.complaints).toEqual([]);
  });

  it('whose pictures cannot be sent is saved without them', async () => {
    const odren = await screen('odren');
    await odren.page.evaluateOnNewDocument(() => {
      const ask = window.fetch.bind(window);
      window.fetch = async (input, init) => {
        const { pathname } = new URL(input instanceof Request ? input.url : input, location.href);
        if (pathname.endsWith('/photos')) throw new TypeError('Failed to fetch');
        return ask(input, init);
      };
    });
    await odren.go(`/bench/${demoTicketId(29)}/sample/read?check=standard-straight`);
    await give(odren, await photographed(GOOD));
    await odren.sees('A good sew-out');
    await odren.clickLine('button', 'Log: No skip');
    await odren.sees('The pictures could not be sent.');
    await odren.click('Save without the pictures');
    await odren.click('Before and after');
    await odren.sees('Its picture was not kept.');
    expect(odren.complaints).toEqual([]);
  });
});
