import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transformer } from '@napi-rs/image';
import { type MadeUpSample, madeUpSample, SAMPLE_SIDES } from '@nodo/core';
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
