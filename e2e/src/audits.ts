import { DEMO_CUSTOMER, demoTicketId } from '@nodo/demo';
import { describe, expect, it } from 'vitest';
import { LONG_PATIENCE_MS } from '../../scripts/lib/patience.mjs';
import { useStage } from './stage.ts';

/** Every view and state of it, for one theme; a test file each, so that two can run at a time. */
export function auditEachView(theme: 'day' | 'night'): void {
  const { sharedScreen: screen, anonymous } = useStage();

  describe(`the audit of each view, ${theme} bench`, () => {
    it('sign-in', async () => {
      const someone = await anonymous(theme);
      await someone.sees('Who is at the bench?');
      expect(await someone.audit()).toEqual([]);
    });

    it('Rack, full and with no machine that fits; the tools', async () => {
      const odren = await screen('odren', theme);
      await odren.go('/');
      await odren.sees('Teal zigzag');
      expect(await odren.audit()).toEqual([]);
      await odren.go('/?shelf=Z');
      await odren.sees('No machine fits');
      expect(await odren.audit()).toEqual([]);
      await odren.go('/tools');
      await odren.sees('Thread left');
      expect(await odren.audit()).toEqual([]);
    });

    it('Counter, blank and with what it sounds like', async () => {
      const mirra = await screen('mirra', theme);
      await mirra.go('/counter');
      await mirra.sees('What kind is it?');
      expect(await mirra.audit()).toEqual([]);
      await mirra.click('Stitches are skipped');
      await mirra.click('Save ticket');
      await mirra.sees('Needed here.');
      expect(await mirra.audit()).toEqual([]);
    });

    it.each([
      ['a check', 27],
      ['a repair, open, in debt', 14],
      ['contested', 11],
      ['closed', 12],
    ])('Bench: %s', async (_, tag) => {
      const odren = await screen('odren', theme);
      await odren.go(`/bench/${demoTicketId(tag)}`);
      await odren.stepAfter('');
      expect(await odren.audit()).toEqual([]);
    });

    it.each([
      ['Ticket page, a part awaited', `/ticket/${demoTicketId(29)}`, 'Customer says'],
      ['Ticket page, a price asked', `/ticket/${demoTicketId(33)}`, 'Customer says'],
      ['Customer', `/customers/${DEMO_CUSTOMER.customer}`, 'The same person as'],
      ['Machine', `/machines/${DEMO_CUSTOMER.machine}`, 'Change the record'],
      ['Shop', '/shop', 'Working time'],
      ['Collected machines', '/collected', 'Dove zigzag'],
      ['Day sheet', '/day', 'Takings'],
    ])('%s', async (_, path, shown) => {
      const halle = await screen('halle', theme);
      await halle.go(path);
      await halle.sees(shown);
      expect(await halle.audit()).toEqual([]);
    });

    it.each(['seat', 'condition', 'fit', 'wear', 'broken', 'register'])(
      'Needle, beside a ticket: %s',
      async (part) => {
        const odren = await screen('odren', theme);
        await odren.go(`/bench/${demoTicketId(14)}/needle/${part}`);
        await odren.sees('Likely now');
        await odren.sees('Back to the bench');
        await odren.page.waitForSelector('h1');
        expect(await odren.audit()).toEqual([]);
      },
    );

    it.each(['which', 'condition', 'case', 'marks', 'tension', 'left'])(
      'Bobbin, beside a ticket: %s',
      async (part) => {
        const odren = await screen('odren', theme);
        await odren.go(`/bench/${demoTicketId(30)}/bobbin/${part}`);
        await odren.sees('Likely now');
        await odren.sees('Back to the bench');
        await odren.page.waitForSelector('h1');
        expect(await odren.audit()).toEqual([]);
      },
    );

    it.each([
      ['why?turned=60', 'The least that helps'],
      ['turn', 'The top thread'],
      ['timing', 'Needle has risen'],
    ])('Stitch, beside a ticket: %s', async (part, shown) => {
      const odren = await screen('odren', theme);
      await odren.go(`/bench/${demoTicketId(14)}/stitch/${part}`);
      await odren.sees(shown);
      await odren.page.waitForSelector('[data-stitch-views]');
      expect(await odren.audit()).toEqual([]);
    });

    it.each([
      ['balance', 'Which picture looks like it?'],
      ['pull', 'Presser up, gf'],
      ['path', 'Where did it leave its way?'],
      ['alike', 'Tells them apart'],
    ])('Tension, beside a ticket: %s', async (part, shown) => {
      const odren = await screen('odren', theme);
      await odren.go(`/bench/${demoTicketId(14)}/tension/${part}`);
      await odren.sees(shown);
      expect(await odren.audit()).toEqual([]);
    });

    it.each([
      ['read', 'Nothing measured yet.'],
      ['compare', 'No sample was measured on this ticket yet.'],
    ])('Sample, beside a ticket: %s', async (part, shown) => {
      const odren = await screen('odren', theme);
      await odren.go(`/bench/${demoTicketId(14)}/sample/${part}`);
      await odren.sees(shown);
      expect(await odren.audit()).toEqual([]);
    });

    it('Bobbin, a mark about to be laid where an earlier visit left one', async () => {
      const odren = await screen('odren', theme);
      await odren.go(`/bench/${demoTicketId(27)}/bobbin/marks?on=plate-top`);
      await odren.sees('left as it was');
      expect(await odren.audit()).toEqual([]);
      await odren.click('It is off and unplugged');
      await odren.page.focus('button[aria-label^="Put a mark"]');
      for (const key of ['ArrowRight', ...Array.from({ length: 4 }, () => 'ArrowRight')]) {
        await odren.press(key);
      }
      for (let step = 0; step < 4; step += 1) await odren.press('ArrowDown');
      await odren.sees('An earlier mark lay here');
      expect(await odren.audit()).toEqual([]);
    });

    it('Needle, alone, and the seat of a head of nine', async () => {
      const odren = await screen('odren', theme);
      await odren.go('/needle');
      await odren.sees('How does the needle sit?');
      expect(await odren.audit()).toEqual([]);
      await odren.go(`/bench/${demoTicketId(8)}/needle`);
      await odren.sees('Needles of this head');
      await odren.click('Needle 7: not looked at');
      expect(await odren.audit()).toEqual([]);
    });

    it('Job sheet, and the search with what it found', async () => {
      const odren = await screen('odren', theme);
      await odren.go(`/bench/${demoTicketId(29)}`);
      await odren.stepAfter('');
      await odren.click('Job sheet');
      await odren.sees('Bobbin case, expected');
      await odren.sees('Another day');
      expect(await odren.audit()).toEqual([]);
      await odren.press('Escape');
      await odren.searches('ilvane');
      await odren.page.waitForSelector('[cmdk-item]');
      expect(await odren.audit()).toEqual([]);
      await odren.press('Escape');
    });

    it('Phone call: the sheet, a question, the end', async () => {
      const mirra = await screen('mirra', theme);
      await mirra.go('/phone');
      await mirra.sees('Begin the questions');
      expect(await mirra.audit()).toEqual([]);
      await mirra.click('Stitches are skipped');
      await mirra.click('Begin the questions');
      await mirra.stepAfter('');
      expect(await mirra.audit()).toEqual([]);
      await mirra.press('x');
      await mirra.sees('Stop and unplug');
      expect(await mirra.audit()).toEqual([]);
    });

    it.each(['/knowledge', '/knowledge/check/bobbin-turn', '/knowledge/cause/needle-backward'])(
      'Knowledge: %s',
      async (path) => {
        const odren = await screen('odren', theme);
        await odren.go(path);
        await odren.sees('Causes (');
        expect(await odren.audit()).toEqual([]);
      },
    );

    it('Knowledge: changes of the shop, one proposed with its effect, the form for another', async () => {
      const halle = await screen('halle', theme);
      await halle.go('/knowledge/changes');
      await halle.sees('Six of our last hundred');
      expect(await halle.audit()).toEqual([]);
      await halle.clickWithin('article', 'Needle not up to its stop');
      await halle.sees('On open tickets', LONG_PATIENCE_MS);
      expect(await halle.audit()).toEqual([]);
      await halle.go('/knowledge/cause/needle-low');
      await halle.click('Propose a change');
      await halle.sees('What should change?');
      expect(await halle.audit()).toEqual([]);
    });

    it('Bench: the seam as a list, one stitch opened, the plans', async () => {
      const odren = await screen('odren', theme);
      await odren.go(`/bench/${demoTicketId(14)}`);
      await odren.stepAfter('');
      await odren.readHistory();
      await odren.sees('All entries, the latest first');
      expect(await odren.audit()).toEqual([]);
      await odren.press('Escape');
      await odren.page.focus('[data-stitch][tabindex="0"]');
      await odren.press('Enter');
      await odren.page.waitForSelector('[data-radix-popper-content-wrapper]');
      expect(await odren.audit()).toEqual([]);
      await odren.press('Escape');
      await odren.page.evaluate(() =>
        document.querySelector('details:has(input[name=plan])')?.setAttribute('open', ''),
      );
      expect(await odren.audit()).toEqual([]);
    });

    it('People: accounts, a code, screens, who did what', async () => {
      const halle = await screen('halle', theme);
      await halle.go('/people');
      await halle.sees('kept the open tickets');
      expect(await halle.audit()).toEqual([]);
      await halle.page.evaluate(() => {
        const line = [...document.querySelectorAll('li')].find(({ innerText }) =>
          innerText.includes('Pim Larkaby'),
        );
        [...(line?.querySelectorAll('button') ?? [])]
          .find(({ innerText }) => innerText === 'New code')
          ?.click();
      });
      await halle.sees('Code for Pim Larkaby');
      expect(await halle.audit()).toEqual([]);
    });

    it('Data: before the first backup, and after it', async () => {
      const halle = await screen('halle', theme);
      await halle.go('/data');
      await halle.sees('Backups begin with a passphrase');
      expect(await halle.audit()).toEqual([]);
      await halle.click('Suggest one');
      await halle.click('It is on paper, and the paper does not lie beside this computer');
      await halle.click('Seal and back up');
      await halle.sees('Last backup', LONG_PATIENCE_MS);
      expect(await halle.audit()).toEqual([]);
    });

    it('Data: a list that is brought in, with a fault and without; an address for calendars', async () => {
      const halle = await screen('halle', theme);
      await halle.go('/data');
      await halle.giveFile('Name;Mobile\nIda Wenlock;0555 0144\n;0555 0145\n');
      await halle.sees('1 row cannot be taken over');
      expect(await halle.audit()).toEqual([]);
      await halle.click('Another file');
      await halle.giveFile('Name;Mobile\nIda Wenlock;0555 0144\n');
      await halle.sees('1 new, 0 changed');
      expect(await halle.audit()).toEqual([]);
      await halle.click('Make an address');
      await halle.sees('Address for the calendar');
      expect(await halle.audit()).toEqual([]);
    });

    it('access for programs: the form, and a secret that is shown', async () => {
      const tavi = await screen('tavi', theme);
      await tavi.go('/programs');
      await tavi.sees('Two examples');
      expect(await tavi.audit()).toEqual([]);
      await tavi.page.type('::-p-aria([name="What is it for?"])', 'Labels');
      await tavi.page.type('input[type=password]', 'needle-tavi');
      await tavi.click('Give access');
      await tavi.sees('This secret is shown this once.');
      expect(await tavi.audit()).toEqual([]);
    });

    it('one’s own menu, the sheets of a ticket, and a locked screen', async () => {
      const tavi = await screen('tavi', theme);
      await tavi.go(`/bench/${demoTicketId(9)}`);
      await tavi.stepAfter('');
      for (const [opener, seen] of [
        ['Hand over', 'Hand over'],
        ['Link for the customer', 'A page for the customer'],
      ] as const) {
        await tavi.click('Job sheet');
        await tavi.clickWithin('[role="dialog"]', opener);
        await tavi.sees(seen);
        expect(await tavi.audit()).toEqual([]);
        await tavi.press('Escape');
        await tavi.page.waitForSelector('[role="dialog"]', { hidden: true });
      }
      await tavi.page.locator('header button[aria-haspopup=menu]').click();
      await tavi.sees('Lock this screen');
      expect(await tavi.audit()).toEqual([]);
      await tavi.page.locator('::-p-aria([role="menuitem"][name="Lock this screen"])').click();
      await tavi.sees('This screen is locked');
      expect(await tavi.audit()).toEqual([]);
      await tavi.page.type('input[name=login]', 'tavi');
      await tavi.page.type('input[name=password]', 'needle-tavi');
      await tavi.press('Enter');
      await tavi.seesNot('This screen is locked');
    });

    it('a code for a password, and a link that does not hold', async () => {
      const someone = await anonymous(theme);
      await someone.click('I have a code from the lead');
      await someone.sees('A password of your own');
      expect(await someone.audit()).toEqual([]);
      await someone.go(`/shared/${'x'.repeat(43)}`);
      await someone.sees('This page cannot be shown');
      expect(await someone.audit()).toEqual([]);
    });

    it('Bench: the sheet for something else, and the place of a missing ticket', async () => {
      const odren = await screen('odren', theme);
      await odren.go(`/bench/${demoTicketId(27)}`);
      await odren.stepAfter('');
      await odren.press('s');
      await odren.page.keyboard.type('lint');
      await odren.sees('Lint in the hook race');
      expect(await odren.audit()).toEqual([]);
      await odren.click('Add a photo');
      await odren.sees('Choose or take a photo');
      expect(await odren.audit()).toEqual([]);
      await odren.go('/bench/00000000-0000-4000-8000-000000000000');
      await odren.sees('There is no such ticket');
      expect(await odren.audit()).toEqual([]);
    });
  });
}
