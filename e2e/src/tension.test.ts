import { demoTicketId } from '@nodo/demo';
import { describe, expect, it } from 'vitest';
import { choose } from './choose.ts';
import { field, type Screen } from './screen.ts';
import { slide } from './slide.ts';
import { useStage } from './stage.ts';
import { typeOver } from './typeOver.ts';

const { screen } = useStage();

const PLACES = ['Near the start', 'In the middle', 'Near the end'] as const;

/** Reads a sample at its three places, to a twentieth, as the slider is read. */
async function readSample(one: Screen, balances: readonly number[]): Promise<void> {
  for (const [index, place] of PLACES.entries()) {
    await one.clickLine('fieldset button', place);
    const value = Math.round(20 * (balances[index] ?? 0)) / 20;
    await slide(one, 'input[type=range]', String(value));
  }
}

function advice(one: Screen): Promise<string> {
  return one.read('[data-advice] h2', (headline) => headline.textContent);
}

/** Where the dial is to stand for the next sample, as the field proposes it. */
function dial(one: Screen): Promise<number> {
  return one.page.$eval(field('Dial stands at'), (box) => Number((box as HTMLInputElement).value));
}

/** Sews and saves one try at the dial that is proposed, on a machine that balances so. */
async function sew(one: Screen, balanceAt: (dial: number) => number): Promise<void> {
  const rows = await one.page.$$eval('section[aria-label=Tries] tbody tr', (all) => all.length);
  const balance = balanceAt(await dial(one));
  await readSample(one, [balance, balance + 0.05, balance - 0.05]);
  await one.click('Save this try');
  await expect
    .poll(() => one.page.$$eval('section[aria-label=Tries] tbody tr', (all) => all.length))
    .toBe(rows + 1);
}

describe('the balance', () => {
  it('is brought into the middle try by try, ends by itself, and is remembered', async () => {
    const odren = await screen('odren');
    const ticket = `/bench/${demoTicketId(20)}`;
    /** A machine that balances at 5¼, by another formula than the adviser's. */
    const machine = (at: number) => {
      const excess = (0.33 * (at - 5.25) * (1 + 0.04 * (at - 5.25))) / 1;
      return Math.max(-1, Math.min(1, -excess / Math.hypot(1, excess)));
    };
    await odren.go(`${ticket}/tension`);
    await odren.sees('Balance of the stitch');
    expect(await advice(odren)).toBe('Sew it as it stands and read the sample.');
    await choose(odren, 'Seam', 'straight');
    await typeOver(odren, 'Dial stands at', '2');
    await sew(odren, machine);
    // Before anything is turned.
    expect(await advice(odren)).toContain('Thread it anew first');
    await odren.click('Threaded anew');
    await odren.sees('only tries since then are counted');
    await typeOver(odren, 'Dial stands at', '2');
    await sew(odren, machine);
    if ((await advice(odren)).includes('Look at the bobbin')) {
      await odren.click('Under its spring, light even drag');
    }
    const said: string[] = [];
    while (!(await advice(odren)).startsWith('Balanced') && said.length < 6) {
      said.push(await advice(odren));
      await sew(odren, machine);
    }
    expect(await advice(odren)).toMatch(/^Balanced\. The dial stays at 5/);
    expect(said.length).toBeLessThanOrEqual(4);
    expect(said[0]).toMatch(/^Turn the dial to [3-6]\.$/);
    await odren.sees('Most likely balanced at 5');
    await odren.page.waitForSelector('[data-curve-chart] canvas');
    await odren.click('Save as set');
    await typeOver(odren, 'Top thread', 'tex 30 polyester');
    await odren.click('Remember this setting');
    await odren.sees('Remembered on the machine’s record');
    await odren.sees('Start at 5');

    await odren.go(ticket);
    await odren.stepAfter('');
    await odren.readHistory();
    await odren.sees('Tension tried: dial 2, straight: knot clearly below');
    await odren.sees('Top dial set to balance');
    expect(odren.complaints).toEqual([]);
  });

  it('is not turned where the thread is not between the discs: told by the tries, shown by the pull', async () => {
    const tavi = await screen('tavi');
    const ticket = `/bench/${demoTicketId(27)}`;
    /** Whatever the dial says. */
    const open = () => 0.9;
    await tavi.go(`${ticket}/tension`);
    await tavi.sees('Balance of the stitch');
    await typeOver(tavi, 'Dial stands at', '4');
    await sew(tavi, open);
    expect(await advice(tavi)).toContain('Thread it anew first');
    await tavi.click('Threaded anew');
    await tavi.sees('only tries since then are counted');
    await typeOver(tavi, 'Dial stands at', '4');
    await sew(tavi, open);
    for (let tries = 0; tries < 3; tries += 1) {
      const now = await advice(tavi);
      if (now.startsWith('Stop turning')) break;
      if (now.includes('Look at the bobbin')) await tavi.click('Under its spring, light even drag');
      else await sew(tavi, open);
    }
    expect(await advice(tavi)).toBe('Stop turning: it is no matter of tension.');
    await tavi.sees('Set the dial back to 4, where it was found.');

    // What looks the same, and the look that tells.
    await tavi.clickLine('a', 'What looks alike');
    await tavi.sees('Thread not between the discs');
    await tavi.clickLine('a', 'Pull at the needle, presser down');
    await tavi.sees('Pull of the top thread by the dial');
    await choose(tavi, 'Pulled', 'by feel');
    for (const row of ['Presser up', 'Dial 2, come up', 'Dial 4, come up', 'Dial 6, come up']) {
      await choose(tavi, row, 'none');
    }
    await tavi.sees('Presser down it runs free');
    await tavi.click('Save the pulls');
    await tavi.go(ticket);
    await tavi.stepAfter('');
    await tavi.readHistory();
    await tavi.sees('Pull at the needle, presser down: it runs free');
    await tavi.seesNot('Top dial set to balance');
    expect(tavi.complaints).toEqual([]);
  });
});

describe('pull by the dial', () => {
  it('is held against this machine’s baseline of an earlier visit', async () => {
    const odren = await screen('odren');
    const pull = async (pulls: readonly (readonly [string, string])[]) => {
      for (const [row, gf] of pulls) await typeOver(odren, `${row}, gf`, gf);
    };
    await odren.go(`/bench/${demoTicketId(3)}/tension/pull`);
    await odren.sees('This machine’s baseline');
    // As it was when it went home in October.
    await odren.sees('Pulled by gauge');
    await pull([
      ['Presser up', '3'],
      ['Dial 2, come up to it', '21'],
      ['Dial 4, come up to it', '40'],
      ['Dial 6, come up to it', '71'],
    ]);
    await odren.sees('The pull rises at each number.');
    await odren.sees('Weaker than at the baseline');
    await odren.sees('Now 0.67 times what it was.');
    await odren.click('Save the pulls');
    await odren.go(`/bench/${demoTicketId(3)}`);
    await odren.stepAfter('');
    await odren.readHistory();
    await odren.sees('Top tension 40 gf, dial 4, come up to it, as found');
    expect(odren.complaints).toEqual([]);
  });
});

describe('the thread path', () => {
  it('is followed point by point, dragged to where this machine has it, and is its own from then on', async () => {
    const odren = await screen('odren');
    const ticket = `/bench/${demoTicketId(11)}`;
    await odren.go(`${ticket}/tension/path`);
    await odren.sees('Where did it leave its way?');
    const read = () => odren.read('[data-path-reading]', (line) => line.textContent);
    /** Where a point of the way is drawn, in points of the screen. */
    const placeOf = async (id: number) => {
      const dot = await odren.page.waitForSelector(`[data-point="${id}"] circle`);
      const box = await dot?.boundingBox();
      return [
        (box?.x ?? 0) + (box?.width ?? 0) / 2,
        (box?.y ?? 0) + (box?.height ?? 0) / 2,
      ] as const;
    };
    const [discsX, discsY] = await placeOf(2);
    await odren.page.mouse.click(discsX, discsY);
    expect(await read()).toContain('Not threaded: 3 discs');
    await odren.page.mouse.click(discsX, discsY);
    expect(await read()).toBe('Every point is threaded.');

    await odren.click('Edit the path');
    const [fromX, fromY] = await placeOf(1);
    await odren.page.mouse.move(fromX, fromY);
    await odren.page.mouse.down();
    await odren.page.mouse.move(fromX + 30, fromY + 10, { steps: 4 });
    await odren.page.mouse.up();
    const [toX, toY] = await placeOf(1);
    expect(Math.hypot(toX - fromX - 30, toY - fromY - 10)).toBeLessThan(3);
    // The same by key.
    await odren.page.focus('button[aria-label^="Move guides"]');
    await odren.press('ArrowDown');
    await expect.poll(async () => (await placeOf(1))[1]).toBeGreaterThan(toY);
    await typeOver(odren, 'Name of point 2', 'eye on the top');
    await odren.click('Save as this machine’s path');
    await odren.sees('Its own path is on the machine’s record.');

    // Another screen, another visit: the way is this machine's.
    const tavi = await screen('tavi', 'night');
    await tavi.go(`${ticket}/tension/path`);
    await tavi.sees('Its own path is on the machine’s record.');
    await tavi.sees('2 eye on the top');
    // Printed for the customer: dark on white also from a dark screen, with the caution, without the bench's own.
    await tavi.page.emulateMediaType('print');
    await tavi.sees('Switch off at the machine before your fingers come near the needle.');
    expect(await tavi.read('body', (body) => getComputedStyle(body).color)).toBe('rgb(22, 33, 43)');
    expect(await tavi.read('[data-path-reading]', (line) => line.checkVisibility())).toBe(false);
    await tavi.page.emulateMediaType('screen');
    await choose(tavi, 'Where did it leave its way?', 'Nowhere: every point is threaded');
    await tavi.click('Save what was seen');
    await tavi.go(ticket);
    await tavi.stepAfter('');
    await tavi.readHistory();
    await tavi.sees('Follow the thread with a light: every point is threaded');
    expect([...odren.complaints, ...tavi.complaints]).toEqual([]);
  });
});
