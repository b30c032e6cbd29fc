import type { CallError } from '@nodo/client';
import { faultWords } from '../../../messages/errors.ts';
import { m } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { Button } from '../../../ui/Button.tsx';
import { TextArea } from '../../../ui/Field.tsx';

/** Why, and the sending: the end of every proposal. */
export function ProposalEnd({
  reason,
  onReason,
  isReady,
  isSending,
  fault,
}: {
  readonly reason: string;
  readonly onReason: (reason: string) => void;
  /** Everything else is filled in. */
  readonly isReady: boolean;
  readonly isSending: boolean;
  readonly fault: CallError | undefined;
}) {
  const words = later.tables;
  return (
    <>
      <TextArea
        label={words.reason}
        hint={words.reasonHint}
        rows={2}
        maxLength={400}
        value={reason}
        onText={onReason}
      />
      <TablesFault fault={fault} />
      <Button
        type="submit"
        look="main"
        className="self-start"
        disabled={!isReady || isSending}
        lacks={reason.trim() === '' && m.shell.lacks.reason}
      >
        {words.submit}
      </Button>
    </>
  );
}

/** Why a change of the tables came to nothing. */
export function TablesFault({ fault }: { readonly fault: CallError | undefined }) {
  if (!fault) return null;
  return (
    <p role="alert" className="font-semibold text-hazard">
      {faultWords(fault, later.tables.offLine)}
    </p>
  );
}
