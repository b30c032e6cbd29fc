import { describe, expect, it } from 'vitest';
import { useStage } from './stage.ts';

const { screen, anonymous } = useStage();

/** Right to left, joined emoji, apostrophes, what looks like markup. */
const NAME = 'سلمى O’Kelt & <b>Söhne</b>';
const LABEL = 'Żółta „Perła” 🧵👩🏽‍🔧 תפירה';
const WORDS = 'It won\'t — 糸が絡む; "בערך" כל תפר שלישי 💥';
const NOTE = 'الخيط ينقطع عند 3.5 mm, <script>alert(1)</script> \\n ’';

describe('text in any script', () => {
  it('goes from the counter to every screen and to the customer as it was typed', async () => {
    const mirra = await screen('mirra');
    await mirra.click('Take in a machine');
    await mirra.sees('What kind is it?');
    await mirra.page.type('::-p-aria([name="Name"])', NAME);
    await mirra.page.type('::-p-aria([name="Short description"])', LABEL);
    await mirra.page.type('::-p-aria([name="In the customer’s own words"])', WORDS);
    await mirra.click('Save ticket');
    await mirra.click('Open this ticket');
    await mirra.sees(`“${WORDS}”`);
    await mirra.clickWithin('header', 'Bench');

    const odren = await screen('odren');
    await odren.sees(LABEL);
    await odren.clickWithin('main', LABEL);
    await odren.stepAfter('');
    await odren.sees(NAME);
    await odren.note(NOTE);
    await mirra.sees(`“${NOTE}”`);
    await odren.page.reload();
    await odren.sees(`“${NOTE}”`);
    await odren.sees(LABEL);

    // What is written from right to left is set so, and only that.
    const directions = await odren.page.$$eval('bdi', (all) =>
      all.map((one) => [one.textContent, getComputedStyle(one).direction] as const),
    );
    const directionOf = (text: string) => directions.find(([found]) => found.includes(text))?.[1];
    expect(directionOf('سلمى')).toBe('rtl');
    expect(directionOf('الخيط')).toBe('rtl');
    expect(directionOf('Żółta')).toBe('ltr');

    await odren.click('Job sheet');
    await odren.clickWithin('[role="dialog"]', 'Link for the customer');
    await odren.click('Make a link');
    const field = await odren.page.waitForSelector(
      '[role="dialog"] input[readonly][value*="/shared/"]',
    );
    const customer = await anonymous();
    await customer.page.goto((await field?.evaluate((input) => input.value)) ?? '');
    await customer.sees(LABEL);
    await customer.sees(`“${WORDS}”`);
    for (const one of [mirra, odren]) expect(one.complaints).toEqual([]);
  });
});
