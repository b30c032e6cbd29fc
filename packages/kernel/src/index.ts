export {
  type Day,
  dayAfter,
  dayOf,
  daysBetween,
  instantAt,
  isTimeZone,
  readDay,
  toDay,
  type WallClock,
  wallClockAt,
  weekdayOf,
} from './days.ts';
export {
  counter,
  currencyCode,
  cursor,
  day,
  humanText,
  instant,
  isBefore,
  minorUnits,
  minutesBetween,
  role,
  sha256,
  tableId,
  timeZone,
  uuid,
} from './fields.ts';
export { LONGEST_PASSWORD, SHORTEST_PASSWORD } from './passwords.ts';
export { type Refusal, type RefusalCode, refusal, refuse } from './refusal.ts';
export { type Actor, AT_THE_BENCH, AT_THE_COUNTER, EVERY_ROLE, LEADS, type Role } from './roles.ts';
export { isReason, LEAST_REASON, lowerFirst } from './text.ts';
export {
  currencySign,
  GROUP,
  moneyDigits,
  PAPER_LANGUAGES,
  type PaperLanguage,
  WRITTEN_IN,
  writeCounted,
  writeDay,
  writeDayIn,
  writeMoney,
  writeNumber,
} from './writing.ts';
