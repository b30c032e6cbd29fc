import { SWINGS } from '@nodo/core';
import { sha256, tableId } from '@nodo/kernel';
import { z } from 'zod';
import { balanceValue, SEAM_KINDS } from './values.ts';

/** What is read off one side of a sewn sample, in millimetres. */
export const SAMPLE_FIGURES = ['length', 'spread', 'width', 'wander'] as const;

/** What somebody can set right by hand on one side. */
export const SAMPLE_VALUES = ['stitches', 'skips', ...SAMPLE_FIGURES, 'loose'] as const;
export type SampleValue = (typeof SAMPLE_VALUES)[number];

const millimetres = z.number().min(0).max(50);

const sampleFace = z.object({
  /** The picture it was read from; absent where it could not be kept. */
  photo: sha256.optional(),
  stitches: z.number().int().min(1).max(1000),
  /** Holes that the threads did not catch at. */
  skips: z.number().int().min(0).max(1000),
  /** Which they are, from the first hole on, and at which swing of a zigzag; as far as that was read. */
  skippedAt: z
    .array(z.object({ at: z.number().int().min(1).max(1000), swing: z.enum(SWINGS).optional() }))
    .max(1000),
  length: millimetres,
  spread: millimetres,
  wander: millimetres,
  /** Between the swings; nothing of a straight seam. */
  width: millimetres,
  /** Square millimetres of thread that hangs loose beside the seam; absent where it was not looked for. */
  loose: z.number().min(0).max(10_000).optional(),
  /** What somebody set right by hand. */
  byHand: z.array(z.enum(SAMPLE_VALUES)),
});
export type KeptFace = z.infer<typeof sampleFace>;

/** A sewn sample as it was measured from pictures of it. */
export const sampleReading = z
  .object({
    seam: z.enum(SEAM_KINDS),
    faces: z.object({ top: sampleFace.optional(), bottom: sampleFace.optional() }),
    /** Where its knots lie, and about a standard deviation of it; without one as somebody set it by hand. */
    balance: z
      .object({ value: balanceValue, error: z.number().min(0).max(2).optional() })
      .optional(),
    /** Stitches a minute that it was sewn at, where it was said. */
    rate: z.number().min(10).max(10_000).optional(),
    /** What it was sewn for. */
    check: tableId.optional(),
  })
  .refine(({ faces }) => faces.top !== undefined || faces.bottom !== undefined, {
    path: ['faces'],
  });
export type KeptSample = z.infer<typeof sampleReading>;
