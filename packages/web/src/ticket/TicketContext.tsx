import type { FamilyModel } from '@nodo/knowledge';
import {
  type Assessment,
  assess,
  mayRecord,
  mayWorkAtBench,
  modelOfTicket,
  type Ticket,
} from '@nodo/ticket';
import { createContext, type ReactNode, useContext, useEffect, useMemo, useState } from 'react';
import { useSession } from '../session/SessionContext.tsx';
import { type RecordEntry, useRecord } from './useRecord.ts';
import type { ShownTicket } from './useShownTicket.ts';

/** A ticket, what is inferred from it, and how to write on it. */
export interface OpenTicket {
  readonly ticket: Ticket;
  readonly model: FamilyModel;
  readonly assessment: Assessment;
  readonly record: RecordEntry;
  /** Whether the person at this screen may record findings. */
  readonly mayFind: boolean;
  /** Whether that person may work on the machine. */
  readonly mayWork: boolean;
}

const AtHand = createContext<OpenTicket | undefined>(undefined);
const Shown = createContext<ShownTicket | undefined>(undefined);

/**
 * Everything inside is about one ticket. Its value changes with the ticket only, so what depends
 * on it is not rendered again when the server confirms what is shown already.
 */
export function TicketProvider({
  shown,
  children,
}: {
  readonly shown: ShownTicket;
  readonly children: ReactNode;
}) {
  const { ticket, version } = shown;
  const { role } = useSession().person;
  const model = useMemo(() => modelOfTicket(ticket, version), [ticket, version]);
  const assessment = useMemo(() => model && assess(ticket, model), [ticket, model]);
  const record = useRecord(shown);
  // Every entry names the tables by their hash: computed while nobody waits for it.
  useEffect(() => {
    const idle = requestIdleCallback(() => version.knowledge.hash);
    return () => cancelIdleCallback(idle);
  }, [version]);
  const atHand = useMemo(
    () =>
      model &&
      assessment && {
        ticket,
        model,
        assessment,
        record,
        mayFind: mayRecord(role, 'findings-recorded'),
        mayWork: mayWorkAtBench(role),
      },
    [ticket, model, assessment, record, role],
  );
  if (!atHand) return null;
  return (
    <Shown value={shown}>
      <AtHand value={atHand}>{children}</AtHand>
    </Shown>
  );
}

/** While `frozen`, everything inside goes on showing the ticket as it was before. */
export function FrozenTicket({
  frozen,
  children,
}: {
  readonly frozen: boolean;
  readonly children: ReactNode;
}) {
  const now = useTicket();
  const [held, setHeld] = useState(now);
  if (!frozen && held !== now) setHeld(now);
  return <AtHand value={frozen ? held : now}>{children}</AtHand>;
}

/**
 * The ticket that the view is about.
 * @throws Error outside of a {@link TicketProvider}
 */
export function useTicket(): OpenTicket {
  return given(useContext(AtHand));
}

/** The same with its events, confirmed and waiting; changes with every one of them. */
export function useShown(): ShownTicket {
  return given(useContext(Shown));
}

function given<Value>(value: Value | undefined): Value {
  if (value === undefined) throw new Error('a ticket is needed: TicketProvider is not above');
  return value;
}
