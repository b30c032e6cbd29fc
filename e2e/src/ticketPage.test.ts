import { demoTicketId } from '@nodo/demo';
import { describe, expect, it } from 'vitest';
import { useStage } from './stage.ts';

const { sharedScreen, stage } = useStage();

describe('the page of a ticket', () => {
  it('is where the counter comes from the Rack: what it waits for, what was agreed, the part on its way', async () => {
    const mirra = await sharedScreen('mirra');
    await mirra.go('/');
    await mirra.sees('Rose zigzag');
    await mirra.clickWithin('section[aria-labelledby="rack-title"]', 'Rose zigzag');
    await mirra.sees('It waits for a part: Bobbin case.');
    await mirra.sees('€74.00 agreed by telephone');
    const text = await mirra.text();
    expect(text).not.toContain('%');
    await mirra.click('The part is here');
    await mirra.sees('It is being repaired.');
    await mirra.clickWithin('header', 'Bench');
    await mirra.stepAfter('');
    expect(mirra.complaints).toEqual([]);
  });

  it('promises nothing while a price is unanswered, and takes the answer', async () => {
    const mirra = await sharedScreen('mirra');
    await mirra.go(`/ticket/${demoTicketId(33)}`);
    await mirra.sees('We need an answer to €118.00.');
    await mirra.click('Promise a day');
    await mirra.sees(
      'Nothing can be promised yet: the customer has not answered to the price yet.',
    );
    await mirra.click('They said yes');
    await mirra.sees('€118.00 agreed by telephone');
    await mirra.page.waitForSelector('ul button[aria-pressed="false"]');
    expect(mirra.complaints).toEqual([]);
  });

  it('informs the customer of what is ready, and hands it out', async () => {
    const mirra = await sharedScreen('mirra');
    await mirra.go(`/ticket/${demoTicketId(12)}`);
    await mirra.sees('It is ready. The customer does not know yet.');
    await mirra.click('Customer informed');
    await mirra.sees('It is ready, and the customer knows.');
    await mirra.click('The customer has it back');
    await mirra.sees('The customer has it back.');
    expect(mirra.complaints).toEqual([]);
  });

  it('shows a learner how it stands, without names and without anything to do', async () => {
    const pim = await sharedScreen('pim');
    await pim.go(`/ticket/${demoTicketId(29)}`);
    await pim.sees('Customer says');
    const text = await pim.text();
    expect(text).not.toContain('Edda');
    expect(text).not.toContain('Promise another day');
    expect(pim.complaints).toEqual([]);
  });
});

describe('whom to ring', () => {
  it('is one list: who was tried stays with what came of it, and that can be undone', async () => {
    const mirra = await sharedScreen('mirra');
    await mirra.go('/');
    await mirra.sees('To ring');
    const list = 'section[aria-labelledby="to-ring"]';
    const before = await mirra.read(list, (box) => box.innerText);
    expect(before).toContain('Osk Trenholt');
    expect(before).toContain('000 0122');
    await mirra.click('No answer: Mint zigzag');
    await mirra.sees('No answer, again on');
    // The next to ring did not move under the hand.
    expect(
      (await mirra.read(list, (box) => box.innerText)).indexOf('Gunna Tevlin'),
    ).toBeGreaterThan(before.indexOf('Osk Trenholt'));
    const counted = () =>
      stage().cluster.sql(
        stage().database,
        `select count(*) from ticket_summary where line -> 'contact' ->> 'outcome' = 'no-answer'`,
      );
    await expect.poll(counted).toMatch(/^\s*1\s*$/);
    await mirra.clickWithin(list, 'Undo');
    await mirra.page.waitForSelector('[aria-label="No answer: Mint zigzag"]');
    await expect.poll(counted).toMatch(/^\s*0\s*$/);
    // Reached: the customer knows, and the machine is no more among those to ring.
    await mirra.click('Reached: Mint zigzag');
    const informed = () =>
      stage().cluster.sql(
        stage().database,
        `select count(*) from ticket_summary where line ->> 'label' = 'Mint zigzag' and line ->> 'toldAt' is not null`,
      );
    await expect.poll(informed).toMatch(/^\s*1\s*$/);
    expect(mirra.complaints).toEqual([]);
  });
});
