import { demoTicketId } from '@nodo/demo';
import { describe, expect, it } from 'vitest';
import { choose } from './choose.ts';
import type { Screen } from './screen.ts';
import { useStage } from './stage.ts';

const { screen } = useStage();

/** Types over what stands in a field. */
async function fill(one: Screen, label: string, text: string): Promise<void> {
  const field = `::-p-aria([name="${label}"])`;
  await one.page.waitForSelector(field);
  await one.page.$eval(field, (box) => {
    (box as HTMLInputElement).select();
  });
  await one.page.type(field, text);
}

describe('the bobbin instrument', () => {
  it('tells a look-alike from the class that the machine takes, and keeps it as a finding', async () => {
    const odren = await screen('odren');
    await odren.go(`/bench/${demoTicketId(6)}/bobbin/which`);
    await odren.sees('Measure it, and its class stands here.');
    await fill(odren, 'Across, mm', '20,6');
    await fill(odren, 'Width, mm', '8.9');
    await odren.sees('It is a Class L bobbin.');
    await choose(odren, 'This machine takes', 'Class 15');
    await odren.sees('They look alike and do not interchange.');
    const drawn = await odren.page.evaluate(() => {
      const drawing = document.querySelector('svg[data-scale]:has([data-measured])');
      const scale = Number(drawing?.getAttribute('data-scale'));
      const box = drawing?.querySelector('[data-measured]')?.getBoundingClientRect();
      return { width: (box?.width ?? 0) / scale, height: (box?.height ?? 0) / scale };
    });
    // To scale, but for the line's own width.
    expect(Math.abs(drawn.width - 8.9)).toBeLessThan(0.6);
    expect(Math.abs(drawn.height - 20.6)).toBeLessThan(0.6);
    await odren.click('Keep it');
    await odren.sees('Likely now: Bobbin of another class 9');
    expect(odren.complaints).toEqual([]);
  });

  it('says which way metal on a magnet pulls the balance', async () => {
    const tavi = await screen('tavi');
    await tavi.go('/bobbin/which');
    await tavi.sees('Which bobbin is it?');
    await tavi.page.select('main select', 'drop-in-magnet');
    await choose(tavi, 'Material', 'metal');
    await tavi.sees('the knot moves down and the top thread shows underneath');
    await choose(tavi, 'Material', 'plastic');
    await tavi.seesNot('the knot moves down');
    expect(tavi.complaints).toEqual([]);
  });

  it('sets the tension by the hanging test in steps of five minutes, and knows the way back', async () => {
    const halle = await screen('halle');
    await halle.go(`/bench/${demoTicketId(30)}/bobbin/tension`);
    await halle.sees('20 to 30 gf');
    await fill(halle, 'Case with bobbin, g', '18');
    await fill(halle, 'Slid then, mm', '0');
    await halle.sees('It hangs still: at least 18 gf');
    await fill(halle, 'Slid then, mm', '15');
    // 18 g x (1 + 25/15) = 48 gf: worked by hand.
    await halle.sees('48 gf');
    await halle.sees('Above its usual range');
    await halle.click('Keep it');
    await fill(halle, 'Slot points at, minutes', '10');
    await halle.click('−5 looser');
    await halle.sees('Way back +5 min');
    await halle.click('−5 looser');
    await halle.sees('Way back +10 min');
    await fill(halle, 'Slid then, mm', '40');
    // The handbook's own case: 29.3 gf by energy.
    await halle.sees('29.3 gf');
    await halle.sees('Within its usual range.');
    await halle.click('Keep it');
    await halle.click('Back to the bench');
    await halle.stepAfter('');
    await halle.click('Read as a list');
    for (const told of [
      'Bobbin tension 48 gf, outside 20 to 30, as found',
      'Case screw looser by 5 min',
      'Bobbin tension 29.3 gf, within 20 to 30, as set',
    ]) {
      await halle.sees(told);
    }
    expect(halle.complaints).toEqual([]);
  });

  it('names the gauge’s stand-in as one, and keeps nothing of it', async () => {
    const odren = await screen('odren');
    await odren.go(`/bench/${demoTicketId(30)}/bobbin/tension`);
    await choose(odren, 'Measured by', 'gauge');
    await odren.sees('A stand-in: it makes up a pull');
    await odren.click('Draw the thread off');
    await odren.sees('Within its usual range.');
    await odren.click('Stop');
    await odren.sees('A stand-in’s reading is not kept.');
    expect(odren.complaints).toEqual([]);
  });

  it('says whether the bobbin lasts', async () => {
    const odren = await screen('odren');
    await odren.go('/bobbin/left');
    await odren.sees('It lasts for this job.');
    await fill(odren, 'Winding now, mm across', '9');
    await fill(odren, 'Seam still to sew, m', '40');
    await odren.sees('It does not last');
    await fill(odren, 'Winding now, mm across', '30');
    await odren.sees('These measures do not go together');
    expect(odren.complaints).toEqual([]);
  });
});
