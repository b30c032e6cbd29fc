import type { Screen } from './screen.ts';

/** Slides to a value, as a hand that drags does: the page hears of it, not only the box. */
export async function slide(one: Screen, selector: string, value: string): Promise<void> {
  await one.page.waitForSelector(selector);
  await one.page.$eval(
    selector,
    (slider, to) => {
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
      set?.call(slider, to);
      slider.dispatchEvent(new Event('input', { bubbles: true }));
    },
    value,
  );
}
