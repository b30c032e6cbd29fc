import { z } from 'zod';
import { QUANTITY_IDS } from '../shop/quantities.ts';
import { humanText, minorUnits } from '../text.ts';

/** How needle, threads and settings were, each in the words of who looked; empty where nobody did. */
export const setUpFound = z.object({
  needle: humanText(120, 0),
  thread: humanText(120, 0),
  bobbin: humanText(120, 0),
  dial: humanText(40, 0),
  screw: humanText(40, 0),
});
export type SetUp = z.infer<typeof setUpFound>;

/** A part that went into the machine. */
export const partPut = z.object({
  words: humanText(120),
  count: z.number().int().min(1).max(999),
  /** Price of one. */
  each: minorUnits,
});
export type PartPut = z.infer<typeof partPut>;

/** What was measured on it, as it was found or as it was set. */
export const measure = z.object({
  quantity: z.enum(QUANTITY_IDS),
  /** In the unit of the quantity. */
  value: z.number().min(-1000).max(10_000),
  when: z.enum(['found', 'set']),
});
export type Measure = z.infer<typeof measure>;
