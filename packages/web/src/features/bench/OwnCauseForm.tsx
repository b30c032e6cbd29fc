import { reportedOn } from '@nodo/ticket';
import { useState } from 'react';
import { m } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { useTicket } from '../../ticket/TicketContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { CheckBoxes } from '../../ui/CheckBox.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';

/** A cause that no table has: its name, what puts it right, what it explains. */
export function OwnCauseForm({
  name: begun,
  onDone,
}: {
  readonly name: string;
  readonly onDone: () => void;
}) {
  const { ticket, model, record } = useTicket();
  const reported = reportedOn(ticket);
  const [name, setName] = useState(begun);
  const [remedy, setRemedy] = useState('');
  const [explains, setExplains] = useState<readonly string[]>(reported);
  const words = later.bench.ownCause;
  return (
    <Form
      className="mt-2 flex flex-col gap-3 overflow-y-auto"
      onSubmit={() => {
        if (record('own-cause-found', { name, remedy, explains: [...explains] })) onDone();
      }}
    >
      <p className="text-quiet">{words.lead}</p>
      <TextField label={words.name} value={name} maxLength={80} autoFocus onText={setName} />
      <TextField
        label={words.remedy}
        hint={words.remedyHint}
        value={remedy}
        maxLength={80}
        onText={setRemedy}
      />
      {reported.length > 0 && (
        <fieldset>
          <legend className="font-semibold">{words.explains}</legend>
          <CheckBoxes
            options={reported.map((id) => [id, model.findings.get(id)?.answer] as const)}
            ticked={explains}
            onTick={setExplains}
          />
        </fieldset>
      )}
      <Button
        look="main"
        type="submit"
        lacks={(name.trim() === '' || remedy.trim() === '') && m.shell.lacks.all}
      >
        {words.submit}
      </Button>
    </Form>
  );
}
