import { demoTicketId } from '@nodo/demo';
import { describe, expect, it } from 'vitest';
import type { Screen } from './screen.ts';
import { useStage } from './stage.ts';

const { screen, anonymous, stage, notesOf } = useStage();

const openMenu = (on: Screen) => on.page.locator('header button[aria-haspopup=menu]').click();
const choose = async (on: Screen, item: string): Promise<void> => {
  await openMenu(on);
  await on.page.locator(`::-p-aria([role="menuitem"][name="${item}"])`).click();
};
const typeInto = async (on: Screen, label: string, text: string): Promise<void> => {
  const field = await on.page.waitForSelector(`::-p-aria([name="${label}"])`);
  await field?.type(text);
};

async function setPin(on: Screen, login: string, pin: string): Promise<void> {
  await choose(on, 'Set my PIN');
  await typeInto(on, 'Your password', `needle-${login}`);
  await typeInto(on, 'PIN', pin);
  await on.press('Enter');
  await on.sees('The PIN is set.');
  await on.page.waitForSelector('[role="dialog"]', { hidden: true });
}

async function joinScreen(on: Screen, login: string): Promise<void> {
  await choose(on, 'Somebody else signs in');
  await on.page.waitForSelector('[role="dialog"] input[name=login]');
  await on.page.type('input[name=login]', login);
  await on.page.type('input[name=password]', `needle-${login}`);
  await on.press('Enter');
  await on.page.waitForSelector('[role="dialog"]', { hidden: true });
}

describe('one bench screen for several people', () => {
  it('is taken over by PIN, locks, and keeps what was half written', async () => {
    const bench = await screen('odren');
    await setPin(bench, 'odren', '4711');
    await joinScreen(bench, 'tavi');
    await setPin(bench, 'tavi', '2580');
    await bench.go(`/bench/${demoTicketId(30)}`);
    await bench.stepAfter('');
    await bench.press('1');
    await bench.page.waitForFunction(() => document.body.innerText.includes('TB'));

    // Half written when the screen locks.
    await bench.press('s');
    await bench.page.waitForSelector('[role="dialog"] input');
    await bench.page.keyboard.type('half a thought');
    await bench.page.evaluate(() =>
      fetch('/api/session/lock', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: '{}',
      }),
    );
    // The page hears of it when its stream ends.
    await bench.sees('This screen is locked');
    expect(await bench.text()).not.toContain('half a thought');
    await bench.click('Odren Vask');
    await typeInto(bench, 'PIN of Odren Vask', '0000');
    await bench.press('Enter');
    await bench.sees('That is not the PIN.');
    await typeInto(bench, 'PIN of Odren Vask', '4711');
    await bench.press('Enter');
    await bench.seesNot('This screen is locked');
    const written = await bench.read('[role="dialog"] input', ({ value }) => value);
    expect(written).toBe('half a thought');
    await bench.clickWithin('[role="dialog"]', 'Save');
    await bench.sees('“half a thought”');
    // Who made it stands beside it, mark and name.
    await bench.page.waitForFunction(() =>
      /“half a thought”\s*OV\s*Odren Vask/.test(document.body.innerText),
    );
    expect(bench.complaints.filter((one) => !/40[13]|423/.test(one))).toEqual([]);
  });
});

describe('an entry that waits while somebody else takes the screen over', () => {
  it('goes out as its maker’s, and says who stood there', async () => {
    const ticket = demoTicketId(31);
    const bench = await screen('odren');
    await setPin(bench, 'odren', '4711');
    await joinScreen(bench, 'tavi');
    await setPin(bench, 'tavi', '2580');
    await choose(bench, 'Odren Vask takes over');
    await typeInto(bench, 'PIN of Odren Vask', '4711');
    await bench.press('Enter');
    await bench.page.waitForSelector('[role="dialog"]', { hidden: true });
    const letGo = await bench.holdBack(/\/events$/);
    await bench.go(`/bench/${ticket}`);
    await bench.stepAfter('');
    await bench.note('made by Odren');
    await choose(bench, 'Tavi Brennick takes over');
    await typeInto(bench, 'PIN of Tavi Brennick', '2580');
    await bench.press('Enter');
    await bench.page.waitForSelector('[role="dialog"]', { hidden: true });
    await letGo();
    await expect.poll(() => notesOf(ticket)).toContain('made by Odren');
    const { cluster, database } = stage();
    const sent = await cluster.sql(
      database,
      `select a.login, s.login from ticket_event e
         join person a on a.id = e.actor_id left join person s on s.id = e.sent_by
        where e.body ->> 'words' = 'made by Odren'`,
    );
    expect(sent.trim()).toBe('odren|tavi');
  });
});

describe('what the lead is told of the shop’s data', () => {
  it('stands on the lead’s screens only, leads to the tickets, and can be put away', async () => {
    const { cluster, database } = stage();
    const notice = JSON.stringify({
      kind: 'entries-unproven',
      entries: 12,
      tickets: [demoTicketId(27), demoTicketId(30)],
    });
    await cluster.sql(
      database,
      `insert into notice (shop_id, id, at, body) select id, gen_random_uuid(), now(), '${notice}' from shop;
       insert into notice (shop_id, id, at, body)
       select id, gen_random_uuid(), now(), '{"kind":"erased-words-removed","words":5}' from shop`,
    );
    const tavi = await screen('tavi');
    const halle = await screen('halle');
    await halle.sees('12 entries in a lead’s name come from such screens');
    await halle.sees('had left 5 words of theirs in the search');
    expect(await tavi.text()).not.toContain('come from such screens');
    expect(await halle.audit()).toEqual([]);
    await halle.clickWithin('section[aria-label="About the shop’s data"] li', 'Ticket 1');
    await halle.stepAfter('');
    expect(halle.page.url()).toContain(demoTicketId(27));
    expect(await halle.text()).not.toContain('come from such screens');
    await halle.click('Rack');
    await halle.sees('come from such screens');
    await halle.page.$$eval('section[aria-label="About the shop’s data"] button', ([first]) =>
      first?.click(),
    );
    await expect
      .poll(() =>
        halle.page.$$eval('section[aria-label="About the shop’s data"] li', (all) => all.length),
      )
      .toBe(1);
    await halle.page.reload();
    await halle.sees('Dismiss');
    expect(await halle.page.$$('section[aria-label="About the shop’s data"] li')).toHaveLength(1);
  });
});

describe('two people on one ticket', () => {
  it('see who is there, and what is left to them', async () => {
    const ticket = demoTicketId(27);
    const odren = await screen('odren');
    const tavi = await screen('tavi');
    await odren.go(`/bench/${ticket}`);
    await odren.stepAfter('');
    await tavi.sees('also open: Odren Vask');
    await odren.click('Job sheet');
    await odren.clickWithin('[role="dialog"]', 'Hand over');
    await odren.selects('To', 'Tavi Brennick');
    await typeInto(odren, 'What they must know', 'Bobbin case is in the dish.');
    await odren.clickWithin('[role="dialog"]', 'Hand over');
    await odren.sees('You handed this over to Tavi Brennick:');
    await tavi.sees('for Tavi Brennick: Bobbin case is in the dish.');
    await tavi.go(`/bench/${ticket}`);
    await tavi.sees('Odren Vask hands this over to you: Bobbin case is in the dish.');
    await odren.page.waitForSelector('[title^="Tavi Brennick looks at"]');
    await tavi.stepAfter('');
    await tavi.press('1');
    await tavi.seesNot('hands this over to you');
    await odren.seesNot('You handed this over to');
  });
});

describe('a lead', () => {
  it('finds a screen by the name that the shop gave it, and ends it', async () => {
    const tavi = await screen('tavi');
    await choose(tavi, 'Name this screen');
    await typeInto(tavi, 'What the shop calls it', 'Bench by the window');
    await tavi.press('Enter');
    await tavi.page.waitForSelector('[role="dialog"]', { hidden: true });
    const halle = await screen('halle');
    await halle.go('/people');
    await halle.sees('Bench by the window');
    await halle.page.$$eval('section li', (all) =>
      all
        .find(({ innerText }) => innerText.includes('Bench by the window'))
        ?.querySelector('button')
        ?.click(),
    );
    await halle.seesNot('Bench by the window');
    await tavi.sees('Who is at the bench?');
  });

  it('invites somebody, who signs in by the code, and sees what they did; then locks them out', async () => {
    const halle = await screen('halle');
    await halle.go('/people');
    await typeInto(halle, 'Name', 'Wenna Trosk');
    await halle.click('Invite');
    await halle.sees('Code for Wenna Trosk');
    const code = await halle.read('[data-code]', ({ textContent }) => textContent);
    const wenna = await anonymous();
    await wenna.click('I have a code from the lead');
    await typeInto(wenna, 'Sign-in name', 'wenna');
    await typeInto(wenna, 'Code from the lead', code);
    await typeInto(wenna, 'New password', 'a thimble of tea');
    await wenna.press('Enter');
    await wenna.sees('The password is set.');
    await wenna.page.type('input[name=login]', 'wenna');
    await wenna.page.type('input[name=password]', 'a thimble of tea');
    await wenna.press('Enter');
    await wenna.sees('in the shop');
    await halle.go('/people');
    await halle.sees('Wenna Trosk signed in');
    await halle.page.evaluate(() => {
      const line = [...document.querySelectorAll('li')].find(
        ({ innerText }) => innerText.startsWith('WT') || innerText.includes('Wenna Trosk wenna'),
      );
      [...(line?.querySelectorAll('button') ?? [])]
        .find(({ innerText }) => innerText === 'Lock')
        ?.click();
    });
    await halle.sees('Wenna Trosk is locked and signed out everywhere.');
    await wenna.sees('Who is at the bench?');
  });
});

describe('a link for the customer', () => {
  it('shows how far the machine is, without signing in, until it is undone', async () => {
    const odren = await screen('odren');
    await odren.go(`/bench/${demoTicketId(9)}`);
    await odren.click('Job sheet');
    await odren.clickWithin('[role="dialog"]', 'Link for the customer');
    await odren.click('Make a link');
    const field = await odren.page.waitForSelector(
      '[role="dialog"] input[readonly][value*="/shared/"]',
    );
    const address = (await field?.evaluate((input) => input.value)) ?? '';
    const customer = await anonymous();
    await customer.page.goto(address);
    await customer.sees('It is on the bench.');
    const shown = await customer.text();
    expect(shown).toContain('Plum zigzag');
    expect(shown).not.toMatch(/Sorrel Vint|Tavi|Odren|%/);
    await odren.click('Withdraw');
    await odren.sees('withdrawn');
    await customer.page.reload();
    await customer.sees('This link does not hold');
  });
});
