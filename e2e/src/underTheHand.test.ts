import { demoTicketId } from '@nodo/demo';
import { describe, expect, it } from 'vitest';
import type { Screen } from './screen.ts';
import { useStage } from './stage.ts';

const { screen } = useStage();

async function atBench(login: string, tag: number): Promise<Screen> {
  const opened = await screen(login);
  await opened.go(`/bench/${demoTicketId(tag)}`);
  await opened.stepAfter('');
  return opened;
}

/** The text of the side with what is still to do and what was put off. */
function putOff(one: Screen): Promise<string> {
  return one.read('section[aria-labelledby="put-off-title"]', (box) => box.textContent);
}

/** How many entries the history tells. */
const historyOf = () => document.body.innerText.match(/History, (\d+)/)?.[1];

describe('nothing changes under the hand', () => {
  it('a colleague’s answer comes up on the check, which stays until it is answered here', async () => {
    const odren = await atBench('odren', 27);
    const tavi = await atBench('tavi', 27);
    const asked = await tavi.step();
    expect(asked).toBe('Is the presser down');
    const before = await tavi.page.evaluate(historyOf);
    // A key that was on its way when it comes up answers nothing: pressed with the frame in which it stands there.
    const pressed = tavi.page.waitForFunction(() => {
      if (!document.querySelector('section[aria-label="Answered already"]')) return false;
      document.body.dispatchEvent(new KeyboardEvent('keydown', { key: '2', bubbles: true }));
      return true;
    });
    // The same kind of press answers where nothing has come up.
    await odren.page.evaluate(() => {
      document.body.dispatchEvent(new KeyboardEvent('keydown', { key: '1', bubbles: true }));
    });
    await odren.stepAfter(asked);
    await pressed;
    const told = await tavi.read('section[aria-label="Answered already"]', (box) => box.innerText);
    expect(told).toContain('Odren Vask');
    expect(told).toContain('down');
    expect(await tavi.step()).toBe(asked);
    // One entry more, and that is the colleague's.
    expect(Number(await tavi.page.evaluate(historyOf))).toBe(Number(before) + 1);
    await tavi.click('Take this answer, next step');
    expect(await tavi.stepAfter(asked)).toBe(await odren.step());
    expect([...odren.complaints, ...tavi.complaints]).toEqual([]);
  });

  it('a strike that a colleague finds covers what stands there', async () => {
    const odren = await atBench('odren', 31);
    const tavi = await atBench('tavi', 31);
    const asked = await tavi.step();
    await odren.go(`/bench/${demoTicketId(31)}?check=plate-surface`);
    await odren.page.waitForFunction(
      () => document.querySelector('#step-title')?.textContent === 'Needle plate',
    );
    // Unplugged, opened, then the nick at the edge.
    await odren.press('1');
    await odren.sees('unplugged');
    await odren.press('1');
    await odren.sees('In the parts dish');
    await odren.press('2');
    await tavi.stepAfter(asked);
    expect([...odren.complaints, ...tavi.complaints]).toEqual([]);
  });

  it('the clock, a note and a photo leave the check where it is', async () => {
    const odren = await atBench('odren', 3);
    const asked = await odren.step();
    await odren.click('Start the clock');
    await odren.sees('running');
    await odren.note('smells of dust');
    expect(await odren.step()).toBe(asked);
    expect(odren.complaints).toEqual([]);
  });

  it('Enter logs what was ticked, also when a tick was the last thing touched', async () => {
    const odren = await atBench('odren', 25);
    await odren.go(`/bench/${demoTicketId(25)}?check=spool-setup`);
    await odren.page.waitForFunction(
      () => document.querySelector('#step-title')?.textContent === 'Spool, cap and pin',
    );
    await odren.page.click('[data-answer="2"]');
    await odren.page.click('[data-answer="4"]');
    await odren.sees('Log 2 seen');
    await odren.press('Enter');
    await odren.stepAfter('Spool, cap and pin');
    await odren.sees('cap smaller than the spool end, gap between cap and spool');
    expect(odren.complaints).toEqual([]);
  });
});

describe('undo', () => {
  it('takes back one act of the hand: what one tap wrote at once, and “not now”', async () => {
    const odren = await atBench('odren', 19);
    const first = await odren.step();
    await odren.press('n');
    const second = await odren.stepAfter(first);
    expect(await putOff(odren)).toContain(`${first}later`);
    await odren.press('u');
    expect(await odren.stepAfter(second)).toBe(first);
    await odren.sees(`Undone: not now: ${first}, by Odren Vask`);

    // A turn of the case screw is three entries, of one tap.
    await odren.go(`/bench/${demoTicketId(19)}/bobbin/tension`);
    await odren.click('It was unplugged when this was done');
    await odren.click('It is off and unplugged');
    await odren.click('+5 tighter');
    await odren.sees('The screw was turned since the last measurement. Measure again.');
    await odren.click('Next step');
    await odren.stepAfter('');
    await odren.sees('The case screw was turned');
    await odren.press('u');
    await odren.seesNot('The case screw was turned');
    await odren.readHistory();
    const undone = await odren.page.$$eval('[role="dialog"] li .line-through', (all) =>
      all.map(({ textContent }) => textContent),
    );
    expect(undone).toHaveLength(3);
    expect(undone[0]).toContain('Case screw tighter by 5 min');
    expect(odren.complaints).toEqual([]);
  });

  it('takes back an action that was put off for more checks', async () => {
    const odren = await atBench('odren', 20);
    expect(await odren.step()).toBe('Fit a new needle');
    await odren.click('Check more first');
    const check = await odren.stepAfter('Fit a new needle');
    expect(await putOff(odren)).toContain('New needle fittedafter more checks');
    await odren.press('u');
    expect(await odren.stepAfter(check)).toBe('Fit a new needle');
    expect(odren.complaints).toEqual([]);
  });

  it('takes back closing and “the customer has it back”', async () => {
    const odren = await atBench('odren', 30);
    await odren.workToTheKnot();
    await odren.handsOut();
    await odren.sees('The customer has this machine.');
    await odren.press('u');
    await odren.sees('Hand out');
    await odren.press('u');
    await odren.seesNot('Ticket closed');
    expect(odren.complaints).toEqual([]);
  });
});

describe('a check that cannot be told', () => {
  it('asks why, waits in a list with the reason, and is taken up again from there', async () => {
    const odren = await atBench('odren', 11);
    const asked = await odren.step();
    await odren.press('0');
    await odren.sees('Why can you not tell?');
    await odren.press('1');
    await odren.stepAfter(asked);
    expect(await putOff(odren)).toContain(`${asked}The tool is missing`);
    await odren.clickWithin('section[aria-labelledby="put-off-title"]', asked);
    await odren.page.waitForFunction(
      (title) => document.querySelector('#step-title')?.textContent === title,
      {},
      asked,
    );
    await odren.press('1');
    await odren.page.waitForSelector('section[aria-labelledby="put-off-title"]', { hidden: true });
    expect(odren.complaints).toEqual([]);
  });
});
