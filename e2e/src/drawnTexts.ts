import type { Page } from 'puppeteer-core';

/** What is written in the drawings of a page and cannot be read: smaller than 14 px, cut off, or over another word. */
export function badlyDrawnTexts(page: Page): Promise<readonly string[]> {
  return page.evaluate(() =>
    [...document.querySelectorAll<SVGSVGElement>('svg:has(text)')].flatMap((drawing) => {
      const edge = drawing.getBoundingClientRect();
      const texts = [...drawing.querySelectorAll('text')]
        .map((text) => ({ text, box: text.getBoundingClientRect() }))
        .filter(({ box }) => box.width > 0);
      return texts.flatMap(({ text, box }, at) => {
        const scale = text.getScreenCTM();
        const size =
          Number.parseFloat(getComputedStyle(text).fontSize) *
          Math.hypot(scale?.a ?? 0, scale?.b ?? 0);
        const isClipped = box.left < edge.left - 1 || box.right > edge.right + 1;
        // A line's box is taller than its letters.
        const isOver = texts
          .slice(at + 1)
          .some(
            ({ box: other }) =>
              box.left < other.right - 1 &&
              other.left < box.right - 1 &&
              box.top < other.bottom - 4 &&
              other.top < box.bottom - 4,
          );
        return size < 13.9 || isClipped || isOver
          ? [
              `${text.textContent} ${size.toFixed(1)}${isClipped ? ' clipped' : ''}${isOver ? ' over another' : ''}`,
            ]
          : [];
      });
    }),
  );
}
