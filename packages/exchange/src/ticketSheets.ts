import { moneyDigits } from '@nodo/kernel';
import { type IssuedBill, labelsOn } from '@nodo/shop';
import { type Measure, type PartPut, QUANTITIES, type TicketSummary } from '@nodo/ticket';
import type { Column } from './csv.ts';
import { AND } from './sheets.ts';

export interface TicketRow {
  readonly line: TicketSummary;
  /** Who brought it, if that was said. */
  readonly customer: string | null;
  /** Of all amounts. */
  readonly currency: string;
}

/** Something on a ticket: which one, and of which machine. */
type On<What> = What & { readonly line: TicketSummary; readonly currency: string };
export type MeasureRow = On<{ readonly measure: Measure }>;
export type PartRow = On<{ readonly part: PartPut }>;

export interface BillRow {
  readonly bill: IssuedBill;
}

const onTicket: readonly Column<{ readonly line: TicketSummary }>[] = [
  { name: 'ticket_id', of: ({ line }) => line.ticket },
  { name: 'tag', of: ({ line }) => line.tag },
  { name: 'machine_id', of: ({ line }) => line.machine },
  { name: 'machine', of: ({ line }) => line.label },
];

export const TICKET_COLUMNS: readonly Column<TicketRow>[] = [
  ...onTicket,
  { name: 'customer_id', of: ({ customer }) => customer },
  { name: 'kind', of: ({ line }) => line.family },
  { name: 'colour', of: ({ line }) => line.colour },
  { name: 'shelf', of: ({ line }) => line.shelf },
  { name: 'words', of: ({ line }) => line.words },
  { name: 'status', of: ({ line }) => line.status },
  { name: 'standing', of: ({ line }) => line.standing },
  { name: 'taken_in_at', of: ({ line }) => line.takenInAt },
  { name: 'promised', of: ({ line }) => line.promised },
  { name: 'ready_at', of: ({ line }) => line.readyAt },
  { name: 'collected_at', of: ({ line }) => line.collectedAt },
  { name: 'unrepaired', of: ({ line }) => line.unrepaired },
  { name: 'comeback_of', of: ({ line }) => line.comebackOf },
  { name: 'likely_cause', of: ({ line }) => line.likely?.cause ?? null },
  { name: 'likely_chance', of: ({ line }) => line.likely?.chance ?? null },
  { name: 'comeback_risk', of: ({ line }) => line.risk },
  { name: 'total', of: ({ line, currency }) => inUnits(line.total, currency) },
  { name: 'due', of: ({ line, currency }) => inUnits(line.due, currency) },
  { name: 'currency', of: ({ currency }) => currency },
  { name: 'changed_at', of: ({ line }) => line.changedAt },
];

export const MEASURE_COLUMNS: readonly Column<MeasureRow>[] = [
  ...onTicket,
  { name: 'quantity', of: ({ measure }) => measure.quantity },
  { name: 'value', of: ({ measure }) => measure.value },
  { name: 'unit', of: ({ measure }) => QUANTITIES[measure.quantity].unit },
  { name: 'when', of: ({ measure }) => measure.when },
  { name: 'needle', of: ({ measure }) => measure.at ?? null },
  { name: 'swing', of: ({ measure }) => measure.swing ?? null },
  { name: 'presser', of: ({ measure }) => measure.pulled?.presser ?? null },
  {
    name: 'dial',
    of: ({ measure: { pulled } }) => (pulled?.presser === 'down' ? pulled.dial : null),
  },
  {
    name: 'dial_going',
    of: ({ measure: { pulled } }) => (pulled?.presser === 'down' ? pulled.going : null),
  },
  { name: 'limit_least', of: ({ measure }) => measure.limit?.least ?? null },
  { name: 'limit_most', of: ({ measure }) => measure.limit?.most ?? null },
  { name: 'limit_from', of: ({ measure }) => measure.limit?.standing ?? null },
];

export const PART_COLUMNS: readonly Column<PartRow>[] = [
  ...onTicket,
  { name: 'part', of: ({ part }) => part.words },
  { name: 'count', of: ({ part }) => part.count },
  { name: 'each', of: ({ part, currency }) => inUnits(part.each, currency) },
  { name: 'amount', of: ({ part, currency }) => inUnits(part.each * part.count, currency) },
  { name: 'currency', of: ({ currency }) => currency },
];

export const BILL_COLUMNS: readonly Column<BillRow>[] = [
  { name: 'number', of: ({ bill }) => bill.number },
  { name: 'kind', of: ({ bill }) => bill.kind },
  { name: 'of_number', of: ({ bill }) => bill.of },
  { name: 'at', of: ({ bill }) => bill.at },
  { name: 'ticket_ids', of: ({ bill }) => bill.tickets.join(AND) },
  { name: 'machines', of: ({ bill }) => labelsOn(bill.content).join(AND) },
  { name: 'net', of: ({ bill }) => ofBill(bill, sum(bill.content.taxes.map(({ net }) => net))) },
  { name: 'tax', of: ({ bill }) => ofBill(bill, sum(bill.content.taxes.map(({ tax }) => tax))) },
  { name: 'total', of: ({ bill }) => ofBill(bill, bill.content.total) },
  { name: 'currency', of: ({ bill }) => bill.content.currency },
  { name: 'paid', of: ({ bill }) => bill.content.paid },
  { name: 'reason', of: ({ bill }) => bill.reason },
];

/** An amount in the currency's unit: 12.5. A quotient of two whole numbers, so it is written as short as it is. */
function inUnits(minor: number | null, currency: string): number | null {
  return minor === null ? null : minor / 10 ** moneyDigits(currency);
}

const ofBill = ({ content }: IssuedBill, minor: number) => inUnits(minor, content.currency);

function sum(amounts: readonly number[]): number {
  return amounts.reduce((all, one) => all + one, 0);
}
