import { mayRecord, minutesWorked } from '@nodo/ticket';
import { useState } from 'react';
import { m, write } from '../../../messages/index.ts';
import { readWhole } from '../../../messages/typed.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { usePeopleById } from '../../../session/usePeopleById.ts';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';
import { NumberField, TextField } from '../../../ui/Field.tsx';
import { Form } from '../../../ui/Form.tsx';
import { PersonMark } from '../../../ui/PersonMark.tsx';

/** Who worked how long, and work that the clock did not see. */
export function TimePart() {
  const { ticket, record } = useTicket();
  const session = useSession();
  const { life, status } = ticket;
  const people = usePeopleById();
  const [minutes, setMinutes] = useState('');
  const [what, setWhat] = useState('');
  const words = m.life.sheet;
  const many = readWhole(minutes) ?? 0;
  const isGood = many > 0 && many <= 1440 && what.trim() !== '';
  return (
    <div className="flex flex-col gap-3">
      <p>{m.life.clock.worked(write.duration(Math.round(minutesWorked(life))))}</p>
      <ul className="text-quiet">
        {life.worked.map(({ person, from, until }) => {
          const who = people.get(person);
          return (
            <li key={`${person} ${from}`} className="flex items-center gap-2 py-0.5">
              {who && <PersonMark small person={who} />}
              {`${write.moment(from)} – ${until === undefined ? '…' : write.clock(until)}`}
            </li>
          );
        })}
      </ul>
      {status === 'open' && mayRecord(session.person.role, 'labour-booked') && (
        <Form
          row
          aria-label={words.bookTitle}
          onSubmit={() => {
            if (!isGood) return;
            if (record('labour-booked', { minutes: many, words: what.trim() })) {
              setMinutes('');
              setWhat('');
            }
          }}
        >
          <NumberField
            whole
            label={words.minutes}
            value={minutes}
            className="w-28"
            onText={setMinutes}
          />
          <TextField
            label={words.what}
            value={what}
            maxLength={200}
            className="min-w-56 flex-1"
            onText={setWhat}
          />
          <Button type="submit" lacks={!isGood && m.shell.lacks.all}>
            {words.book}
          </Button>
        </Form>
      )}
    </div>
  );
}
