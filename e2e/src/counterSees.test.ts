import { demoTicketId } from '@nodo/demo';
import { describe, expect, it } from 'vitest';
import type { Screen } from './screen.ts';
import { useStage } from './stage.ts';

const { screen } = useStage();

/** Per cent of anything: of a cause, or of how sure a day is. */
async function chances(at: Screen): Promise<readonly string[]> {
  return (await at.text()).match(/\d+%/g) ?? [];
}

const barOf = (at: Screen) => at.page.$eval('nav[aria-label="Main"]', (bar) => bar.innerText);

describe('the counter', () => {
  it('is offered no instruments, and sees no chance of a cause until it asks', async () => {
    const mirra = await screen('mirra');
    const odren = await screen('odren');
    expect(await barOf(odren)).toContain('Tools');
    expect(await barOf(mirra)).not.toContain('Tools');
    await mirra.sees('in the shop');
    expect(await chances(mirra)).toEqual([]);

    await mirra.go(`/ticket/${demoTicketId(31)}`);
    await mirra.sees('Customer says');
    expect(await chances(mirra)).toEqual([]);

    await mirra.go('/counter');
    await mirra.click('Stitches are skipped');
    // What the owner can look at is said in words.
    await mirra.sees('Needle worn');
    // The days that can be promised are worked out beside it.
    await mirra.page.waitForFunction(() => /Promise \w{3} \d/.test(document.body.innerText));
    expect(await chances(mirra)).toEqual([]);
    await mirra.click('Show likely causes');
    await mirra.page.waitForFunction(() => /\d+%/.test(document.body.innerText));

    await mirra.go('/phone');
    await mirra.click('Stitches are skipped');
    await mirra.click('Begin the questions');
    await mirra.stepAfter('');
    expect(await chances(mirra)).toEqual([]);
    await mirra.click('Show likely causes');
    await mirra.page.waitForFunction(() => /\d+%/.test(document.body.innerText));

    await odren.go('/counter');
    await odren.click('Stitches are skipped');
    await odren.page.waitForFunction(() => /\d+%/.test(document.body.innerText));
    for (const one of [mirra, odren]) expect(one.complaints).toEqual([]);
  });
});
