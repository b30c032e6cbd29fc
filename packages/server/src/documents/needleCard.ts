import { sizeName } from '@nodo/core';
import { dayOf, lowerFirst, writeDay } from '@nodo/kernel';
import {
  coatingOf,
  fitNeedle,
  NEEDLE_SCHOOLS,
  type NeedleSystem,
  pointOf,
  scarfFaces,
  systemFor,
} from '@nodo/knowledge';
import { needleLine } from '@nodo/shop';
import { threadLine, workOf } from '@nodo/ticket';
import { mm, type Page, rule, write } from './page.ts';
import type { Subject } from './parts.ts';

const LEFT = 10;
const TEXT_WIDE = 96;
/** Where the needle is drawn. */
const NEEDLE_AT = 128;

/**
 * What the customer keeps by the machine: which needle and thread, how it goes in, when to change it. In the language
 * of the tables that it is made of, whatever the shop's other papers are written in.
 */
export function drawNeedleCard(page: Page, subject: Subject): void {
  const { shop, card, ticket, model } = subject;
  const { family } = model;
  const { work, needles } = ticket.life;
  const system = systemFor(family.traits);
  write(page, shop, [LEFT, 8], { size: 8, width: TEXT_WIDE });
  let top = write(page, ticket.intake?.label ?? '', [LEFT, 12.5], {
    size: 15,
    bold: true,
    width: TEXT_WIDE,
    height: 13,
  });
  rule(page, LEFT, top + 1, TEXT_WIDE);
  top += 1;
  const now = needles.findLast(({ at }) => at === 1);
  top = line(
    page,
    'Needle in it',
    now ? `${needleLine(now.needle)}, since ${writeDay(dayOf(now.when, card.timeZone))}` : '',
    top,
  );
  if (work) {
    const fit = fitNeedle(workOf(work), now?.needle.system ?? family.needleSystem);
    const [point] = fit.points;
    const [coating] = fit.coatings;
    top = line(
      page,
      'For your work',
      [
        fit.system,
        fit.sizes.map(sizeName).join(' or '),
        point && pointOf(point)?.title,
        coating && coatingOf(coating)?.title.toLowerCase(),
      ]
        .filter(Boolean)
        .join(', '),
      top,
    );
    top = line(page, 'Thread', threadLine(work), top);
  } else if (!now) {
    top = line(page, 'System', family.needleSystem, top);
  }
  const faces = scarfFaces(family.id);
  top = line(
    page,
    'How it goes in',
    `Machine off and unplugged. Foot off the pedal. ${faces && system.flat ? `Flat to the ${faces}` : family.flatOrScarfFaces}. Push it up until it stops, hold it there with tweezers, tighten.`,
    top,
  );
  top = line(
    page,
    'A new one',
    `At once after it struck, jammed or bent. Else: ${NEEDLE_SCHOOLS.map(({ title }) => lowerFirst(title)).join('; or ')}. They differ because they count different things; skipped stitches come first.`,
    top,
  );
  line(page, 'Please note', "Your machine's own manual stands above this card.", top);
  drawNeedle(page, system);
}

function line(page: Page, name: string, text: string, top: number): number {
  if (text === '') return top;
  write(page, name, [LEFT, top + 2.4], { size: 7.5, width: 25 });
  return write(page, text, [LEFT + 26, top + 2], { size: 9.5, width: TEXT_WIDE - 26 });
}

/** A needle in its true size, to compare one's own with. */
function drawNeedle(page: Page, { shank, shankLength, whole, buttToEye }: NeedleSystem): void {
  const half = shank / 2;
  const top = 22;
  const blade = 0.8;
  const x = (off: number) => mm(NEEDLE_AT + off);
  const y = (down: number) => mm(top + down);
  page
    .moveTo(x(-half), y(0))
    .lineTo(x(half), y(0))
    .lineTo(x(half), y(shankLength))
    .lineTo(x(blade / 2), y(shankLength + 1))
    .lineTo(x(blade / 2), y(buttToEye + 1.5))
    .lineTo(x(0), y(whole))
    .lineTo(x(-blade / 2), y(buttToEye + 1.5))
    .lineTo(x(-blade / 2), y(shankLength + 1))
    .lineTo(x(-half), y(shankLength))
    .closePath()
    .lineWidth(0.5)
    .stroke('#000000');
  page.ellipse(x(0), y(buttToEye + 0.6), mm(0.16), mm(0.6)).fill('#000000');
  write(page, `${whole} mm: true size. Lay yours beside it.`, [NEEDLE_AT - 14, top + whole + 3], {
    size: 7,
    width: 28,
    align: 'center',
  });
}
