import { barAt, mm, shaftAtLift, whereValid } from '@nodo/core';
import type { FindingId } from '@nodo/knowledge';
import type { Measure, Quantity, Ticket } from '@nodo/ticket';
import type { StitchMachine } from './machine.ts';
import type { StitchSettings } from './settings.ts';

const DEGREE = Math.PI / 180;

/** What a ticket tells of the settings, as found and as set. */
export interface TicketSettings {
  readonly found: Partial<StitchSettings>;
  readonly set: Partial<StitchSettings>;
  /** Of what was only seen: so much is taken for it. */
  readonly taken: ReadonlySet<keyof StitchSettings>;
}

/** What a finding without a measure is taken for; ours, so grave that somebody would see it. */
const TAKEN_FOR: readonly (readonly [finding: FindingId, settings: Partial<StitchSettings>])[] = [
  ['needle-wrong-way', { backward: true }],
  ['needle-short-of-stop', { low: 1.5 }],
  ['needle-crooked', { bent: 0.5 }],
  ['fabric-rises', { rise: 1.5 }],
];

/**
 * The settings that a ticket's own readings and findings make, with the needle in the middle of its swing.
 * @param angle at which this machine's needles should stand, in degrees
 */
export function ticketSettings(
  ticket: Ticket,
  machine: StitchMachine,
  angle: number,
): TicketSettings {
  const seen = new Map(ticket.answers.map(({ finding, present }) => [finding, present]));
  const guessed = TAKEN_FOR.flatMap(([finding, settings]) => (seen.get(finding) ? [settings] : []));
  const taken = Object.assign({}, ...guessed) as Partial<StitchSettings>;
  const found = measuredAs(ticket.life.measures, 'found', machine, angle);
  const set = measuredAs(ticket.life.measures, 'set', machine, angle);
  return {
    found: { ...taken, ...found },
    set: { ...set, ...(Object.keys(set).length > 0 ? { backward: false } : {}) },
    taken: new Set(
      (Object.keys(taken) as (keyof StitchSettings)[]).filter((name) => !(name in found)),
    ),
  };
}

function measuredAs(
  measures: readonly Measure[],
  when: Measure['when'],
  machine: StitchMachine,
  angle: number,
): Partial<StitchSettings> {
  const last = (quantity: Quantity) =>
    measures.findLast(
      (one) =>
        one.quantity === quantity &&
        one.when === when &&
        (one.swing === undefined || one.swing === 'middle'),
    )?.value;
  const [low, turned, bent] = [last('needle-short'), last('needle-angle'), last('needle-bend')];
  const gap = last('hook-gap');
  return {
    ...(low === undefined ? {} : { low }),
    ...(turned === undefined ? {} : { turned: turned - angle }),
    ...(bent === undefined ? {} : { bent }),
    ...(gap === undefined ? {} : { gap }),
    ...hookSettings(last('loop-lift'), last('hook-above-eye'), machine),
  };
}

/** How late the hook and how deep the bar, from what was read at the meeting. */
export function hookSettings(
  lift: number | undefined,
  above: number | undefined,
  { preset }: StitchMachine,
): Partial<Pick<StitchSettings, 'late' | 'deep'>> {
  const { bar, meetsAt, meeting } = preset.set.former;
  const right = barAt(bar, meetsAt).lift;
  const shaft = lift === undefined ? meetsAt : whereValid(() => shaftAtLift(bar, mm(lift)));
  if (shaft === undefined) return {};
  const late = lift === undefined ? {} : { late: (shaft - meetsAt) / DEGREE };
  // The point's height over the needle's lowest eye does not change with the timing.
  const deep =
    above === undefined ? {} : { deep: above + (lift ?? right) - (meeting.aboveEye + right) };
  return { ...late, ...deep };
}
