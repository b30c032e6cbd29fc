import { CARD } from '@nodo/core';
import { mm, type Page, sheet, write } from './page.ts';

/** Where the card lies on its sheet, in millimetres. */
const AT = { left: 50, top: 40 } as const;
const INK = '#000000';
/** Stroke of what is drawn thin, in millimetres. */
const THIN = 0.3;

/**
 * The card that a sewn sample is photographed on, in true size on A4. In the language of the screen that measures it,
 * whatever the shop's papers are written in.
 */
export function printedSampleCard(): Promise<Buffer> {
  return sheet('Scale card for sewn samples', [210, 297], (page) => {
    write(page, 'Scale card for sewn samples', [25, 18], { size: 16, bold: true, width: 160 });
    write(
      page,
      'Print it in true size (100 %, not fitted to the page), on matt white paper, and cut it out.',
      [25, 27],
      { size: 10, width: 160 },
    );
    drawCard(page);
    const top = AT.top + CARD.height + 14;
    const steps = [
      `The line on the card must measure ${CARD.check.right - CARD.check.left} mm. If it does not, the print was scaled: every length read from it would be wrong by as much.`,
      'Cut the sample to 100 by 44 mm at least, so that it covers the frame. Lay it there, sewn along the arrow, flat, with the four marks free. A spray or tape at its edges keeps it flat.',
      'Take the picture from straight above, the whole card in it, without flash. Then turn the sample over about the line of its seam and take the other side.',
      'Two colours of thread on a third of fabric: thread in the fabric’s colour cannot be measured.',
    ];
    let next = top;
    for (const [index, step] of steps.entries()) {
      write(page, `${index + 1}`, [25, next], { size: 10, bold: true, width: 8 });
      next = write(page, step, [33, next], { size: 10, width: 150 }) + 2.5;
    }
  });
}

function drawCard(page: Page): void {
  const { width, height, marks, ring, dot, hollow, frame, arrow, check } = CARD;
  const x = (at: number) => mm(AT.left + at);
  const y = (at: number) => mm(AT.top + at);
  page
    .rect(x(0), y(0), mm(width), mm(height))
    .dash(4, { space: 3 })
    .lineWidth(mm(THIN))
    .stroke(INK);
  page.undash();
  for (const [index, mark] of marks.entries()) {
    page
      .circle(x(mark.x), y(mark.y), mm((ring.outer + ring.inner) / 2))
      .lineWidth(mm(ring.outer - ring.inner))
      .stroke(INK);
    page.circle(x(mark.x), y(mark.y), mm(dot)).fill(INK);
    if (index === 0) page.circle(x(mark.x), y(mark.y), mm(hollow)).fill('#ffffff');
  }
  // Corners alone: what is printed under the sample would shine through a thin one.
  const corner = 4;
  for (const [cornerX, wayX] of [
    [frame.left, 1],
    [frame.right, -1],
  ] as const)
    for (const [cornerY, wayY] of [
      [frame.top, 1],
      [frame.bottom, -1],
    ] as const)
      page
        .moveTo(x(cornerX + wayX * corner), y(cornerY))
        .lineTo(x(cornerX), y(cornerY))
        .lineTo(x(cornerX), y(cornerY + wayY * corner))
        .lineWidth(mm(THIN))
        .stroke(INK);
  page
    .moveTo(x(arrow.left), y(arrow.y))
    .lineTo(x(arrow.right), y(arrow.y))
    .moveTo(x(arrow.right - 3), y(arrow.y - 2))
    .lineTo(x(arrow.right), y(arrow.y))
    .lineTo(x(arrow.right - 3), y(arrow.y + 2))
    .lineWidth(mm(THIN))
    .stroke(INK);
  write(page, 'sewn this way', [AT.left + arrow.right + 3, AT.top + arrow.y - 2], {
    size: 9,
    width: 40,
  });
  page
    .moveTo(x(check.left), y(check.y))
    .lineTo(x(check.right), y(check.y))
    .lineWidth(mm(THIN))
    .stroke(INK);
  for (const end of [check.left, check.right])
    page
      .moveTo(x(end), y(check.y - 1))
      .lineTo(x(end), y(check.y + 1))
      .lineWidth(mm(THIN))
      .stroke(INK);
  write(page, `${check.right - check.left} mm`, [AT.left + check.left, AT.top + check.y + 1], {
    size: 8,
    width: check.right - check.left,
    align: 'center',
  });
}
