import type { CasesVerdict, TableChange } from '@nodo/knowledge';
import type { RackEntry, TicketOutlook } from '@nodo/ticket';
import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { call, useRackQuery } from '../../../api/client.ts';
import type { Compared, Effects } from '../../../workers/effect.worker.ts';

export interface TicketEffect extends Compared<TicketOutlook> {
  readonly entry: RackEntry;
}

export interface Effect {
  readonly cases: Compared<CasesVerdict>;
  readonly tickets: readonly TicketEffect[];
  /** Open tickets that could not be read. */
  readonly unread: number;
}

export type EffectState =
  | { readonly kind: 'reckoning'; readonly done: number; readonly of: number }
  | { readonly kind: 'computed'; readonly effect: Effect }
  | { readonly kind: 'failed' };

const BEGUN: EffectState = { kind: 'reckoning', done: 0, of: 0 };

/**
 * What a change would do to the worked cases and to every open ticket. Reckoned once for the
 * tables and tickets as they stood when it was asked for.
 */
export function useEffectOf(
  inForce: readonly TableChange[],
  change: TableChange,
): { readonly state: EffectState; readonly again: () => void } {
  const { data: rack } = useRackQuery();
  const [round, setRound] = useState(0);
  const [known, setKnown] = useState<{ readonly key: string; readonly state: EffectState }>();
  const key = JSON.stringify([round, inForce, change]);
  const isRackRead = rack !== undefined;

  // Not computed again with every entry that somebody makes meanwhile.
  const latest = useRef({ rack, inForce, change });
  useEffect(() => {
    latest.current = { rack, inForce, change };
  });

  useEffect(() => {
    const { rack = [], inForce, change } = latest.current;
    if (!isRackRead) return undefined;
    const worker = new Worker(new URL('../../../workers/effect.worker.ts', import.meta.url), {
      type: 'module',
    });
    const open = rack.filter(({ status }) => status === 'open');
    let stopped = false;
    const report = (state: EffectState) => {
      if (!stopped) setKnown({ key, state });
    };
    compute(wrap<Effects>(worker), open, inForce, change, (done) =>
      report({ kind: 'reckoning', done, of: open.length }),
    ).then(
      (effect) => report({ kind: 'computed', effect }),
      (fault: unknown) => {
        console.error('The effect could not be computed', fault);
        report({ kind: 'failed' });
      },
    );
    return () => {
      stopped = true;
      worker.terminate();
    };
  }, [key, isRackRead]);

  return {
    state: known?.key === key ? known.state : BEGUN,
    again: () => setRound(round + 1),
  };
}

async function compute(
  effects: Remote<Effects>,
  open: readonly RackEntry[],
  inForce: readonly TableChange[],
  change: TableChange,
  report: (done: number) => void,
): Promise<Effect> {
  const cases = await effects.cases(inForce, change);
  const tickets: TicketEffect[] = [];
  let unread = 0;
  for (const [done, entry] of open.entries()) {
    report(done);
    const read = await call({ name: 'readTicket', params: { ticket: entry.ticket } });
    const file = 'data' in read ? read.data : undefined;
    const { before, after } = file
      ? await effects.ticket(entry.ticket, file.events, inForce, change)
      : { before: undefined, after: undefined };
    if (before && after) tickets.push({ entry, before, after });
    else unread += 1;
  }
  return { cases, tickets, unread };
}
