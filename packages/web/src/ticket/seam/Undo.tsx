import { lastAct } from '@nodo/ticket';
import { Undo2 } from 'lucide-react';
import { createContext, useContext } from 'react';
import { toast } from 'sonner';
import { later } from '../../messages/later.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Key } from '../../ui/Key.tsx';
import { useShown, useTicket } from '../TicketContext.tsx';

/** An act that is no entry: known to this screen alone. */
export interface LocalAct {
  /** When it was done. */
  readonly at: string;
  readonly text: string;
  readonly undo: () => void;
}

/** The latest act of this screen that is no entry. */
export const LatestLocalAct = createContext<LocalAct | undefined>(undefined);

/**
 * Undoes one's own last act, all that it wrote at once: by correcting entries, so that both stay in the
 * record. Undefined while there is nothing to undo.
 */
export function useUndo(): (() => void) | undefined {
  const { record } = useTicket();
  const { ticket } = useShown();
  const { person } = useSession();
  const local = useContext(LatestLocalAct);
  const entries = lastAct(ticket, person.id);
  const [latest] = entries;
  if (local && (latest === undefined || local.at > latest.observedAt)) {
    return () => {
      local.undo();
      toast(later.bench.undone(local.text, person.name));
    };
  }
  if (!latest) return undefined;
  return () => {
    for (const { id } of entries) record('entry-corrected', { corrects: id });
  };
}

/** The same by a button; its key is the view's. */
export function UndoButton({ thumb }: { readonly thumb?: string }) {
  const undo = useUndo();
  if (thumb !== undefined) {
    return (
      <button type="button" disabled={!undo} onClick={undo} className={thumb}>
        {later.bench.undo}
      </button>
    );
  }
  if (!undo) return null;
  return (
    <Button look="quiet" onClick={undo} className="text-sm">
      <Key>u</Key> <Undo2 aria-hidden size={18} /> {later.bench.undo}
    </Button>
  );
}
