import type { DocumentKind } from '@nodo/api';
import { standingBill } from '@nodo/shop';
import { dueOf } from '@nodo/ticket';
import { drawBill } from './bill.ts';
import { drawNeedleCard } from './needleCard.ts';
import { drawCode, mm, type Page, rule, sheet, write } from './page.ts';
import {
  drawHead,
  fact,
  LEFT,
  type PaperStyle,
  reachUs,
  type Subject,
  styleOf,
  WIDE,
} from './parts.ts';

/** Prints a paper of a ticket as PDF. */
export function printed(paper: DocumentKind, subject: Subject): Promise<Buffer> {
  const title = `${subject.shop}: ${subject.ticket.intake?.label ?? ''}`;
  switch (paper) {
    case 'tag-a7':
      return sheet(title, [74, 105], (page) => drawTag(page, subject));
    case 'tag-label':
      return sheet(title, [62, 29], (page) => drawLabel(page, subject));
    case 'receipt':
      return letter(title, (page) => drawReceipt(page, subject));
    case 'bill':
      return letter(title, (page) => drawBill(page, subject, standingBill(subject.bills)));
    case 'credit': {
      const credit = subject.bills.findLast(({ kind }) => kind === 'credit');
      return letter(title, (page) => drawBill(page, subject, credit));
    }
    case 'reminder':
      return letter(title, (page) => drawReminder(page, subject));
    case 'needle-card':
      return sheet(title, [148, 105], (page) => drawNeedleCard(page, subject));
  }
}

/** What a customer takes along: as many sheets as it needs. */
function letter(title: string, draw: (page: Page) => void): Promise<Buffer> {
  return sheet(title, [148, 210], draw, BORDER);
}

const BORDER = 12;

function drawTag(page: Page, { ticket, card, customer, address, shop }: Subject): void {
  const { words, day, dayOf } = styleOf(card);
  const { intake, life, entries } = ticket;
  page.circle(mm(37), mm(7), mm(2.5)).lineWidth(0.8).stroke('#000000');
  write(page, String(intake?.tag ?? ''), [5, 10], { size: 54, bold: true, width: 40, height: 20 });
  drawCode(page, address, [43, 13, 26]);
  let top = write(page, intake?.label ?? '', [5, 42], {
    size: 13,
    bold: true,
    width: 64,
    height: 11,
  });
  top = write(page, customer?.name ?? '', [5, top + 1], { size: 10, width: 64, height: 5 });
  rule(page, 5, top + 1.5, 64);
  top = write(page, intake?.words ?? '', [5, top + 3], { size: 9, width: 64, height: 17 });
  if (life.accessories.length > 0) {
    top = write(page, `${words.withIt}: ${life.accessories.join(', ')}`, [5, top + 1], {
      size: 8,
      width: 64,
      height: 8,
    });
  }
  const came = entries[0]?.receivedAt;
  // One below the other: in some languages each fills the line.
  write(page, life.promised ? `${words.promised} ${day(life.promised)}` : '', [5, 88], {
    size: 8,
    bold: true,
    width: 64,
    height: 4,
  });
  write(page, came ? `${words.came} ${dayOf(came)}` : '', [5, 93], {
    size: 8,
    width: 64,
    height: 4,
  });
  write(page, `${shop} · ${words.shelf} ${intake?.shelf ?? ''}`, [5, 98], {
    size: 7,
    width: 64,
    height: 4,
  });
}

function drawLabel(page: Page, { ticket, card, customer, address }: Subject): void {
  const { intake, entries } = ticket;
  const { dayOf } = styleOf(card);
  drawCode(page, address, [36, 2.5, 24]);
  write(page, String(intake?.tag ?? ''), [3, 1], { size: 30, bold: true, width: 32, height: 12 });
  write(page, intake?.label ?? '', [3, 13], { size: 8, bold: true, width: 32, height: 7 });
  write(page, customer?.name ?? '', [3, 20], { size: 7, width: 32, height: 3.4 });
  const came = entries[0]?.receivedAt;
  write(page, came ? dayOf(came) : '', [3, 24], { size: 7, width: 32, height: 3.4 });
}

function drawReceipt(page: Page, subject: Subject): void {
  const { ticket, card, signature } = subject;
  const { intake, life, entries } = ticket;
  const style = styleOf(card);
  const { words, day } = style;
  let top = drawHead(page, subject, words.takenIn, entries[0]?.receivedAt);
  top = fact(page, words.told, intake?.words ?? '', top + 3);
  top = fact(page, words.cameWithIt, life.accessories.join(', '), top);
  top = fact(page, words.fromOutside, life.condition, top);
  top = fact(page, words.agreed, limitWords(style, life.limit), top);
  top = fact(page, words.readyBy, life.promised ? day(life.promised) : '', top);
  top = fact(page, words.please, words.collectWithin(card.uncollectedDays), top);
  top = reachUs(page, card, top);
  if (signature) {
    page.image(signature, mm(LEFT), mm(top + 8), { fit: [mm(60), mm(22)] });
    rule(page, LEFT, top + 31, 60);
    write(page, words.signed, [LEFT, top + 32], { size: 8, width: 60 });
  }
}

/** A letter to whoever was informed and has not come. */
function drawReminder(page: Page, subject: Subject): void {
  const { ticket, card, at } = subject;
  const { life, closing, entries } = ticket;
  const ready = closing && entries[closing.seq - 1]?.receivedAt;
  const { words, dayOf, money } = styleOf(card);
  let top = drawHead(page, subject, words.reminder, at.toISOString()) + 6;
  const said = [
    words.stands(!closing?.unrepaired, ready && dayOf(ready)),
    life.toldAt ? words.informed(dayOf(life.toldAt)) : '',
    words.collectOrCall,
  ];
  top = write(page, said.filter(Boolean).join(' '), [LEFT, top], { size: 11, width: WIDE });
  const due = dueOf(life);
  top = fact(page, words.toPay, due > 0 ? money(due, life.bill?.currency) : '', top + 4);
  top = fact(page, words.cameWithIt, life.accessories.join(', '), top);
  top = reachUs(page, card, top);
  if (card.uncollectedText) {
    write(page, card.uncollectedText, [LEFT, top + 6], { size: 10, width: WIDE });
  }
}

function limitWords({ words, money }: PaperStyle, limit: number | null | undefined): string {
  if (limit === undefined) return '';
  return limit === null ? words.askFirst : words.upTo(money(limit));
}
