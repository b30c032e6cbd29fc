import type { Person } from '@nodo/api';
import { useState } from 'react';
import { m } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import type { RecordEntry } from '../../../ticket/useRecord.ts';
import { Button } from '../../../ui/Button.tsx';
import { TextArea } from '../../../ui/Field.tsx';
import { Form } from '../../../ui/Form.tsx';
import { Select } from '../../../ui/Select.tsx';

const WHOEVER = '';

/** Leaves the machine to somebody, with what that one must know. */
export function HandOverForm({
  people,
  self,
  record,
  onDone,
}: {
  readonly people: readonly Person[];
  readonly self: string;
  readonly record: RecordEntry;
  readonly onDone: () => void;
}) {
  const [to, setTo] = useState(WHOEVER);
  const [note, setNote] = useState('');
  const words = later.together;
  return (
    <Form
      className="flex flex-col gap-4"
      onSubmit={() => {
        const done = record('handed-over', { to: to === WHOEVER ? null : to, note: note.trim() });
        if (done) onDone();
      }}
    >
      <Select
        label={words.handTo}
        value={to}
        onChoose={setTo}
        options={[
          [WHOEVER, words.whoever],
          ...people.filter(({ id }) => id !== self).map(({ id, name }) => [id, name] as const),
        ]}
      />
      <TextArea
        label={words.note}
        rows={3}
        maxLength={500}
        autoFocus
        value={note}
        onText={setNote}
      />
      <Button look="main" type="submit" lacks={note.trim() === '' && m.shell.lacks.text}>
        {words.submit}
      </Button>
    </Form>
  );
}
