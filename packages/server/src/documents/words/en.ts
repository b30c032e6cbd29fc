import type { PaidBy, Unrepaired } from '@nodo/ticket';

/** What stands on the papers for customers, besides what people of the shop wrote. */
export interface PaperWords {
  readonly tag: string;
  readonly shelf: string;
  readonly withIt: string;
  readonly came: string;
  readonly promised: string;
  readonly questions: string;
  readonly takenIn: string;
  readonly told: string;
  readonly cameWithIt: string;
  readonly fromOutside: string;
  readonly agreed: string;
  readonly readyBy: string;
  readonly please: string;
  readonly collectWithin: (days: number) => string;
  readonly signed: string;
  readonly askFirst: string;
  readonly upTo: (amount: string) => string;
  readonly reminder: string;
  /** @param since a day; undefined where it is not known */
  readonly stands: (isRepaired: boolean, since: string | undefined) => string;
  readonly informed: (day: string) => string;
  readonly collectOrCall: string;
  readonly toPay: string;
  readonly whatWasDone: string;
  readonly bill: (number: number) => string;
  readonly credit: (number: number, of: number) => string;
  readonly from: string;
  readonly taxNumber: string;
  readonly why: string;
  readonly machine: string;
  readonly workDoneOn: string;
  readonly notDone: string;
  readonly found: string;
  readonly done: string;
  readonly nextTime: string;
  readonly pleaseNote: string;
  readonly unrepaired: Readonly<Record<Unrepaired, string>>;
  readonly doNotUse: string;
  readonly work: (minutes: number) => string;
  readonly inspection: string;
  readonly lowestFee: string;
  readonly takenOff: (reason: string) => string;
  readonly givenBack: string;
  readonly tax: (isIncluded: boolean, perCent: string, net: string) => string;
  readonly paid: Readonly<Record<PaidBy, string>>;
  readonly receipt: string;
  readonly together: string;
}

export const en: PaperWords = {
  tag: 'tag',
  shelf: 'shelf',
  withIt: 'With it',
  came: 'Came',
  promised: 'Promised',
  questions: 'Questions',
  takenIn: 'Taken in for repair',
  told: 'What you told us',
  cameWithIt: 'Came with it',
  fromOutside: 'From outside',
  agreed: 'Agreed',
  readyBy: 'Ready by',
  please: 'Please',
  collectWithin: (days) =>
    `Please collect it within ${days} days after we call. Bring this paper along.`,
  signed: 'Signed on the screen',
  askFirst: 'Nothing is spent without asking you.',
  upTo: (amount) => `Up to ${amount} without asking you again.`,
  reminder: 'Please collect your machine',
  stands: (isRepaired, since) => {
    const day = since === undefined ? '' : ` since ${since}`;
    return isRepaired ? `It is ready${day}.` : `It is not repaired, and stands here${day}.`;
  },
  informed: (day) => `We informed you on ${day}.`,
  collectOrCall: 'Please collect it, or call us.',
  toPay: 'To pay',
  whatWasDone: 'What was done',
  bill: (number) => `Bill ${number}`,
  credit: (number, of) => `Credit ${number} for bill ${of}`,
  from: 'From',
  taxNumber: 'Tax number',
  why: 'Why',
  machine: 'Machine',
  workDoneOn: 'Work done on',
  notDone: 'Not done',
  found: 'Found',
  done: 'Done',
  nextTime: 'Next time',
  pleaseNote: 'Please note',
  unrepaired: {
    refused: 'Given back unrepaired, as you wished.',
    'not-worth-it': 'Given back unrepaired: a repair would cost more than it is worth.',
    'no-part': 'Given back unrepaired: the part that it needs is not to be had.',
  },
  doNotUse: 'Do not use it as it is.',
  work: (minutes) => `Work, ${minutes} minutes`,
  inspection: 'Inspection',
  lowestFee: 'Added up to the lowest fee',
  takenOff: (reason) => `Taken off: ${reason}`,
  givenBack: 'Given back',
  tax: (isIncluded, perCent, net) => `${isIncluded ? 'Incl. tax' : 'Tax'} ${perCent} % on ${net}`,
  paid: {
    'not-yet': 'Not paid yet.',
    cash: 'Paid in cash, with thanks.',
    card: 'Paid by card, with thanks.',
    transfer: 'Paid by transfer, with thanks.',
  },
  receipt: 'Receipt',
  together: 'Together',
};
