import { describe, expect, it } from 'vitest';
import { useStage } from './stage.ts';

const { screen } = useStage();

describe('on the telephone', () => {
  it('a wrongly threaded machine is cured, and the ticket says how', async () => {
    const mirra = await screen('mirra');
    const odren = await screen('odren');
    await mirra.click('Phone call');
    await mirra.sees('Begin the questions');
    await mirra.page.type('::-p-aria([name="Name"])', 'Tilda Marrowby');
    await mirra.click('Begin the questions');
    await mirra.sees('Tick at least one thing');
    await mirra.click('Thread bunches up under the fabric');
    await mirra.click('Begin the questions');
    expect(await mirra.stepAfter('')).toBe('Rethread with presser up, sew again');
    await mirra.sees('Cut the thread at the spool');
    await mirra.sees('Listen for');
    await odren.sees('Tilda Marrowby');
    await odren.sees('Announced by phone');
    await mirra.press('2');
    expect(await mirra.stepAfter('Rethread with presser up, sew again')).toBe('It is gone');
    await mirra.press('1');
    await mirra.sees('Solved by phone');
    await odren.seesNot('Tilda Marrowby');
    for (const one of [mirra, odren]) expect(one.complaints).toEqual([]);
  });

  it('what is told is asked again, and what is not cured comes in with all that was said', async () => {
    const mirra = await screen('mirra');
    await mirra.go('/phone');
    await mirra.click('Stitches are skipped');
    await mirra.click('Begin the questions');
    let step = await mirra.stepAfter('');
    // Nothing helps, whatever is asked or told.
    for (let said = 0; said < 40 && step !== 'We need to see it'; said += 1) {
      const before = await mirra.question();
      const again = step === 'Is it gone?';
      await mirra.press(again ? '2' : '1');
      await mirra.questionAfter(before);
      step = await mirra.step();
    }
    expect(step).toBe('We need to see it');
    await mirra.sees('The needle as it sits in the machine');
    await mirra.press('1');
    await mirra.sees('Expected in the shop');
    await mirra.page.type('::-p-aria([name="Tag"])', '77');
    await mirra.click('It has come in: save the ticket');
    await mirra.page.waitForFunction(() => location.pathname.startsWith('/ticket/'));
    await mirra.sees('77');
    // Nobody has worked on it yet, whatever was asked by telephone.
    await mirra.sees('It waits its turn');
    await mirra.click('Bench');
    await mirra.sees('Came into the shop');
    await mirra.readHistory();
    await mirra.sees('seen Phone call');
    expect(mirra.complaints).toEqual([]);
  });

  it('stops at what must not be touched', async () => {
    const tavi = await screen('tavi');
    await tavi.go('/phone');
    await tavi.click('It hums but does not turn');
    await tavi.click('Begin the questions');
    expect(await tavi.stepAfter('')).toBe('Stop and unplug');
    await tavi.sees('for a qualified person');
    await tavi.press('1');
    await tavi.sees('Unplugged, expected in the shop');
    expect(tavi.complaints).toEqual([]);
  });
});
