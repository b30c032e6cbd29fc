import type { MachineProfile } from '@nodo/shop';
import { mayTakeIn } from '@nodo/ticket';
import { useChangeMachineMutation, useMachineQuery } from '../../api/client.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { useInstrumentBench } from './InstrumentContext.tsx';

export interface OwnCard {
  /** Undefined until it was read. */
  readonly card: MachineProfile | undefined;
  readonly isBusy: boolean;
  /** What the server answered to the last change. */
  readonly fault: unknown;
  /** Changes what is given and nothing else. @returns whether it was kept */
  readonly keep: (changed: Partial<MachineProfile>) => Promise<boolean>;
}

/** The record of the machine on the bench, to add to; undefined where there is none, or no right to it. */
export function useOwnCard(): OwnCard | undefined {
  const { machine } = useInstrumentBench();
  const mayChange = mayTakeIn(useSession().person.role);
  const { data } = useMachineQuery(machine ?? '', { skip: machine === undefined || !mayChange });
  const [change, { isLoading, error }] = useChangeMachineMutation();
  if (machine === undefined || !mayChange) return undefined;
  return {
    card: data?.machine.card,
    isBusy: !data || isLoading,
    fault: error,
    keep: async (changed) => {
      if (!data) return false;
      const { revision, customer, card } = data.machine;
      const saved = await change({ machine, revision, customer, card: { ...card, ...changed } });
      return saved.data !== undefined;
    },
  };
}
