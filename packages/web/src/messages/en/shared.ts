import type { CustomerView, Unrepaired } from '@nodo/ticket';

const STATE: Readonly<Record<CustomerView['state'], string>> = {
  away: 'We have spoken about it; it is not in the shop yet.',
  waiting: 'It is in the shop and waits its turn.',
  'at-the-bench': 'It is on the bench.',
  'ask-you': 'We have a question to you before we go on.',
  'part-awaited': 'It waits for a part.',
  ready: 'It is ready. You can collect it.',
  unrepaired: 'It is not repaired. You can collect it.',
  collected: 'You have it back.',
};

const UNREPAIRED: Readonly<Record<Unrepaired, string>> = {
  refused: 'It was not repaired, as you wished.',
  'not-worth-it': 'It was not repaired: that would cost more than it is worth.',
  'no-part': 'It was not repaired: the part that it needs is not to be had.',
};

/** What a customer reads who follows a link. */
export const shared = {
  title: 'Your sewing machine',
  state: (state: CustomerView['state']) => STATE[state],
  stagesTitle: 'How far it is',
  stages: ['Taken in', 'At the bench', 'To be collected', 'Collected'],
  reached: 'reached',
  takenIn: (day: string) => `With us since ${day}`,
  changed: (moment: string) => `Last news: ${moment}`,
  words: 'What you told us',
  done: 'What we did so far',
  asked: (amount: string, words: string) => `Estimate: ${amount} for ${words}. Please call us.`,
  promised: (day: string) => `Promised for ${day}`,
  bill: (total: string) => `To pay: ${total}`,
  unrepaired: (why: Unrepaired) => `${UNREPAIRED[why]} Do not use it as it is.`,
  questions: 'Questions?',
  nothingRepaired: 'Nothing was repaired.',
  nothingDone: 'Nothing has been repaired yet.',
  until: (day: string) => `This page can be read until ${day}.`,
  failedTitle: 'This page cannot be shown',
  unreachable: 'The shop cannot be reached just now. Try again later.',
} as const;

/** Where the links are made. */
export const links = {
  open: 'Link for the customer',
  title: 'A page for the customer',
  lead: 'Shows how far the machine is and what was repaired; no chances, notes, photos or names. Whoever has the link can read it.',
  messageTitle: 'Text to send instead',
  noPublicAddress:
    'From outside no page of this shop can be reached: a lead sets the address under Shop.',
  message: (label: string, state: string) => `Your ${label}: ${state}`,
  days: 'Good for',
  daysOf: (n: number) => `${n} days`,
  make: 'Make a link',
  copy: 'Copy',
  copied: 'Copied',
  once: 'It is shown this once. Copy it now.',
  address: 'Link',
  earlier: 'Links made before',
  none: 'None yet.',
  until: (by: string, day: string) => `by ${by}, until ${day}`,
  revoked: 'withdrawn',
  over: 'over',
  revoke: 'Withdraw',
  close: 'Close',
} as const;

export const together = {
  also: (names: string) => `Also here: ${names}`,
  looksAt: (name: string, what: string) => `${name} looks at: ${what}`,
  onIt: (name: string) => `${name} has this ticket open`,
  handOver: 'Hand over',
  handTitle: 'Hand over',
  handTo: 'To',
  whoever: 'Anyone',
  note: 'What they must know',
  submit: 'Hand over',
  close: 'Close',
  forYou: (by: string) => `${by} hands this over to you:`,
  forAnybody: (by: string) => `${by} hands this over to anyone:`,
  byYou: (to: string) => `You handed this over to ${to}:`,
  byYouToAnybody: 'You handed this over to anyone:',
  forOther: (by: string, to: string) => `${by} hands this over to ${to}:`,
} as const;
