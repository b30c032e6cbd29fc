import type { DialPulls, PulledBy } from '@nodo/core';
import { day, humanText } from '@nodo/kernel';
import { balanceValue, dialNumber, screwTotal } from '@nodo/ticket';
import { z } from 'zod';
import { threadPath } from './threadPath.ts';

const pull = z.number().min(0).max(2000);

/** How a machine's top thread pulled when it sewed well: in gram-force by gauge, else by feel in steps. */
export const tensionBaseline = z.object({
  day,
  by: z.enum(['gauge', 'feel'] as const satisfies readonly PulledBy[]),
  /** With the presser up; null where it was not pulled so. */
  free: pull.nullable(),
  pulls: z.array(z.object({ dial: dialNumber, pull, going: z.enum(['up', 'down']) })).max(40),
  /** Of the bobbin thread, in gram-force; null where it was not measured. */
  bobbin: pull.nullable(),
});
export type TensionBaseline = z.infer<typeof tensionBaseline>;

/** What balanced once, with which threads on what. */
export const workedSetting = z.object({
  day,
  top: humanText(120),
  /** Empty where nobody said. */
  bobbin: humanText(120, 0),
  fabric: humanText(120, 0),
  dial: dialNumber,
  screw: screwTotal,
  wanted: balanceValue,
});
export type WorkedSetting = z.infer<typeof workedSetting>;

/** So many are remembered of one machine; the oldest make room. */
const MOST_WORKED = 60;

/** What is known of one machine's tension. */
export const machineTension = z.object({
  /** Whether the bench may turn the screw of its case, by its manual; null: nobody looked. */
  screw: z.enum(['may', 'may-not']).nullable().default(null),
  baseline: tensionBaseline.nullable().default(null),
  /** The way of its top thread, where it is another than its family's; null: as its family's. */
  path: threadPath.nullable().default(null),
  /** The latest first. */
  worked: z.array(workedSetting).max(MOST_WORKED).default([]),
});
export type MachineTension = z.infer<typeof machineTension>;

/** A baseline as the core compares it. */
export function pullsOf({ free, pulls }: Pick<TensionBaseline, 'free' | 'pulls'>): DialPulls {
  return { free: free ?? undefined, pulls };
}

/** With one more that worked; what was known for the same threads on the same fabric gives way to it. */
export function withWorked(tension: MachineTension, worked: WorkedSetting): MachineTension {
  const others = tension.worked.filter((one) => !isForSame(one, worked));
  return { ...tension, worked: [worked, ...others].slice(0, MOST_WORKED) };
}

function isForSame(one: WorkedSetting, other: WorkedSetting): boolean {
  return (
    (['top', 'bobbin', 'fabric'] as const).every((what) => alike(one[what], other[what])) &&
    one.wanted === other.wanted
  );
}

/** What worked with these, the latest first; what was left open fits everything. */
export function workedWith(
  { worked }: MachineTension,
  wanted: Partial<Pick<WorkedSetting, 'top' | 'bobbin' | 'fabric'>>,
): readonly WorkedSetting[] {
  return worked.filter((one) =>
    (['top', 'bobbin', 'fabric'] as const).every((what) => {
      const asked = wanted[what]?.trim() ?? '';
      return asked === '' || alike(one[what], asked);
    }),
  );
}

function alike(one: string, other: string): boolean {
  return one.trim().toLowerCase() === other.trim().toLowerCase();
}
