import type { Session } from '@nodo/api';
import { assess, tablesOf } from '@nodo/ticket';
import { useEffect, useMemo } from 'react';
import { usePeopleById } from '../session/usePeopleById.ts';
import { usePlan } from './usePlan.ts';
import { useRecord } from './useRecord.ts';
import type { ShownTicket } from './useShownTicket.ts';

/** A ticket with all that is reckoned of it, and the pen to write on it. */
export function useAtWork(shown: ShownTicket, session: Session) {
  const { ticket, events, edition, changes } = shown;
  const model = useMemo(() => tablesOf(ticket, edition), [ticket, edition]);
  const assessment = useMemo(() => model && assess(ticket, model), [ticket, model]);
  // Every entry names the tables by their hash: reckoned while nobody waits for it.
  useEffect(() => {
    const idle = requestIdleCallback(() => edition.knowledge.hash);
    return () => cancelIdleCallback(idle);
  }, [edition]);
  const planned = usePlan(ticket.id, events, changes);
  return {
    model,
    assessment,
    plan: planned === 'failed' ? undefined : planned,
    planFailed: planned === 'failed',
    people: usePeopleById(),
    record: useRecord(shown, session),
  };
}
