import { useState } from 'react';
import { Button } from './Button.tsx';
import { TextField } from './Field.tsx';

const LEAST_LETTERS = 3;

/** One line for a reason, and what it is the reason for. */
export function ReasonForm({
  label,
  submit,
  onSubmit,
}: {
  readonly label: string;
  readonly submit: string;
  readonly onSubmit: (reason: string) => void;
}) {
  const [reason, setReason] = useState('');
  return (
    <form
      className="mt-4 flex max-w-xl flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        onSubmit(reason.trim());
      }}
    >
      <TextField
        label={label}
        value={reason}
        maxLength={500}
        autoFocus
        onChange={(event) => setReason(event.target.value)}
      />
      <Button type="submit" disabled={reason.trim().length < LEAST_LETTERS}>
        {submit}
      </Button>
    </form>
  );
}
