import { lowerFirst } from '@nodo/kernel';

const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

export const rack = {
  title: 'Rack',
  tally: (inShop: number, fresh: number, ready: number) =>
    `${count(inShop, 'machine', 'machines')} in the shop · ${fresh} not checked yet · ${ready} ready`,
  shelf: (name: string) => `Shelf ${name}`,
  tag: (tag: number) => `Tag ${tag}`,
  ready: (isUnrepaired: boolean, isInformed: boolean) =>
    `${isUnrepaired ? 'unrepaired' : 'ready'}, ${isInformed ? 'informed' : 'to ring'}`,
  entries: (seen: number, done: number) => `${seen} seen, ${done} done`,
  owed: (n: number) => `${n} to do`,
  contested: 'two answers differ',
  looking: (names: string) => `also open: ${names}`,
  lastBy: (name: string) => `Last entry by ${name}`,
  likely: (name: string, chance: string) => `${name}, ${chance}`,
  nothingLikely: 'nothing stands out yet',
  emptyTitle: 'The shelves are empty',
  empty: 'Every machine that is taken in hangs here with its tag until the customer has it back.',
  noMatchTitle: 'No machine fits',
  noMatch: (words: string) => `Nothing in the shop matches “${words}”.`,
  clear: 'Show all',
  failedTitle: 'The Rack could not be read',
  filter: {
    open: 'Filter',
    who: 'Who works on it',
    anybody: 'All people',
    stands: 'State',
    anywhere: 'All states',
    shelf: 'Shelf',
    allShelves: 'All shelves',
    reset: 'Show all',
  },
  stands: {
    'taken-in': 'waits its turn',
    'on-the-bench': 'on the bench',
    'ask-customer': 'ask customer',
    'part-awaited': 'waits for a part',
    ready: 'ready',
    overdue: 'overdue',
    stuck: 'stuck',
    uncollected: 'not collected',
    comeback: 'came back',
  },
  minutesLeft: (minutes: string, spread: string) => `${minutes} min left ± ${spread}`,
  promised: (day: string) => `promised ${day}`,
  waitsFor: (part: string, day: string) =>
    day ? `waits for ${part}, expected ${day}` : `waits for ${part}`,
  atWork: (names: string) => `${names} at work on it`,
  threads: {
    title: 'Next at each bench',
    legend:
      'Tag and minutes of work, the loose ends show how unsure; below, the promised day and the chance that it holds.',
    of: (name: string) => `Bench of ${name}, in this order`,
    allInTime: 'every promise holds in this order',
    lateAnyway: 'cannot all be on time',
    gap: (late: string, bound: string) => `weighted minutes late: ${late}; at best ${bound}`,
    piece: (label: string, minutes: string, spread: string, reason: string) =>
      `${label}: ${minutes} minutes, give or take ${spread}; ${reason}`,
    flag: (day: string, chance: string) => (chance ? `⚑ ${day}, ${chance} sure` : `⚑ ${day}`),
    minutes: (minutes: string) => `${minutes} min`,
    more: (n: number) => `and ${n} more`,
  },
  ring: {
    title: 'To ring',
    why: {
      promise: ({ promised, expected }: { promised: string; expected: string }) =>
        expected
          ? `promised for ${promised}, but the part comes on ${expected}`
          : `promised for ${promised}, and not ready`,
      price: () => 'price to ask',
      'part-late': ({ expected }: { expected: string }) =>
        `the part is late, it was due ${expected}`,
      ready: () => 'ready, and does not know yet',
      'not-fetched': () => 'ready for long, not collected',
    },
    tried: (moment: string, outcome: string) => `tried ${moment}, ${outcome}`,
    outcome: { reached: 'Reached', 'no-answer': 'No answer', 'message-left': 'Message left' },
    outcomeOf: (outcome: string, label: string) => `${outcome}: ${label}`,
    noted: (outcome: string, day: string) => (day ? `${outcome}, again on ${day}` : outcome),
  },
  side: {
    title: 'Needs attention',
    none: 'Nothing needs attention.',
    since: (day: string) => `since ${day}`,
    also: (reasons: readonly string[]) => `also: ${reasons.map(lowerFirst).join(', ')}`,
    freed: { answer: 'the customer has answered', part: 'the part arrived' },
    handedTo: (to: string, note: string) => `for ${to}: ${note}`,
    handedToAny: (note: string) => `for anyone: ${note}`,
    reasons: {
      calls: { title: 'Announced by phone', note: 'longest ago first' },
      overdue: { title: 'Promised and overdue', note: undefined },
      dueToday: { title: 'Due today', note: undefined },
      ask: { title: 'Ask customer', note: undefined },
      awaited: { title: 'Parts on order', note: undefined },
      freed: { title: 'Can go on', note: undefined },
      stuck: { title: 'Stuck', note: 'nobody works on it' },
      handed: { title: 'Handed over', note: undefined },
      late: { title: 'Arrived after closing', note: 'for the lead' },
      differing: { title: 'Two answers differ', note: undefined },
      untouched: { title: 'Not checked yet', note: 'longest in the shop first' },
      owing: { title: 'Still to do', note: 'cannot be closed yet' },
      uncollected: { title: 'Not collected', note: 'call them again' },
      ready: { title: 'Ready, and informed', note: undefined },
    },
  },
} as const;
