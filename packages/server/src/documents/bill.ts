import { writeCounted } from '@nodo/kernel';
import { type BillContent, closingWordsOf, type IssuedBill, type MachineContent } from '@nodo/shop';
import { type Page, write } from './page.ts';
import {
  drawHead,
  fact,
  LEFT,
  type Line,
  lines,
  type PaperStyle,
  reachUs,
  type Subject,
  styleOf,
  taxLine,
  WIDE,
} from './parts.ts';
import type { PaperWords } from './words/en.ts';

/** A bill as it was handed over, a credit, or, before either, what the work comes to so far. */
export function drawBill(page: Page, subject: Subject, issued: IssuedBill | undefined): void {
  const { ticket, model, card } = subject;
  const style = styleOf(card);
  const { words } = style;
  const content = issued?.content ?? subject.content;
  const isCredit = issued?.kind === 'credit';
  const closing = ticket.closing && ticket.entries[ticket.closing.seq - 1]?.receivedAt;
  const also = content?.also ?? [];
  let top = drawHead(page, subject, billTitle(words, issued), issued?.at ?? closing, {
    subjectLine: also.length === 0,
  });
  top += 3;
  if (content) {
    const { name, address, taxNumber } = content.shop;
    top = fact(page, words.from, [name, address].filter(Boolean).join(', '), top);
    top = fact(page, words.taxNumber, taxNumber, top);
  }
  if (isCredit) top = fact(page, words.why, issued.reason, top);
  if (also.length > 0 && content) {
    for (const machine of [content, ...also]) {
      top = fact(page, words.machine, machine.label, top + 3);
      top = workFacts(page, words, machine, top);
    }
  } else {
    if (issued && closing) top = fact(page, words.workDoneOn, style.dayOf(closing), top);
    const work = content ?? closingWordsOf(ticket, model);
    top = workFacts(page, words, work, top);
    if (work.unrepaired) {
      const left = ticket.closing?.snapshot.waived.flatMap(
        (duty) => model.duties.get(duty)?.text ?? [],
      );
      top = fact(page, words.notDone, left?.join('; ') ?? '', top);
    }
  }
  top = reachUs(page, card, top);
  if (content) drawSums(page, style, content, isCredit, top + 6);
}

/** What was found and done; for what goes back as it came, why, and not to use it. */
function workFacts(
  page: Page,
  words: PaperWords,
  {
    found,
    done,
    helps,
    unrepaired,
    why = 'refused',
  }: Pick<MachineContent, 'found' | 'done' | 'helps' | 'unrepaired' | 'why'>,
  from: number,
): number {
  let top = fact(page, words.found, found, from);
  top = fact(page, words.done, done, top);
  top = fact(page, words.nextTime, helps, top);
  return unrepaired
    ? fact(page, words.pleaseNote, `${words.unrepaired[why]} ${words.doNotUse}`, top)
    : top;
}

function billTitle(words: PaperWords, issued: IssuedBill | undefined): string {
  if (!issued) return words.whatWasDone;
  const { kind, number, of } = issued;
  return kind === 'credit' ? words.credit(number, of ?? 0) : words.bill(number);
}

/** Machine by machine and line by line, the tax by rate, and the sum; of a credit all of it is given back. */
function drawSums(
  page: Page,
  style: PaperStyle,
  content: BillContent,
  isCredit: boolean,
  from: number,
): void {
  const { words, money } = style;
  const { currency, also = [] } = content;
  const sign = isCredit ? -1 : 1;
  const drawn: readonly Line[] = [
    ...[content, ...also].flatMap((machine) => [
      ...(also.length > 0 ? [{ words: machine.label, bold: true }] : []),
      ...machineLines(words, machine),
    ]),
    ...content.taxes.map(({ perMille, net, tax }) =>
      taxLine(style, { perMille, included: content.taxIncluded, net: sign * net, tax, currency }),
    ),
    { words: isCredit ? words.givenBack : words.toPay, amount: content.total, bold: true },
  ].map((line: Line) => ({
    ...line,
    ...(line.amount === undefined ? {} : { amount: sign * line.amount }),
  }));
  const top = lines(page, drawn, (minor) => money(minor, currency), from);
  if (!isCredit) write(page, words.paid[content.paid], [LEFT, top + 3], { size: 9, width: WIDE });
}

function machineLines(words: PaperWords, machine: MachineContent): readonly Line[] {
  const { parts, labourMinutes, labour, toLeastFee, unrepaired, discount } = machine;
  return [
    ...parts.map(({ words: part, count, amount }) => ({
      words: writeCounted(count, part),
      amount,
    })),
    { words: words.work(labourMinutes), amount: labour },
    ...(toLeastFee > 0
      ? [{ words: unrepaired ? words.inspection : words.lowestFee, amount: toLeastFee }]
      : []),
    ...(discount ? [{ words: words.takenOff(discount.reason), amount: -discount.amount }] : []),
  ];
}
