import { seeded } from '@nodo/core';
import { type Day, dayAfter, toDay, weekdayOf } from '@nodo/kernel';
import { summaryOf, type TicketSummary } from '@nodo/ticket';
import { testId } from '../../kernel/test/ids.ts';
import { modelFor, Story } from '../../ticket/test/story.ts';
import { NEW_SHOP_PROFILE, type ShopProfile, type WorkingTime } from '../src/index.ts';

/** A machine of a drawn shop, with what only its end will tell. */
export interface DrawnMachine {
  line: TicketSummary;
  /** Minutes that it takes in truth, and those done so far. */
  readonly takes: number;
  done: number;
  /** The day on which an answer comes that nobody knows of. */
  readonly answerOn: Day | null;
}

/** A shop on a Monday morning: people, hours, days off, machines. All of it invented. */
export interface DrawnShop {
  readonly card: ShopProfile;
  /** Who may be given work: one of them has no hours yet. */
  readonly people: readonly string[];
  readonly monday: Day;
  readonly machines: DrawnMachine[];
  readonly draw: Draw;
}

export interface Draw {
  chance(probability: number): boolean;
  /** A whole number, both ends in. */
  between(least: number, most: number): number;
  /** Normal, cut off below one minute. */
  minutes(mean: number, spread: number): number;
}

/** Eight in the morning: every shift of the day lies ahead. */
export const OPENING = 480;

export function drawOf(seed: number): Draw {
  const next = seeded(seed);
  return {
    chance: (probability) => next() < probability,
    between: (least, most) => least + Math.floor(next() * (most - least + 1)),
    minutes: (mean, spread) => {
      const z = Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
      return Math.max(1, mean + spread * z);
    },
  };
}

/** One line as the Rack has it, to be changed. */
const LINE = (() => {
  const story = new Story();
  const line = summaryOf(story.ticket, modelFor(story));
  if (!line) throw new Error('no line');
  return line;
})();

export function drawMachine(
  draw: Draw,
  today: Day,
  change: Partial<TicketSummary> = {},
): DrawnMachine {
  const mean = draw.between(10, 120);
  const spread = mean * 0.3;
  const takenInAt = `${dayAfter(today, -draw.between(0, 6))}T10:00:00.000Z`;
  const line = {
    ...LINE,
    ticket: testId(),
    standing: 'taken-in' as const,
    takenInAt,
    left: { mean, spread },
    ...change,
  };
  return {
    line,
    takes: draw.minutes(mean, spread),
    done: 0,
    answerOn: line.standing === 'ask-customer' ? dayAfter(today, draw.between(0, 5)) : null,
  };
}

export function drawShop(seed: number): DrawnShop {
  const draw = drawOf(seed);
  const monday = toDay('2026-03-02');
  const people = Array.from({ length: draw.between(1, 4) }, () => testId());
  const card: ShopProfile = {
    ...NEW_SHOP_PROFILE,
    usualDays: draw.between(4, 10),
    closed: draw.chance(0.2) ? [daysOff(draw, monday)] : [],
    people: Object.fromEntries(people.map((person) => [person, hours(draw, monday)])),
  };
  const newcomer = testId();
  const machines = Array.from({ length: draw.between(2, 7) * people.length }, () =>
    drawMachine(draw, monday, standing(draw, monday, people)),
  );
  return { card, people: [...people, newcomer], monday, machines, draw };
}

function hours(draw: Draw, monday: Day): WorkingTime {
  const begins = 540 + 30 * draw.between(0, 3);
  const isOff = draw.between(0, 9);
  return {
    week: Array.from({ length: 7 }, (_, day): [number, number] | null =>
      day > 4 || day === isOff ? null : [begins, begins + 60 * draw.between(4, 8)],
    ),
    off: draw.chance(0.3) ? [daysOff(draw, monday)] : [],
    share: draw.between(50, 100),
  };
}

function daysOff(draw: Draw, monday: Day) {
  const from = dayAfter(monday, draw.between(0, 8));
  return { from, until: dayAfter(from, draw.between(0, 3)), words: 'away' };
}

/** What a machine waits for, or who has it: most wait for nobody. */
function standing(draw: Draw, monday: Day, people: readonly string[]): Partial<TicketSummary> {
  if (draw.chance(0.12)) return { standing: 'ask-customer', asked: 7400 };
  if (draw.chance(0.15)) {
    const day = draw.chance(0.2) ? null : dayAfter(monday, draw.between(-2, 9));
    return { standing: 'part-awaited', awaited: { part: 'Hook', expected: day } };
  }
  if (draw.chance(0.08)) return { comebackOf: testId() };
  const person = people[draw.between(0, people.length - 1)];
  if (draw.chance(0.12) && person !== undefined) {
    const after = draw.chance(0.5) ? { after: null } : {};
    return { pin: { person, at: `${monday}T07:00:00.000Z`, ...after } };
  }
  return {};
}

/** Minutes that somebody works at repairs on a day, told from the card without the product's own code. */
export function minutesOn({ closed, people }: ShopProfile, person: string, day: Day): number {
  const time = people[person];
  const shift = time?.week[weekdayOf(day)];
  const isAway = [...closed, ...(time?.off ?? [])].some(
    ({ from, until }) => from <= day && day <= until,
  );
  return time && shift && !isAway ? ((shift[1] - shift[0]) * time.share) / 100 : 0;
}
