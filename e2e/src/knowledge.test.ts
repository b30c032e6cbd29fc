import { demoTicketId } from '@nodo/demo';
import { describe, expect, it } from 'vitest';
import { useStage } from './stage.ts';

const { screen } = useStage();

describe('the tables', () => {
  it('are searched by a few letters and read from cause to check and back', async () => {
    const pim = await screen('pim');
    await pim.click('Knowledge');
    await pim.sees('Where does it hurt?');
    await pim.click('hand wheel');
    await pim.sees('Checks: hand wheel');
    await pim.sees('Hand-wheel clutch loose');
    await pim.page.type('::-p-aria([name="A few letters: cause, check, finding"])', 'scarf');
    await pim.seesNot('Spool, cap and pin');
    await pim.clickWithin('nav[aria-label="Knowledge"]', 'Which way the needle faces');
    await pim.sees('The scarf faces the hook.');
    const account = await pim.read('[data-detail]', (drawing) =>
      drawing.getAttribute('aria-label'),
    );
    expect(account).toContain('Groove in front, scarf at the back');
    await pim.clickWithin('article', 'Needle in the wrong way round');
    await pim.sees('Turn it: scarf to the hook');
    await pim.sees('surely 97%');
    expect(pim.complaints).toEqual([]);
  });

  it('say where a cause stands on the ticket it was opened from', async () => {
    const odren = await screen('odren');
    await odren.go(`/bench/${demoTicketId(31)}`);
    await odren.stepAfter('');
    await odren.clickWithin('section[aria-labelledby="causes-title"]', 'Needle in the wrong way');
    await odren.click('Read about it');
    await odren.sees('On ticket 31: chance that it is there now');
    await odren.click('Ticket 31: back to the next step');
    await odren.stepAfter('');
    expect(odren.complaints).toEqual([]);
  });

  it('are cut to the machine', async () => {
    const odren = await screen('odren');
    await odren.go('/knowledge?family=overlocker');
    await odren.sees('Causes (');
    const checks = await odren.read('nav[aria-label="Knowledge"]', (box) => box.textContent);
    expect(checks).not.toContain('Thread under the case spring');
    await odren.go('/knowledge/check/bobbin-path?family=overlocker');
    await odren.sees('This machine does not have it.');
    expect(odren.complaints).toEqual([]);
  });
});
