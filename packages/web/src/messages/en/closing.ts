import type { PaidBy } from '@nodo/ticket';

/** What the customer is told and pays. */
export const closing = {
  title: 'Closing sheet',
  found: 'Found',
  done: 'Done',
  helps: 'What helps next time',
  parts: 'Parts and lines',
  line: 'Another line',
  addLine: 'Add',
  openLine: 'Add a line to the bill',
  priceOfPart: (part: string) => `${part}, price`,
  addPart: 'Add to the bill',
  takeOff: (part: string) => `Take off the bill: ${part}`,
  minutes: 'Minutes to charge',
  badMinutes: 'Whole minutes, at most 10000.',
  minutesFrom: {
    clock: 'From the clock.',
    work: 'Summed up from what was checked and done; no clock ran.',
  },
  price: 'Price',
  priceOf: (labour: string, tax: string, toLeastFee: string | undefined) =>
    `work ${labour}${toLeastFee === undefined ? '' : `, ${toLeastFee} added up to the lowest fee`}, tax ${tax}`,
  off: {
    title: 'Take something off',
    amount: 'Taken off',
    why: 'Why',
    badAmount: 'An amount in figures.',
    noReason: 'A reason, three letters at least.',
    covered: (day: string) => `It came back from the repair collected ${day}: under warranty.`,
    over: (day: string) => `It came back from the repair collected ${day}: the warranty is over.`,
    chargeNothing: 'Charge nothing',
    warranty: (day: string) => `Warranty on the repair collected ${day}`,
  },
  paid: 'Paid',
  paidBy: {
    'not-yet': 'not yet',
    cash: 'cash',
    card: 'card',
    transfer: 'transfer',
  } satisfies Readonly<Record<PaidBy, string>>,
  save: 'Save sheet and price',
  change: 'Change the sheet',
  issue: 'Hand over the bill',
  issuing: 'Numbering the bill',
  issued: (number: number, labels: readonly string[]) =>
    `Bill ${number} handed over${labels.length > 1 ? `, for ${labels.join(' and ')}` : ''}`,
  print: 'Print bill',
  credit: 'Correct it by a credit',
  creditWhy: 'Why is it corrected?',
  credited: (number: number, of: number) => `Credit ${number} took bill ${of} back.`,
  printCredit: 'Print credit',
} as const;
