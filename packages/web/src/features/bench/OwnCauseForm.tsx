import { reportedOn } from '@nodo/ticket';
import { useState } from 'react';
import { m } from '../../messages/index.ts';
import { useTicket } from '../../ticket/TicketContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';

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
  const words = m.bench.ownCause;
  return (
    <form
      className="mt-2 flex flex-col gap-3 overflow-y-auto"
      onSubmit={(event) => {
        event.preventDefault();
        if (record('own-cause-found', { name, remedy, explains: [...explains] })) onDone();
      }}
    >
      <p className="text-quiet">{words.lead}</p>
      <TextField
        label={words.name}
        value={name}
        maxLength={80}
        autoFocus
        onChange={({ target }) => setName(target.value)}
      />
      <TextField
        label={words.remedy}
        hint={words.remedyHint}
        value={remedy}
        maxLength={80}
        onChange={({ target }) => setRemedy(target.value)}
      />
      {reported.length > 0 && (
        <fieldset>
          <legend className="font-semibold">{words.explains}</legend>
          {reported.map((id) => (
            <label key={id} className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                checked={explains.includes(id)}
                onChange={({ target }) =>
                  setExplains(
                    target.checked ? [...explains, id] : explains.filter((one) => one !== id),
                  )
                }
                className="size-5 accent-own"
              />
              {model.findings.get(id)?.answer}
            </label>
          ))}
        </fieldset>
      )}
      <Button look="main" type="submit" disabled={name.trim() === '' || remedy.trim() === ''}>
        {words.submit}
      </Button>
    </form>
  );
}
