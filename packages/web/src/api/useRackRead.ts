import type { RackEntry } from '@nodo/ticket';
import { client, useAppDispatch, useRackQuery } from './client.ts';

/**
 * The Rack, and how to wait for it where it is still on its way: what is decided from it must not
 * be decided from an empty one. `whenRead` gives undefined where no answer is to be had.
 */
export function useRackRead(): {
  readonly rack: readonly RackEntry[] | undefined;
  readonly whenRead: () => Promise<readonly RackEntry[] | undefined>;
} {
  const dispatch = useAppDispatch();
  const { data: rack } = useRackQuery();
  const whenRead = async () => {
    if (rack) return rack;
    const reading = dispatch(client.api.endpoints.rack.initiate());
    try {
      return (await reading).data;
    } finally {
      reading.unsubscribe();
    }
  };
  return { rack, whenRead };
}
