import { randomUUID } from 'node:crypto';
import { FIRST_LOGIN, openOwnShop } from '@nodo/server';
import { expect, it } from 'vitest';
import { field } from './screen.ts';
import { useStage } from './stage.ts';

const { stage, anonymous } = useStage({ isOwnShop: true });
const PASSWORD = 'a password of theirs';

it('goes from the code of a new shop to its first machine on the bench, and finds nothing of the demo', async () => {
  const { cluster, database } = stage();
  const { login, code } = await openOwnShop(
    cluster.settings(database),
    randomUUID(),
    FIRST_LOGIN,
    () => new Date(),
  );
  const lead = await anonymous();
  const { page } = lead;
  const fill = async (name: string, text: string) => {
    await page.locator(`::-p-aria([name="${name}"][role="textbox"])`).fill(text);
  };
  await lead.click('I have a code from the lead');
  await page.waitForSelector('input[name=code]');
  await page.type('input[name=login]', login);
  await page.type('input[name=code]', code ?? '');
  await page.type('input[name=password]', PASSWORD);
  await lead.click('Set the password');
  await lead.sees('The password is set. Sign in with it.');
  await page.type('input[name=login]', login);
  await page.type('input[name=password]', PASSWORD);
  await lead.click('Sign in');
  await lead.sees('Your own shop');
  await lead.sees('First the shop’s name and yours.');
  expect(await lead.audit()).toEqual([]);
  await fill('What it is called', 'Bench Nowhere');
  await fill('Your name', 'Ansa Vorrel');
  await fill('Shelves', 'Window, A');
  await lead.selects('Language of papers for customers', 'Deutsch');
  await lead.click('Open the shop');
  await lead.sees('The first hour');
  await lead.sees('0 machines in the shop');
  await lead.sees('Its tag can be printed once it is taken in.');
  expect(await lead.audit()).toEqual([]);
  await lead.clickWithin('section[aria-label="The first hour"]', 'Take in the first machine');
  await lead.sees('What kind is it?');
  // Its own shelves are offered.
  expect(await page.$$eval('datalist option', (all) => all.map((one) => one.value))).toEqual([
    'Window',
    'A',
  ]);
  await fill('Name', 'Jasper Holtquist');
  await fill('Short description', 'Ash zigzag');
  await lead.click('Stitches are skipped');
  await lead.click('Save ticket');
  await lead.sees('Ticket 1 saved.');
  await lead.go('/');
  await lead.sees('1 machine in the shop');
  // Nobody said where: it stands on the first of them.
  await page.waitForSelector('[aria-label="Shelf Window"]');
  await page.waitForSelector(field('Print its tag and hang it on the machine'));
  await lead.clickWithin('section[aria-label="The first hour"]', 'Check it on the bench');
  await lead.stepAfter('');
  await lead.go('/shop');
  await lead.sees('Working time');
  await lead.sees('Ansa Vorrel');
  await lead.sees('Deutsch');
  expect(
    await page.$eval(field('What it is called'), (box) => (box as HTMLInputElement).value),
  ).toBe('Bench Nowhere');
  // Called otherwise, it is so at once.
  await fill('What it is called', 'Bench Elsewhere');
  await lead.click('Save');
  await lead.sees('Everything is saved.');
  await lead.page.reload();
  await lead.sees('Working time');
  expect(
    await page.$eval(field('What it is called'), (box) => (box as HTMLInputElement).value),
  ).toBe('Bench Elsewhere');
  // What it has now is worth saving, and it is told so until it is.
  await lead.sees('Nothing of this shop is saved anywhere else yet.');
  await lead.click('To the backups');
  await lead.click('Suggest one');
  await lead.click('It is on paper, and the paper does not lie beside this computer');
  await lead.click('Seal and back up');
  await lead.sees('Backed up today');
  await lead.sees('None has been taken off this computer yet.');
  await lead.seesNot('Nothing of this shop is saved anywhere else yet.');
  expect(lead.complaints).toEqual([]);
});
