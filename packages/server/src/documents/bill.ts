import { writeCounted } from '@nodo/kernel';
import { type BillContent, closingWordsOf, type IssuedBill, type MachineContent } from '@nodo/shop';
import type { PaidBy, Unrepaired } from '@nodo/ticket';
import { type Page, write } from './page.ts';
import {
  drawHead,
  fact,
  LEFT,
  type Line,
  lines,
  reachUs,
  type Subject,
  taxLine,
  WIDE,
  writeDayOf,
} from './parts.ts';

/** A bill as it was handed over, a credit, or, before either, what the work comes to so far. */
export function drawBill(page: Page, subject: Subject, issued: IssuedBill | undefined): void {
  const { ticket, model, card } = subject;
  const content = issued?.content ?? subject.content;
  const isCredit = issued?.kind === 'credit';
  const closing = ticket.closing && ticket.entries[ticket.closing.seq - 1]?.receivedAt;
  const also = content?.also ?? [];
  let top = drawHead(page, subject, billTitle(issued), issued?.at ?? closing, {
    subjectLine: also.length === 0,
  });
  top += 3;
  if (content) {
    const { name, address, taxNumber } = content.shop;
    top = fact(page, 'From', [name, address].filter(Boolean).join(', '), top);
    top = fact(page, 'Tax number', taxNumber, top);
  }
  if (isCredit) top = fact(page, 'Why', issued.reason, top);
  if (also.length > 0 && content) {
    for (const machine of [content, ...also]) {
      top = fact(page, 'Machine', machine.label, top + 3);
      top = workFacts(page, machine, top);
    }
  } else {
    if (issued && closing) top = fact(page, 'Work done on', writeDayOf(closing, card), top);
    const words = content ?? closingWordsOf(ticket, model);
    top = workFacts(page, words, top);
    if (words.unrepaired) {
      const left = ticket.closing?.snapshot.waived.flatMap(
        (duty) => model.duties.get(duty)?.text ?? [],
      );
      top = fact(page, 'Not done', left?.join('; ') ?? '', top);
    }
  }
  top = reachUs(page, card, top);
  if (content) drawSums(page, content, isCredit, top + 6);
}

/** What was found and done; for what goes back as it came, why, and not to use it. */
function workFacts(
  page: Page,
  {
    found,
    done,
    helps,
    unrepaired,
    why = 'refused',
  }: Pick<MachineContent, 'found' | 'done' | 'helps' | 'unrepaired' | 'why'>,
  from: number,
): number {
  let top = fact(page, 'Found', found, from);
  top = fact(page, 'Done', done, top);
  top = fact(page, 'Next time', helps, top);
  return unrepaired
    ? fact(page, 'Please note', `${UNREPAIRED_NOTE[why]} Do not use it as it is.`, top)
    : top;
}

const UNREPAIRED_NOTE: Readonly<Record<Unrepaired, string>> = {
  refused: 'Given back unrepaired, as you wished.',
  'not-worth-it': 'Given back unrepaired: a repair would cost more than it is worth.',
  'no-part': 'Given back unrepaired: the part that it needs is not to be had.',
};

function billTitle(issued: IssuedBill | undefined): string {
  if (!issued) return 'What was done';
  const { kind, number, of } = issued;
  return kind === 'credit' ? `Credit ${number} for bill ${of}` : `Bill ${number}`;
}

/** Machine by machine and line by line, the tax by rate, and the sum; of a credit all of it is given back. */
function drawSums(page: Page, content: BillContent, isCredit: boolean, from: number): void {
  const { currency, also = [] } = content;
  const sign = isCredit ? -1 : 1;
  const drawn: readonly Line[] = [
    ...[content, ...also].flatMap((machine) => [
      ...(also.length > 0 ? [{ words: machine.label, bold: true }] : []),
      ...machineLines(machine),
    ]),
    ...content.taxes.map(({ perMille, net, tax }) =>
      taxLine({ perMille, included: content.taxIncluded, net: sign * net, tax, currency }),
    ),
    { words: isCredit ? 'Given back' : 'To pay', amount: content.total, bold: true },
  ].map((line: Line) => ({
    ...line,
    ...(line.amount === undefined ? {} : { amount: sign * line.amount }),
  }));
  const top = lines(page, drawn, currency, from);
  if (!isCredit) write(page, PAID[content.paid], [LEFT, top + 3], { size: 9, width: WIDE });
}

function machineLines(machine: MachineContent): readonly Line[] {
  const { parts, labourMinutes, labour, toLeastFee, unrepaired, discount } = machine;
  return [
    ...parts.map(({ words, count, amount }) => ({
      words: writeCounted(count, words),
      amount,
    })),
    { words: `Work, ${labourMinutes} minutes`, amount: labour },
    ...(toLeastFee > 0
      ? [{ words: unrepaired ? 'Inspection' : 'Added up to the lowest fee', amount: toLeastFee }]
      : []),
    ...(discount ? [{ words: `Taken off: ${discount.reason}`, amount: -discount.amount }] : []),
  ];
}

export const PAID: Readonly<Record<PaidBy, string>> = {
  'not-yet': 'Not paid yet.',
  cash: 'Paid in cash, with thanks.',
  card: 'Paid by card, with thanks.',
  transfer: 'Paid by transfer, with thanks.',
};
