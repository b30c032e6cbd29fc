import { lowerFirst } from '@nodo/kernel';

const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

export const rack = {
  undo: 'Undo',
  collected: 'Collected machines',
  day: 'Day sheet',
  title: 'Rack',
  tally: (inShop: number, fresh: number, ready: number) =>
    `${count(inShop, 'machine', 'machines')} in the shop · ${fresh} not checked yet · ${ready} ready`,
  shelf: (name: string) => `Shelf ${name}`,
  tag: (tag: number) => `Tag ${tag}`,
  ready: (unrepaired: string, isInformed: boolean) =>
    `${unrepaired ? `unrepaired (${unrepaired})` : 'ready'}, ${isInformed ? 'informed' : 'to ring'}`,
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
  minutesLeft: (time: string, spread: string) => `${time} left ± ${spread}`,
  promised: (day: string) => `promised ${day}`,
  waitsFor: (part: string, day: string) =>
    day ? `waits for ${part}, expected ${day}` : `waits for ${part}`,
  atWork: (names: string) => `${names} at work on it`,
  threads: {
    title: (isToday: boolean, day: string) =>
      isToday ? `Today, ${day}` : `Next day of work, ${day}`,
    atRisk: (promises: number) =>
      promises === 0
        ? 'every promise holds'
        : promises === 1
          ? '1 promise at risk'
          : `${promises} promises at risk`,
    of: (name: string) => `Bench of ${name}, in this order`,
    several: (name: string, tags: readonly number[]) =>
      `Tags ${tags.join(', ')}: list of the bench of ${name}`,
    work: (minutes: string, spread: string, reason: string) =>
      `${minutes}, give or take ${spread}; ${reason}`,
    when: (day: string, from: string, until: string) => `${day}, ${from} to ${until}`,
    promised: (day: string, chance: string) =>
      chance ? `promised for ${day}, ${chance} sure` : `promised for ${day}`,
    due: (tags: string) => `promised: ${tags}`,
    risky: (tags: string) => `at risk: ${tags}`,
    later: (jobs: number) => `${jobs} on later days`,
    off: 'does not work on this day',
    now: 'now',
  },
  arrange: {
    title: 'Arrange',
    done: 'Done',
    how: 'Drag a job by its handle to another place or bench, or take it up with Space, move it with the arrow keys, and put it down with Space. It stays there until you release it.',
    move: (job: string) => `Move ${job}`,
    for: (day: string) => `for ${day}`,
    release: 'Release',
    releaseOf: (job: string) => `Release ${job}`,
    pinned: (job: string, name: string) => `${job} is pinned to the bench of ${name}.`,
    released: (job: string) => `${job} goes by the plan again.`,
    taken: (job: string) => `${job} is taken up.`,
    over: (job: string, name: string) => `${job} is over the bench of ${name}.`,
    put: (job: string) => `${job} is put down.`,
    left: (job: string) => `${job} stays where it was.`,
  },
  ring: {
    title: 'To ring',
    otherDay: 'Another day',
    againOn: 'Call again on',
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
      calls: 'Announced by phone',
      overdue: 'Promised and overdue',
      dueToday: 'Due today',
      ask: 'Ask customer',
      awaited: 'Parts on order',
      freed: 'Can go on',
      stuck: 'Stuck',
      handed: 'Handed over',
      late: 'Arrived after closing',
      differing: 'Two answers differ',
      untouched: 'Not checked yet',
      owing: 'Checks still to do',
      uncollected: 'Not collected',
      ready: 'Ready, and informed',
    },
    sections: {
      calls: { title: 'Announced by phone', note: 'longest ago first' },
      dueToday: { title: 'Due today', note: undefined },
      canGoOn: { title: 'Can go on', note: undefined },
      trouble: { title: 'In trouble', note: undefined },
      ask: { title: 'Ask customer', note: undefined },
      awaited: { title: 'Parts on order', note: undefined },
      handed: { title: 'Handed over', note: undefined },
      uncollected: { title: 'Not collected', note: 'call them again' },
      untouched: { title: 'Not checked yet', note: 'longest in the shop first' },
      owing: { title: 'Checks still to do', note: 'cannot be closed yet' },
      ready: { title: 'Ready, and informed', note: undefined },
    },
  },
} as const;
