import { demoTicketId } from '@nodo/demo';
import { describe, expect, it } from 'vitest';
import { field, type Screen } from './screen.ts';
import { useStage } from './stage.ts';

const { sharedScreen, stage } = useStage();

/** Another machine of the customer of a ticket, given back unrepaired for 20 minutes of looking. */
function secondMachine({ page }: Screen, first: string): Promise<string> {
  return page.evaluate(async (of) => {
    const post = async (path: string, body: object) => {
      const headers = { 'content-type': 'application/json' };
      const answer = await fetch(path, { method: 'POST', headers, body: JSON.stringify(body) });
      if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`);
    };
    const command = (type: string, what: object) => ({
      id: crypto.randomUUID(),
      type,
      command: what,
      epoch: 0,
      observedAt: new Date().toISOString(),
      device: 'test screen',
    });
    const read = await fetch(`/api/tickets/${of}`);
    const { customer } = (await read.json()) as { customer: { id: string } };
    const ticket = crypto.randomUUID();
    const taken = { family: 'drop-in', label: 'Olive portable', words: 'Thread tears.' };
    const place = { tag: 74, shelf: 'A', customer: customer.id };
    const drafts = [command('intake-taken', { ...taken, ...place })];
    await post('/api/tickets', { ticket, customer: null, drafts });
    const entries = `/api/tickets/${ticket}/events`;
    await post(entries, command('ticket-closed', { unrepaired: true, why: 'no-part' }));
    const rates = { hour: 5400, taxPerMille: 190, taxIncluded: true };
    await post(entries, command('bill-made', { labourMinutes: 20, rates, currency: 'EUR' }));
    return ticket;
  }, first);
}

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
    await mirra.click('Hand out');
    await mirra.click('Charge €25.00 for 24 minutes');
    await mirra.sees('€25.00 to pay');
    await mirra.clickLine('[role="dialog"] label', 'card');
    await mirra.clickWithin('[role="dialog"]', 'Handed over');
    await mirra.sees('The customer has it back.');
    await mirra.sees('Bill 1 handed over');
    await mirra.sees('€25.00, paid: card');
    // One act of the hand: the payment goes with it, the bill stays.
    await mirra.click('Undo the hand-out');
    await mirra.sees('It is ready, and the customer knows.');
    await mirra.sees('€25.00 to pay');
    await mirra.click('Hand out');
    await mirra.clickLine('[role="dialog"] label', 'cash');
    await mirra.clickWithin('[role="dialog"]', 'Handed over');
    await mirra.sees('€25.00, paid: cash');
    expect(mirra.complaints).toEqual([]);
  });

  it('lowers a price afterwards: bill taken back by a credit, money given back, and undone', async () => {
    const mirra = await sharedScreen('mirra');
    await mirra.go(`/ticket/${demoTicketId(12)}`);
    await mirra.click('Correct it by a credit');
    await (await mirra.page.waitForSelector(field('Why is it corrected?')))?.type('Came twice');
    await mirra.page.keyboard.press('Enter');
    await mirra.sees('Credit 2 took bill 1 back.');
    await mirra.click('Change the price');
    await mirra.click('Take something off');
    await (await mirra.page.waitForSelector(field('Taken off')))?.type('5,00');
    await (await mirra.page.waitForSelector(field('Why')))?.type('Came twice');
    await mirra.click('Save the price');
    await mirra.sees('€5.00 paid above the price');
    await mirra.clickLine('label', 'cash');
    await mirra.click('Gave it back');
    await mirra.sees('€5.00 given back, cash');
    await mirra.click('Hand over the bill');
    await mirra.sees('Bill 3 handed over');
    await mirra.go(`/ticket/${demoTicketId(12)}`);
    await mirra.sees('Bill 3 handed over');
    await mirra.click('Undo');
    await mirra.sees('€5.00 paid above the price');
    expect(mirra.complaints).toEqual([]);
  });

  it('puts two machines of one customer on one bill, paid at once', async () => {
    const odren = await sharedScreen('odren');
    const first = demoTicketId(4);
    const second = await secondMachine(odren, first);
    const mirra = await sharedScreen('mirra');
    await mirra.go(`/ticket/${first}`);
    await mirra.sees('Here also');
    await mirra.handsOut('Olive portable', 'card');
    await mirra.sees('for Navy zigzag and Olive portable');
    // The other one goes out without paying again, and without a second bill while the first is still being read.
    const letCome = await mirra.holdBack(/\/bills$/);
    await mirra.go(`/ticket/${second}`);
    await mirra.sees('€18.00, paid: card');
    await mirra.click('Hand out');
    await mirra.sees('Looking for its bill.');
    await letCome();
    await mirra.seesNot('Looking for its bill.');
    await mirra.clickWithin('[role="dialog"]', 'Handed over');
    await mirra.page.waitForSelector('[role="dialog"]', { hidden: true });
    await mirra.sees('The customer has it back, unrepaired.');
    await mirra.sees('for Navy zigzag and Olive portable');
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

describe('somebody calls', () => {
  it('is found by name as fast as it is typed, the machine that stands here first', async () => {
    const mirra = await sharedScreen('mirra');
    await mirra.go('/');
    await mirra.sees('in the shop');
    await mirra.page.keyboard.press('/');
    // Faster than what does the finding is loaded: no letter is lost.
    await mirra.page.keyboard.type('morrowby');
    await mirra.page.keyboard.press('Enter');
    await mirra.sees('Customer says');
    expect(await mirra.text()).toContain('Rose zigzag');
    expect(mirra.complaints).toEqual([]);
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

describe('who does what', () => {
  it('is arranged by a lead with keys alone, pinned, and released again', async () => {
    const halle = await sharedScreen('halle');
    await halle.go('/');
    await halle.click('Arrange');
    await halle.page.waitForSelector('button[aria-label="Move 27 Teal zigzag"]');
    await halle.page.focus('button[aria-label="Move 27 Teal zigzag"]');
    const said = (text: string) =>
      halle.page.waitForFunction(
        (words) => document.querySelector('[id^="DndLiveRegion"]')?.textContent.includes(words),
        {},
        text,
      );
    await halle.page.keyboard.press('Space');
    await said('27 Teal zigzag is taken up.');
    await halle.page.keyboard.press('ArrowLeft');
    await said('27 Teal zigzag is over the bench of');
    await halle.page.keyboard.press('Space');
    await halle.sees('27 Teal zigzag is pinned to the bench of');
    const pinned = () =>
      stage().cluster.sql(
        stage().database,
        `select count(*) from ticket_summary where line ->> 'tag' = '27' and line -> 'pin' <> 'null'::jsonb`,
      );
    await expect.poll(pinned).toMatch(/^\s*1\s*$/);
    await halle.click('Release 27 Teal zigzag');
    await halle.sees('27 Teal zigzag goes by the plan again.');
    await expect.poll(pinned).toMatch(/^\s*0\s*$/);
    expect(halle.complaints).toEqual([]);
  });
});

describe('the evening', () => {
  it('finds what was paid on the day sheet, and keeps the count of the till', async () => {
    const mirra = await sharedScreen('mirra');
    await mirra.go(`/ticket/${demoTicketId(22)}`);
    await mirra.handsOut('Charge €25.00 for 6 minutes', 'cash');
    await mirra.sees('The customer has it back.');
    await mirra.go('/day');
    const takings = 'section[aria-label="Takings"]';
    await mirra.page.waitForSelector(takings);
    expect(await mirra.read(takings, (part) => part.innerText)).toContain('€25.00 (cash) for Mint');
    await (await mirra.page.waitForSelector(field('Cash counted')))?.type('25,00');
    await mirra.click('Save count');
    await mirra.sees('€25.00 counted, €50.00 taken in cash, by Mirra Oskel');
    expect(mirra.complaints).toEqual([]);
  });
});
