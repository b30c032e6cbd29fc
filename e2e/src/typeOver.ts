import { field, type Screen } from './screen.ts';

/** Types over what stands in a field, as a hand does: filling it past the page is undone when it is painted anew. */
export async function typeOver(one: Screen, name: string, text: string): Promise<void> {
  await (await one.page.waitForSelector(field(name)))?.focus();
  await one.page.keyboard.down('Control');
  await one.press('a');
  await one.page.keyboard.up('Control');
  await one.page.keyboard.type(text);
}
