import type { Evidence } from './evidence.ts';
import type { Network } from './network.ts';
import { comebackRisk } from './posterior.ts';

/** Longer is not proposed. Ours, no source. */
export const MOST_PROOF_MINUTES = 15;
/** The risk with which a shop gives a machine back, unless it says otherwise. Ours, no source. */
export const RISK_LIMIT = 0.05;

/** Told to the nearest half minute, upwards. */
const STEP = 0.5;

/** How long a machine must sew in silence. */
export interface Proof {
  /** Least minutes; undefined when even the most that is proposed does not do. */
  readonly minutes: number | undefined;
  /** Comeback risk if nothing shows in that time, or in the most that is proposed. */
  readonly risk: number;
}

/**
 * The least sewing after which, should nothing show, the comeback risk falls to the limit.
 * @param sewnInSilence what would be known after so many more minutes in which nothing shows.
 */
export function proofNeeded(
  network: Network,
  sewnInSilence: (minutes: number) => Evidence,
  limit = RISK_LIMIT,
): Proof {
  const riskAfter = (steps: number): number => comebackRisk(network, sewnInSilence(steps * STEP));
  let tooShort = -1;
  let enough = MOST_PROOF_MINUTES / STEP;
  let risk = riskAfter(enough);
  if (risk > limit) return { minutes: undefined, risk };
  while (enough - tooShort > 1) {
    const middle = Math.floor((tooShort + enough) / 2);
    const here = riskAfter(middle);
    if (here <= limit) {
      enough = middle;
      risk = here;
    } else tooShort = middle;
  }
  return { minutes: enough * STEP, risk };
}
