import { type Day, GROUP, moneyDigits, WRITTEN_IN, writeDay, writeMoney } from '@nodo/kernel';
import { shopClock, shopDayOf, shopZone } from '../time/shopTime.ts';
import { en } from './en/index.ts';

/** Everything the interface says. A second language is a second object of this type. */
export type Messages = typeof en;

const CATALOGUES = { en };

/** Of catalogues that say the same in several languages, the one that this browser's owner reads. */
export function inOwnLanguage<Words>(
  catalogues: Readonly<Record<string, Words>> & { readonly en: Words },
): Words {
  const wanted = navigator.languages.map((tag) => tag.slice(0, 2));
  return catalogues[wanted.find((tag) => tag in catalogues) ?? 'en'] ?? catalogues.en;
}

export const m: Messages = inOwnLanguage<Messages>(CATALOGUES);

/** Numbers as the user's own computer writes them; days, clocks and money as on paper. */
const locale = navigator.language;
const minutesFormat = new Intl.NumberFormat(locale, { maximumFractionDigits: 1 });
const figureFormat = new Intl.NumberFormat(locale, { maximumFractionDigits: 3 });
const percentFormat = new Intl.NumberFormat(locale, { style: 'percent', maximumFractionDigits: 0 });
const fineFormat = new Intl.NumberFormat(locale, { style: 'percent', maximumSignificantDigits: 2 });

/**
 * What somebody typed as money, in the smallest unit of the currency; undefined when it is none.
 * A comma is as good as a point.
 */
export function readMoney(typed: string, currency: string): number | undefined {
  const text = typed.trim().replace(',', '.');
  if (!/^\d{1,7}(\.\d{1,3})?$/.test(text)) return undefined;
  const digits = moneyDigits(currency);
  return Math.round(Number(text) * 10 ** digits);
}

/** The other way round: as it is typed. */
export function typedMoney(minor: number, currency: string): string {
  const digits = moneyDigits(currency);
  return (minor / 10 ** digits).toFixed(digits);
}

/** Formats of the clock, made once for each time zone. */
const clocks = new Map<string, Intl.DateTimeFormat>();

function clockIn(timeZone: string): Intl.DateTimeFormat {
  const parts = { hour: '2-digit', minute: '2-digit', timeZone } as const;
  const clock = clocks.get(timeZone) ?? new Intl.DateTimeFormat(WRITTEN_IN, parts);
  clocks.set(timeZone, clock);
  return clock;
}

/** As the computer writes it, but thousands apart as on paper. */
function spaced(format: Intl.NumberFormat, value: number): string {
  return format
    .formatToParts(value)
    .map(({ type, value: part }) => (type === 'group' ? GROUP : part))
    .join('');
}

export const write = {
  minutes: (value: number): string => spaced(minutesFormat, value),
  /** How long something takes: seconds below a minute, whole minutes from ten on, hours above ninety. */
  duration: (minutes: number): string => {
    if (minutes === 0) return '0 min';
    if (minutes < 59.5 / 60) return `${Math.max(1, Math.round(minutes * 60))} s`;
    if (minutes < 9.95) return `${spaced(minutesFormat, minutes)} min`;
    if (minutes < 90.5) return `${spaced(minutesFormat, Math.round(minutes))} min`;
    return `${spaced(minutesFormat, minutes / 60)} h`;
  },
  /** A measured number, as exact as it is. */
  figure: (value: number): string => spaced(figureFormat, value),
  /** A computed number, to a tenth. */
  tenths: (value: number): string => spaced(figureFormat, Math.round(value * 10) / 10),
  percent: (chance: number): string => {
    if (chance > 0 && chance < 0.005) return `<\u00a0${percentFormat.format(0.01)}`;
    if (chance < 1 && chance > 0.995) return `>\u00a0${percentFormat.format(0.99)}`;
    return percentFormat.format(chance);
  },
  /** A chance that is small: two figures that count. */
  fine: (chance: number): string => fineFormat.format(chance),
  /** On the shop's clock. */
  clock: (instant: string): string => clockIn(shopZone()).format(new Date(instant)),
  /** The clock for today, day and clock for any other. */
  moment: (instant: string): string => {
    const clock = write.clock(instant);
    return shopDayOf(instant) === shopClock().day ? clock : `${write.day(instant)} ${clock}`;
  },
  /** The day in the shop on which something happened. */
  day: (instant: string): string => write.plainDay(shopDayOf(instant)),
  /** A day, which is no instant. */
  plainDay: (day: Day): string => writeDay(day, shopClock().day),
  money: writeMoney,
};
