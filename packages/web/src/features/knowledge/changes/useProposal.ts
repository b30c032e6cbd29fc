import type { KnowledgeVersion, TableChange } from '@nodo/knowledge';
import { refusalOfChange } from '@nodo/tables';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { m } from '../../../messages/index.ts';
import { useChangeTables } from './useChangeTables.ts';

/** A change of one value as a lead writes it: what is wrong with it, its reason, and the sending. */
export function useProposal(version: KnowledgeVersion) {
  const [error, setError] = useState<string>();
  const [reason, setReason] = useState('');
  const { change: send, isSending, fault } = useChangeTables();
  const navigate = useNavigate();
  return {
    error,
    setError,
    /** Where it can be made, it is sent, and its page opens. */
    propose: async (change: TableChange): Promise<void> => {
      const refusal = refusalOfChange(version, change, '');
      if (refusal) {
        setError(m.refusals[refusal.code](refusal));
        return;
      }
      const command = { change, reason: reason.trim() };
      const id = await send({ type: 'change-proposed', command });
      if (id !== undefined) void navigate(`/knowledge/changes/${id}`);
    },
    /** For `ProposalEnd`. */
    end: { reason, onReason: setReason, isSending, fault },
  };
}
