import type { Screen } from './screen.ts';

/** Takes one answer of a question, as a finger does: clicks on its label. */
export async function choose(one: Screen, question: string, answer: string): Promise<void> {
  await one.page.waitForFunction(
    (asked, wanted) => {
      const group = [...document.querySelectorAll('fieldset')].find((fieldset) =>
        fieldset.querySelector('legend')?.textContent.includes(asked),
      );
      const label = [...(group?.querySelectorAll('label') ?? [])].find(
        ({ textContent }) => textContent.trim() === wanted,
      );
      label?.click();
      return label !== undefined;
    },
    { polling: 50 },
    question,
    answer,
  );
}
