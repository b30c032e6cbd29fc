import type { CauseBelief } from '@nodo/core';
import { z } from 'zod';

/** What was known when the ticket was closed; kept so that later knowledge cannot rewrite it. */
export const closingSnapshot = z.object({
  engine: z.string(),
  risk: z.number().min(0).max(1),
  causes: z.array(z.object({ cause: z.string(), was: z.number(), is: z.number() })),
  waived: z.array(z.string()),
});
export type ClosingSnapshot = z.infer<typeof closingSnapshot>;

/** Which reckoning made a closing snapshot. */
const ENGINE = 'noisy-or-exact/2';

/** Causes below this chance are not kept. */
const LEAST_KEPT = 0.01;

/** @param waived duties that stay undone, by id. */
export function snapshotOf(
  { beliefs, risk }: { readonly beliefs: readonly CauseBelief[]; readonly risk: number },
  waived: readonly string[],
): ClosingSnapshot {
  return {
    engine: ENGINE,
    risk,
    causes: beliefs.filter(({ was, is }) => was >= LEAST_KEPT || is >= LEAST_KEPT),
    waived: [...waived],
  };
}
