import {
  barAt,
  isWithin,
  MEETING_READINGS,
  type MeetingReading,
  type StitchFormer,
  type SwingReading,
  type Target,
  type TimingVerdict,
  targetsAt,
  timingVerdict,
  whereValid,
} from '@nodo/core';
import type { ActionId, CheckId, FindingId } from '@nodo/knowledge';
import { READING_QUANTITY, type StitchMachine } from '@nodo/shop';
import {
  HAND_TURNED,
  type Measure,
  type MeasureLimit,
  type SwingPlace,
  type Ticket,
} from '@nodo/ticket';
import { readNumber } from '../../../messages/typed.ts';

export type LiftWay = 'mm' | 'degrees';

/** Readings as they are typed, by swing. */
export type TypedReadings = Readonly<Record<SwingPlace, Readonly<Record<MeetingReading, string>>>>;

const NOTHING = { lift: '', aboveEye: '', gap: '' };
export const NO_READINGS: TypedReadings = { left: NOTHING, middle: NOTHING, right: NOTHING };

/** The places of the swing at which a machine is read, with how far the needle stands aside there. */
export function placesOf({ preset }: StitchMachine): readonly (readonly [SwingPlace, number])[] {
  const swing: number = preset.set.former.swing;
  if (swing === 0) return [['middle', 0]];
  return [
    ['left', -swing],
    ['middle', 0],
    ['right', swing],
  ];
}

/** One reading, as it was typed and as it is. */
export interface ReadCell {
  readonly place: SwingPlace;
  readonly swing: number;
  readonly reading: MeetingReading;
  /** Undefined while nothing was typed, NaN where that is no reading. */
  readonly value: number | undefined;
  readonly target: Target;
  readonly isWithin: boolean | undefined;
}

/** More than any of them can be, in millimetres; a needle rises no farther than its stroke. */
const MOST: Readonly<Record<MeetingReading, number>> = { lift: 15, aboveEye: 10, gap: 5 };

/** Every reading that this machine is asked for, held against what it should be. */
export function cellsOf(
  machine: StitchMachine,
  typed: TypedReadings,
  liftWay: LiftWay,
): readonly ReadCell[] {
  const { former } = machine.preset.set;
  return placesOf(machine).flatMap(([place, swing]) => {
    const targets = targetsAt(former, machine.targets, swing);
    return MEETING_READINGS.map((reading): ReadCell => {
      const text = typed[place][reading];
      const value = text.trim() === '' ? undefined : readingOf(reading, text, liftWay, former);
      const target = targets[reading];
      const isRead = value !== undefined && !Number.isNaN(value);
      return {
        place,
        swing,
        reading,
        value,
        target,
        isWithin: isRead ? isWithin(value, target) : undefined,
      };
    });
  });
}

/** A reading in millimetres, however it was read; NaN where it is none. */
function readingOf(
  reading: MeetingReading,
  text: string,
  liftWay: LiftWay,
  { bar }: StitchFormer,
): number {
  const number = readNumber(text) ?? Number.NaN;
  const value =
    reading === 'lift' && liftWay === 'degrees' && number >= 0 && number < 90
      ? barAt(bar, (number * Math.PI) / 180).lift
      : number;
  return value >= 0 && value <= MOST[reading] ? value : Number.NaN;
}

/** What is off; undefined as long as nothing was read, or something read is none. */
export function verdictOf(
  { preset, targets }: StitchMachine,
  cells: readonly ReadCell[],
): TimingVerdict | undefined {
  const read = cells.filter(({ value }) => value !== undefined);
  if (read.length === 0 || read.some(({ value }) => Number.isNaN(value))) return undefined;
  const swings = [...new Set(read.map(({ swing }) => swing))];
  const readings = swings.map(
    (swing): SwingReading => ({
      swing,
      ...Object.fromEntries(
        read.filter((one) => one.swing === swing).map(({ reading, value }) => [reading, value]),
      ),
    }),
  );
  return whereValid(() => timingVerdict(preset.set.former, targets, readings));
}

/** The readings as entries of a ticket, each with what it was held against. */
export function measuresOf(
  { own }: StitchMachine,
  cells: readonly ReadCell[],
  when: Measure['when'],
): readonly Measure[] {
  return cells.flatMap(({ place, swing, reading, value, target }): Measure[] => {
    if (value === undefined) return [];
    const quantity = READING_QUANTITY[reading];
    const standing: MeasureLimit['standing'] =
      swing !== 0 && reading !== 'gap' ? 'derived' : own.has(quantity) ? 'shop' : 'typical';
    return [
      {
        quantity,
        value: inHundredths(value),
        when,
        swing: place,
        limit: { least: inHundredths(target.least), most: inHundredths(target.most), standing },
      },
    ];
  });
}

/** Gaps are read in hundredths and told in thousandths where they are computed. */
function inHundredths(value: number): number {
  return Math.round(value * 1000) / 1000;
}

/** A check with what was seen at it. */
export interface Look {
  readonly check: CheckId;
  readonly seen: readonly FindingId[];
}

/** The checks that the readings answer, and what each shows. */
export function looksOf({ timing, bar, gap }: TimingVerdict): readonly Look[] {
  return [
    ...(timing ? [look('timing', timing.within ? [] : ['hook-early-late'])] : []),
    ...(bar ? [look('bar-height', bar.within ? [] : ['bar-off'])] : []),
    ...(gap
      ? [look('hook-gap', gap.within ? [] : [gap.off > 0 ? 'gap-wide' : 'gap-touching'])]
      : []),
  ];
}

const look = (check: CheckId, seen: readonly FindingId[]): Look => ({ check, seen });

/** What sets the hook or the needle bar. */
export const SETS = [
  ['timing', 'timing-set'],
  ['bar', 'bar-height-set'],
  ['gap', 'hook-gap-set'],
] as const satisfies readonly (readonly [keyof TimingVerdict, ActionId])[];

/** The checks that show what has to be set. */
export const SET_CHECKS: readonly CheckId[] = ['timing', 'bar-height', 'hook-gap'];

/** How far the setting of a machine is on its ticket. */
export interface TimingStanding {
  /** Something was set on this ticket: what is read now is as set. */
  readonly isSet: boolean;
  /** Where it stood before it was moved, as it was written down last. */
  readonly start: string | undefined;
  /** It was turned by hand since it was set last. */
  readonly isTurned: boolean;
}

export const MARKS_NOTED: ActionId = 'marks-noted';

export function timingStanding({ performedActions, entries, corrected }: Ticket): TimingStanding {
  const sets: ReadonlySet<string> = new Set(SETS.map(([, action]) => action));
  const lastSet = performedActions.findLast(({ action }) => sets.has(action))?.seq ?? 0;
  const start = entries.findLast(
    (entry) =>
      entry.type === 'action-done' &&
      !corrected.has(entry.id) &&
      (entry.body as { readonly action?: unknown }).action === MARKS_NOTED,
  );
  return {
    isSet: lastSet > 0,
    start: (start?.body as { readonly note?: string } | undefined)?.note,
    isTurned: performedActions.some(({ action, seq }) => action === HAND_TURNED && seq > lastSet),
  };
}
