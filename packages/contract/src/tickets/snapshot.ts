import { z } from 'zod';

/** What was known when the ticket was closed; kept so that later knowledge cannot rewrite it. */
export const closingSnapshot = z.object({
  engine: z.string(),
  risk: z.number().min(0).max(1),
  causes: z.array(z.object({ cause: z.string(), was: z.number(), is: z.number() })),
  waived: z.array(z.string()),
});
/** Causes below this chance are not kept in the closing snapshot. */
export const LEAST_KEPT = 0.01;

export type ClosingSnapshot = z.infer<typeof closingSnapshot>;
