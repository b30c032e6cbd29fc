import { isReason } from '@nodo/kernel';
import { useState } from 'react';
import { m } from '../messages/index.ts';
import { Button } from './Button.tsx';
import { TextField } from './Field.tsx';
import { Form } from './Form.tsx';

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
    <Form className="mt-4 flex max-w-xl flex-col gap-3" onSubmit={() => onSubmit(reason.trim())}>
      <TextField label={label} value={reason} maxLength={500} autoFocus onText={setReason} />
      <Button type="submit" lacks={!isReason(reason) && m.shell.lacks.reason}>
        {submit}
      </Button>
    </Form>
  );
}
