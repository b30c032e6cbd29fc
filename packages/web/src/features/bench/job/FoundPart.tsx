import type { ServiceValue } from '@nodo/shop';
import { mayRecord, QUANTITIES, QUANTITY_IDS, type Quantity, type Ticket } from '@nodo/ticket';
import { useState } from 'react';
import { useMachineQuery } from '../../../api/client.ts';
import { m, write } from '../../../messages/index.ts';
import { readNumber } from '../../../messages/typed.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';
import { NumberField, TextField } from '../../../ui/Field.tsx';
import { Form } from '../../../ui/Form.tsx';
import { Select } from '../../../ui/Select.tsx';

const PIECES = ['needle', 'thread', 'bobbin', 'dial', 'screw'] as const;
type SetUp = Record<(typeof PIECES)[number], string>;
const NOTHING: SetUp = { needle: '', thread: '', bobbin: '', dial: '', screw: '' };

/** How the machine was set up when it came, what was measured, where it stands. */
export function FoundPart() {
  const { ticket, record } = useTicket();
  const session = useSession();
  const { life, status, intake } = ticket;
  const [setUp, setSetUp] = useState<SetUp>(life.setUp ?? NOTHING);
  const [shelf, setShelf] = useState(intake?.shelf ?? '');
  const words = m.life.sheet;
  const isOpen = status === 'open';
  return (
    <div className="flex flex-col gap-4">
      {(life.accessories.length > 0 || life.condition !== '') && (
        <p className="break-words">
          {[life.accessories.join(', '), life.condition].filter(Boolean).join('. ')}
        </p>
      )}
      {isOpen && life.machine !== undefined && <ByCard machine={life.machine} />}
      <Form
        aria-label={words.asFound}
        className="grid grid-cols-2 items-end gap-3 sm:grid-cols-3"
        onSubmit={() => record('set-up-noted', setUp)}
      >
        {PIECES.map((piece) => (
          <TextField
            key={piece}
            label={words[piece]}
            value={setUp[piece]}
            disabled={!isOpen}
            maxLength={piece === 'dial' || piece === 'screw' ? 40 : 120}
            onText={(typed) => setSetUp({ ...setUp, [piece]: typed })}
          />
        ))}
        {isOpen && <Button type="submit">{words.keepSetUp}</Button>}
      </Form>
      <Measure
        machine={life.machine}
        measures={life.measures}
        mayMeasure={isOpen && mayRecord(session.person.role, 'measured')}
      />
      {intake?.tag !== undefined && status !== 'collected' && (
        <Form
          className="flex items-end gap-3"
          onSubmit={() => {
            if (shelf.trim() !== '') record('placed', { shelf: shelf.trim() });
          }}
        >
          <TextField
            label={words.shelf}
            value={shelf}
            maxLength={12}
            className="w-32"
            onText={setShelf}
          />
          <Button
            type="submit"
            lacks={(shelf.trim() === '' || shelf.trim() === intake.shelf) && m.shell.lacks.other}
          >
            {words.move}
          </Button>
        </Form>
      )}
    </div>
  );
}

/** The card of the machine moved on since: the ticket can follow it. */
function ByCard({ machine }: { readonly machine: string }) {
  const { ticket, record } = useTicket();
  const { data } = useMachineQuery(machine);
  const { intake } = ticket;
  if (!data || !intake) return null;
  const { family, traits, label } = data.machine.card;
  const kindOf = (own: readonly string[] | null | undefined) =>
    JSON.stringify([...(own ?? [])].sort());
  const isSame =
    family === intake.family && label === intake.label && kindOf(traits) === kindOf(intake.traits);
  if (isSame) return null;
  return (
    <p className="flex flex-wrap items-center gap-4 border-l-4 border-own pl-3">
      {m.life.sheet.otherwise}
      <Button onClick={() => record('machine-known', { machine, family, traits, label })}>
        {m.life.sheet.byCard}
      </Button>
    </p>
  );
}

function Measure({
  machine,
  measures,
  mayMeasure,
}: {
  readonly machine: string | undefined;
  readonly measures: Ticket['life']['measures'];
  readonly mayMeasure: boolean;
}) {
  const { record } = useTicket();
  const { data } = useMachineQuery(machine ?? '', { skip: machine === undefined });
  const service = data?.machine.card.service ?? {};
  const [quantity, setQuantity] = useState<Quantity>('bobbin-tension');
  const [typed, setTyped] = useState('');
  const [when, setWhen] = useState<'found' | 'set'>('found');
  const words = m.life.sheet;
  const value = readNumber(typed);
  return (
    <div className="flex flex-col gap-2">
      <ul>
        {measures.map((one) => (
          <li key={one.seq} className="py-1">
            {measuredWords(one, service[one.quantity])}
          </li>
        ))}
      </ul>
      {mayMeasure && (
        <Form
          row
          aria-label={words.measureTitle}
          onSubmit={() => {
            if (value !== undefined && record('measured', { quantity, value, when })) setTyped('');
          }}
        >
          <Select
            label={words.quantity}
            value={quantity}
            className="w-60"
            onChoose={setQuantity}
            options={QUANTITY_IDS.map((id) => [id, m.life.quantity(id)] as const)}
          />
          <NumberField
            label={`${words.value} (${m.life.unit(quantity)})`}
            value={typed}
            className="w-32"
            onText={setTyped}
          />
          <Select
            label={words.measureTitle}
            value={when}
            className="w-36"
            onChoose={setWhen}
            options={[
              ['found', words.found],
              ['set', words.set],
            ]}
          />
          <Button type="submit" lacks={value === undefined && m.shell.lacks.number}>
            {words.measure}
          </Button>
        </Form>
      )}
      {mayMeasure && (
        <p className="text-sm text-quiet">{limitWords(quantity, service[quantity])}</p>
      )}
    </div>
  );
}

/** What the value should be and who says so. */
function limitWords(quantity: Quantity, value: ServiceValue | undefined): string {
  const words = m.life.sheet;
  const unit = m.life.unit(quantity);
  const say = (number: number) => `${write.figure(number)} ${unit}`;
  if (value) return words.within(say(value.least), say(value.most), value.from);
  const { usual } = QUANTITIES[quantity];
  return usual ? words.within(say(usual[0]), say(usual[1]), words.usual) : words.noValue;
}

function measuredWords(
  { quantity, value, when, swing, pulled, limit: held }: Ticket['life']['measures'][number],
  own: ServiceValue | undefined,
): string {
  const words = m.life.sheet;
  const where = swing === undefined ? '' : `${m.life.swing(swing)}: `;
  const stood = pulled ? `, ${m.life.pulledAt(pulled)}` : '';
  const measured = `${where}${m.life.quantity(quantity)} ${write.figure(value)} ${m.life.unit(quantity)}${stood}, ${words[when]}`;
  // What it was held against when it was read goes before: at a swing aside that is not the record's.
  const limit = held ?? own;
  if (!limit) return measured;
  const isInside = value >= (limit.least ?? -Infinity) && value <= (limit.most ?? Infinity);
  return `${measured}: ${isInside ? words.inside : words.outside}`;
}
