import type { Day } from '@nodo/kernel';
import { atTheClock, type Stage } from '../state/life.ts';
import type { Ticket } from '../state/ticket.ts';
import type { Unrepaired } from '../state/values.ts';
import { stageOf } from './stage.ts';

/** How a ticket stands, as whoever answers a call says it. */
export interface Situation {
  readonly stage: Stage;
  /** Who works on it by the clock. */
  readonly workedOnBy: readonly string[];
  /** What the customer is to be asked, while the answer is open. */
  readonly question: { readonly amount: number; readonly words: string } | undefined;
  /** The part that work waits for. */
  readonly awaited:
    | { readonly id: string; readonly part: string; readonly expected: Day | null }
    | undefined;
  /** Why it goes back, or went back, as it came; undefined where it was repaired. */
  readonly unrepaired: Unrepaired | undefined;
  /** When the customer was last informed that it is ready. */
  readonly informedAt: string | undefined;
  /** The promised day cannot hold: a part comes only after it. */
  readonly conflict: { readonly promised: Day; readonly expected: Day } | undefined;
}

export function situationOf(ticket: Ticket): Situation {
  const { life, closing } = ticket;
  const { asked, promised } = life;
  const awaited = life.awaits.find(({ came }) => !came);
  const expected = awaited?.expected ?? undefined;
  const isLate = ticket.status === 'open' && promised && expected && expected > promised;
  return {
    stage: stageOf(ticket),
    workedOnBy: atTheClock(life),
    question: asked && !asked.answer ? { amount: asked.amount, words: asked.words } : undefined,
    awaited: awaited && { id: awaited.id, part: awaited.part, expected: awaited.expected },
    unrepaired: closing?.unrepaired,
    informedAt: life.toldAt,
    conflict: isLate ? { promised, expected } : undefined,
  };
}
