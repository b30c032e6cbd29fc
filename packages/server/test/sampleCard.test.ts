import { inflateSync } from 'node:zlib';
import { CARD } from '@nodo/core';
import { describe, expect, it } from 'vitest';
import { printedSampleCard } from '../src/documents/sampleCard.ts';

/** Points of a PDF in a millimetre: 72 to an inch of 25.4 (ISO 32000-1, 8.3.2.3). */
const MM = 72 / 25.4;

/** What is drawn on the pages of a PDF, as its operators. */
function drawnOn(pdf: Buffer): string {
  const text = pdf.toString('latin1');
  return [...text.matchAll(/stream\r?\n([\s\S]*?)\r?\nendstream/g)]
    .map(([, body = '']) => {
      try {
        return inflateSync(Buffer.from(body, 'latin1')).toString('latin1');
      } catch {
        return '';
      }
    })
    .join('\n');
}

describe('the scale card as printed', () => {
  it('is in true size: frame, line to check, and the middles of its marks', async () => {
    const pdf = await printedSampleCard();
    expect(pdf.toString('latin1')).toMatch(/MediaBox \[0 0 595\.2\d* 841\.8\d*\]/);
    const drawn = drawnOn(pdf);
    const numbers = (line: string) => [...line.matchAll(/-?[\d.]+/g)].map(([one]) => Number(one));
    const [left = 0, top = 0, wide, tall] = numbers(/^.* re$/m.exec(drawn)?.[0] ?? '');
    expect(wide).toBeCloseTo(CARD.width * MM, 1);
    expect(tall).toBeCloseTo(CARD.height * MM, 1);
    const lines = [...drawn.matchAll(/^([\d.]+) ([\d.]+) m\n([\d.]+) ([\d.]+) l\nS?/gm)].map(
      ([, x1, y1, x2, y2]) => [x1, y1, x2, y2].map(Number),
    );
    const check = lines.find(([x1 = 0, y1 = 0, x2 = 0, y2 = 0]) => y1 === y2 && x2 - x1 > 100);
    expect((check?.[2] ?? 0) - (check?.[0] ?? 0)).toBeCloseTo(50 * MM, 1);
    // Circles begin at their left: the ring's middle line, and the dot.
    const begins = [...drawn.matchAll(/^([\d.]+) ([\d.]+) m\n[\d. ]+ c$/gm)].map(([, x, y]) => [
      (Number(x) - left) / MM,
      (Number(y) - top) / MM,
    ]);
    for (const { x, y } of CARD.marks) {
      const ring = (CARD.ring.outer + CARD.ring.inner) / 2;
      for (const radius of [ring, CARD.dot])
        expect(
          begins.some(([bx = 0, by = 0]) => Math.hypot(bx - (x - radius), by - y) < 0.02),
          `${x} ${y} ${radius}`,
        ).toBe(true);
    }
  });
});
