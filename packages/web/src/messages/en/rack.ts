const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

export const rack = {
  title: 'Rack',
  tally: (inShop: number, fresh: number, ready: number) =>
    `${count(inShop, 'machine', 'machines')} in the shop · ${fresh} not looked at yet · ${ready} ready`,
  find: 'Find by tag, machine or customer',
  shelf: (name: string) => `Shelf ${name}`,
  tag: (tag: number) => `Tag ${tag}`,
  ready: 'tied, ready',
  entries: (seen: number, done: number) => `${seen} seen, ${done} done`,
  owed: (n: number) => `${n} owed`,
  contested: 'two answers differ',
  lastBy: (name: string) => `Last at it: ${name}`,
  likely: (name: string, chance: string) => `${name}, ${chance}`,
  nothingLikely: 'nothing stands out yet',
  emptyTitle: 'The shelves are empty',
  empty: 'Every machine that is taken in hangs here with its tag until the customer has it back.',
  noMatchTitle: 'No machine fits',
  noMatch: (words: string) => `Nothing in the shop matches “${words}”.`,
  clear: 'Show all',
  failedTitle: 'The Rack could not be read',
  side: {
    title: 'Where a hand is needed',
    untouched: 'Nobody has looked yet',
    untouchedNote: 'longest in the shop first',
    differing: 'Two answers differ',
    owing: 'Something is owed',
    owingNote: 'cannot be closed yet',
    ready: 'Ready to be collected',
    none: 'Nothing here.',
    since: (day: string) => `since ${day}`,
  },
} as const;
