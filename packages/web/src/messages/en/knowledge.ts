import type { Side, StrengthWord, Where } from '@nodo/knowledge';

const strengths: Readonly<Record<StrengthWord, string>> = {
  sure: 'surely',
  usual: 'usually',
  often: 'often',
  some: 'sometimes',
  few: 'now and then',
  rare: 'rarely',
};

const places: Readonly<Record<Where, string>> = {
  phone: 'by phone, at the counter, at the bench',
  counter: 'at the counter, at the bench',
  bench: 'at the bench',
};

const sides: Readonly<Record<Side, string>> = {
  'set-up': 'how it is set up',
  material: 'thread and fabric',
  technique: 'how it is sewn',
  wear: 'wear',
  fault: 'a fault of the machine',
  damage: 'damage',
  adjustment: 'adjustment',
};

export const knowledge = {
  title: 'Knowledge',
  failed: 'The tables could not be read',
  find: 'A few letters: cause, check, finding',
  family: 'Machine',
  causes: 'Causes',
  checks: 'Checks',
  nothing: 'Nothing in the tables fits.',
  whereTitle: 'Where does it hurt?',
  whereHint: 'Tap the machine, or choose a place; or type a few letters at the side.',
  causesAt: (place: string) => `What can be wrong: ${place}`,
  checksAt: (place: string) => `Checks: ${place}`,
  nothingAt: 'Nothing in the tables for this place.',
  unknown: 'This machine does not have it.',
  strengths,
  places,
  sides,
  showsTitle: 'What it shows',
  showsNote: 'How surely this cause shows each, by itself.',
  alikeTitle: 'What looks like it',
  alikeNote: 'How much of what it shows the other shows too, and what tells them apart.',
  ours: (finding: string) => `only this: ${finding}`,
  theirs: (finding: string) => `only the other: ${finding}`,
  findsTitle: 'What it can find',
  normal: (words: string) => `Otherwise: ${words}`,
  caused: 'shown by',
  defines: 'this finding is the cause',
  howOften: (perMille: number) => `${perMille} in 1000 tickets`,
  fix: (time: string) => `${time} to repair`,
  byPhone: 'the owner can fix it at home',
  treatedBy: 'Repaired by',
  where: (place: string) => `Done ${place}`,
  opens: (what: string) => `Opens: ${what}`,
  needsFirst: (what: string) => `Needs first: ${what}`,
  onTicket: (tag: string) => `On ticket ${tag}`,
  chance: (is: string) => `chance that it is there now: ${is}`,
  answered: 'answered on this ticket',
  notAnswered: 'not answered on this ticket yet',
  doCheck: 'Do this check',
  toAll: 'All causes and checks',
  read: 'Read about it',
} as const;
