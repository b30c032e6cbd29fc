import type { CallError } from '@nodo/client';
import type { TableCommand } from '@nodo/tables';
import { useChangeTablesMutation } from '../../../api/client.ts';
import { deviceId } from '../../../store/device.ts';

type Wanted = TableCommand extends infer Command
  ? Command extends TableCommand
    ? Pick<Command, 'type' | 'command'>
    : never
  : never;

/**
 * Proposes, accepts or withdraws: at once or not at all, since whoever changes what everybody
 * judges with must see the tables as they are.
 */
export function useChangeTables() {
  const [send, { isLoading, error, reset }] = useChangeTablesMutation();
  return {
    /** The id of the stored event; undefined when it was refused or never answered. */
    change: async (wanted: Wanted): Promise<string | undefined> => {
      const { data } = await send({
        ...wanted,
        id: crypto.randomUUID(),
        observedAt: new Date().toISOString(),
        device: deviceId(),
      });
      return data?.id;
    },
    isSending: isLoading,
    fault: error as CallError | undefined,
    reset,
  };
}
