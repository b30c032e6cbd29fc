import type { CauseBelief } from '@nodo/core';
import { z } from 'zod';

/** What was known when the ticket was closed; kept so that later knowledge cannot rewrite it. */
export const closingSnapshot = z.object({
  engine: z.string(),
  risk: z.number().min(0).max(1),
  causes: z.array(
    z.object({
      cause: z.string(),
      was: z.number(),
      is: z.number(),
      /** To blame then; left out by engines that did not tell it apart. */
      blame: z.number().optional(),
    }),
  ),
  /** How each symptom was settled, by id; left out by engines that did not ask. */
  settled: z.record(z.string(), z.string()).optional(),
  waived: z.array(z.string()),
});
export type ClosingSnapshot = z.infer<typeof closingSnapshot>;

/** Which reckoning an open ticket is judged by, and made a closing snapshot. */
export const ENGINE = 'persistent-triggers/1';

/** Causes below this chance are not kept. */
const LEAST_KEPT = 0.01;

/** @param waived duties that stay undone, by id. */
export function snapshotOf(
  {
    beliefs,
    risk,
    debts,
  }: {
    readonly beliefs: readonly CauseBelief[];
    readonly risk: number;
    readonly debts: readonly { readonly symptom: string; readonly settled: string | undefined }[];
  },
  waived: readonly string[],
): ClosingSnapshot {
  return {
    engine: ENGINE,
    risk,
    causes: beliefs
      .filter(({ was, is }) => was >= LEAST_KEPT || is >= LEAST_KEPT)
      .map((belief) => ({ ...belief })),
    settled: Object.fromEntries(
      debts.map(({ symptom, settled }) => [symptom, settled ?? 'owed'] as const),
    ),
    waived: [...waived],
  };
}
