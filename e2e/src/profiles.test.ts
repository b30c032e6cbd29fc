import { describe, expect, it } from 'vitest';
import { field, type Screen } from './screen.ts';
import { useStage } from './stage.ts';

const { sharedScreen, stage } = useStage();

describe('customers', () => {
  /** Their record, which a machine of theirs that stands in the shop comes before. */
  const find = async (at: Screen, letters: string) => {
    await at.searches(letters);
    // What was found by the first letters only may still stand there.
    await at.page.waitForFunction(
      (wanted) => {
        const hits = [...document.querySelectorAll<HTMLElement>('[cmdk-item]')];
        const customer = hits.find(({ innerText }) => {
          const text = innerText.trim().toLowerCase();
          return text.endsWith('customer') && text.includes(wanted);
        });
        customer?.click();
        return customer !== undefined;
      },
      {},
      letters,
    );
  };

  it('who are one person are merged, found as one, and can be separated again', async () => {
    const halle = await sharedScreen('halle');
    await halle.go('/');
    await halle.sees('in the shop');
    await find(halle, 'gunna tevlin');
    await halle.sees('The same person as');
    await halle.page.type(field('Find the other one'), 'zora');
    await halle.click('Merge into Zora Pimmelock');
    await halle.sees('Now one with Zora Pimmelock');
    await halle.sees('Merged into this one');
    const merged = await halle.text();
    // The machines and tickets of both.
    for (const label of ['Pearl compact', 'Onyx straight stitch', 'Fern zigzag']) {
      expect(merged).toContain(label);
    }
    await halle.clickWithin('section[aria-label="Merged into this one"]', 'Separate again');
    await halle.seesNot('Merged into this one');
    await halle.seesNot('Fern zigzag');
    expect(halle.complaints).toEqual([]);
  });

  it('who want it are erased for good; the repairs of their machines stay', async () => {
    const halle = await sharedScreen('halle');
    await halle.go('/');
    await halle.sees('in the shop');
    await find(halle, 'caspar');
    await halle.sees('Erase this person');
    await halle.page.type(field('Type erase to erase'), 'erase');
    await halle.clickWithin('form[aria-label="Erase this person"]', 'Erase this person');
    await halle.sees('This person was erased at their request.');
    const text = await halle.text();
    expect(text).not.toContain('Caspar');
    expect(text).toContain('Fawn overlocker');
    const left = await stage().cluster.sql(
      stage().database,
      `select count(*) from customer where name like 'Caspar%'`,
    );
    expect(left.trim()).toBe('0');
    expect(halle.complaints).toEqual([]);
  });
});

describe('a machine’s record', () => {
  it('takes its manual’s values with their page, and goes back to an earlier card', async () => {
    const odren = await sharedScreen('odren');
    await odren.go('/');
    await odren.sees('in the shop');
    await odren.searches('sage quilt');
    await odren.page.waitForSelector('[cmdk-item]');
    // It stands in the shop: its row leads to the ticket, and from there to its record.
    await odren.clickLine('[cmdk-item]', 'Sage');
    await odren.stepAfter('');
    await odren.click('Job sheet');
    await odren.clickLine('a[href^="/machines/"]', 'Sage quilter');
    await odren.click('Change the record');
    await odren.sees('Save machine');
    await odren.selects('Add a value', 'Hook to scarf gap');
    await odren.page.type(field('Hook to scarf gap, least'), '0,05');
    await odren.page.type(field('Hook to scarf gap, most'), '0.1');
    // Back to what is known and in again: what was typed is still there.
    await odren.click('Back to the facts');
    await odren.click('Change the record');
    const least = await odren.page.$eval(
      'input[aria-label="Hook to scarf gap, least"]',
      ({ value }) => value,
    );
    expect(least).toBe('0,05');
    await odren.click('Save machine');
    await odren.sees('where it is written');
    await odren.page.type(field('Hook to scarf gap, Manual, page'), 'Manual, page 31');
    await odren.click('Save machine');
    await odren.sees('The machine is saved.');
    await odren.sees('Earlier records');
    await odren.click('Bring back');
    await odren.page.waitForFunction(
      () => document.querySelector('[aria-label="Hook to scarf gap, least"]') === null,
    );
    expect(odren.complaints).toEqual([]);
  });
});
