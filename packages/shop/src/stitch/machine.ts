import {
  type MeetingReading,
  type MeetingTargets,
  mm,
  type NeedleBar,
  shaftAtLift,
  type Target,
  USUAL_MEETING,
} from '@nodo/core';
import { type StitchPreset, stitchPreset } from '@nodo/knowledge';
import { QUANTITIES, type Quantity } from '@nodo/ticket';
import type { MachineProfile, ServiceValue } from '../profiles.ts';

/** What of a machine's record decides how its stitch forms. */
export const STITCH_QUANTITIES = [
  'loop-lift',
  'hook-above-eye',
  'hook-gap',
  'needle-stroke',
  'swing-width',
  'hook-across',
] as const satisfies readonly Quantity[];
export type StitchQuantity = (typeof STITCH_QUANTITIES)[number];

/** How a machine forms its stitch when it is set right. */
export interface StitchMachine {
  readonly preset: StitchPreset;
  /** What is read where the point meets the needle in the middle of its swing. */
  readonly targets: MeetingTargets;
  /** The values that its record has; the others are typical. */
  readonly own: ReadonlySet<StitchQuantity>;
}

type Service = MachineProfile['service'];

/** Which quantity each reading at the meeting is. */
export const READING_QUANTITY = {
  lift: 'loop-lift',
  aboveEye: 'hook-above-eye',
  gap: 'hook-gap',
} as const satisfies Record<MeetingReading, StitchQuantity>;

/**
 * A machine by its family, with its own values above the typical ones.
 * @returns undefined for a family without a hook
 * @throws CoreFault `linkage-impossible`, `not-so-far` where its own values contradict each other
 */
export function stitchMachine(family: string, service: Service): StitchMachine | undefined {
  const preset = stitchPreset(family);
  if (!preset) return undefined;
  const { set, around } = preset;
  const { former } = set;
  const targets = meetingTargets(service);
  const bar = barOf(former.bar, service['needle-stroke']);
  const swing = halfOf(service['swing-width']) ?? former.swing;
  const radius = halfOf(service['hook-across']) ?? former.hook.radius;
  // A swing of its own takes its hole and its foot along.
  const wider = swing - former.swing;
  return {
    preset: {
      set: {
        ...set,
        former: {
          ...former,
          bar,
          swing: mm(swing),
          hook: { ...former.hook, radius: mm(radius) },
          meetsAt: shaftAtLift(bar, mm(targets.lift.aim)),
          meeting: {
            ...former.meeting,
            aboveEye: targets.aboveEye.aim,
            gap: mm(targets.gap.aim),
          },
        },
      },
      around: { ...around, plate: mm(around.plate + wider), foot: mm(around.foot + wider) },
    },
    targets,
    own: new Set(STITCH_QUANTITIES.filter((quantity) => service[quantity])),
  };
}

/** What is read at the meeting of a machine that is set right: its record's values, else typical ones. */
export function meetingTargets(service: Service): MeetingTargets {
  const usual: Readonly<Record<MeetingReading, number>> = {
    lift: USUAL_MEETING.loop.lift,
    aboveEye: USUAL_MEETING.aboveEye,
    gap: USUAL_MEETING.gap,
  };
  const targetOf = (reading: MeetingReading): Target => {
    const quantity = READING_QUANTITY[reading];
    const own = service[quantity];
    const [least, most] = own ? [own.least, own.most] : QUANTITIES[quantity].usual;
    return { least, most, aim: own ? middleOf(own) : usual[reading] };
  };
  return { lift: targetOf('lift'), aboveEye: targetOf('aboveEye'), gap: targetOf('gap') };
}

/** The angle at which this machine's needles are set, in degrees; square where its record says nothing. */
export function needleAngle(service: Service): number {
  const own = service['needle-angle'];
  return own ? middleOf(own) : 0;
}

/** The crank is half the stroke; the rod stays typical. */
function barOf(bar: NeedleBar, stroke: ServiceValue | undefined): NeedleBar {
  const crank = halfOf(stroke);
  return crank === undefined ? bar : { ...bar, crank };
}

function halfOf(value: ServiceValue | undefined): number | undefined {
  return value && middleOf(value) / 2;
}

function middleOf({ least, most }: ServiceValue): number {
  return (least + most) / 2;
}
