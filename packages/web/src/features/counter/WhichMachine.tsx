import type { Hit } from '@nodo/api';
import { useState } from 'react';
import { useCustomerQuery, useSearchQuery } from '../../api/client.ts';
import { faultWords } from '../../messages/errors.ts';
import { m } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { HitLine } from '../../shop/HitLine.tsx';
import { ticketOnTag } from '../../shop/tagAddress.ts';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { useSettled } from '../../ui/useSettled.ts';

/** Digits and what stands between them in a telephone number. */
const PHONE = /^[\d\s+()/.-]+$/;

/** Whether the shop knows it: by tag, serial, name or number. */
export function WhichMachine({
  onMachine,
  onCustomer,
  onTicket,
  onNew,
}: {
  readonly onMachine: (machine: string) => void;
  readonly onCustomer: (customer: string) => void;
  /** A ticket was chosen, or its tag scanned: the machine of it, or the call. */
  readonly onTicket: (ticket: string) => void;
  /** Nobody is found by it: it is a new customer's name, or number. */
  readonly onNew: (part: { customer: string } | { phone: string }) => void;
}) {
  const [typed, setTyped] = useState('');
  const letters = useSettled(typed.trim());
  const scanned = ticketOnTag(letters);
  const { currentData: hits, error } = useSearchQuery(letters, {
    skip: letters === '' || scanned !== undefined,
  });
  const words = later.counter.known;
  const choose = ({ kind, id }: Hit) => {
    setTyped('');
    if (kind === 'machine') onMachine(id);
    else if (kind === 'customer') onCustomer(id);
    else onTicket(id);
  };
  const shown = letters === '' || !hits ? [] : hits.slice(0, 6);
  const isNew = letters !== '' && letters === typed.trim() && hits?.length === 0;
  const takeAsNew = () => {
    setTyped('');
    onNew(PHONE.test(letters) ? { phone: letters } : { customer: letters });
  };
  return (
    <section aria-label={words.title} className="mb-6">
      <TextField
        label={words.find}
        hint={words.hint}
        value={typed}
        autoComplete="off"
        autoFocus
        maxLength={200}
        onText={setTyped}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          // Enter belongs to the looking up here, not to the whole sheet.
          event.preventDefault();
          const ticket = ticketOnTag(typed);
          const [first] = shown;
          if (ticket !== undefined) {
            setTyped('');
            onTicket(ticket);
          } else if (first && letters === typed.trim()) choose(first);
          else if (isNew) takeAsNew();
        }}
      />
      <p role="status" className="text-sm font-semibold empty:hidden">
        {error ? faultWords(error, m.life.find.offLine) : isNew ? words.notHere : ''}
      </p>
      {isNew && (
        <Button onClick={takeAsNew} className="mt-1 max-w-full break-words">
          {words.asNew(letters)}
        </Button>
      )}
      <ul className="mt-1">
        {shown.map((hit) => (
          <li key={hit.id}>
            <button
              type="button"
              onClick={() => choose(hit)}
              className="flex min-h-11 w-full items-baseline gap-3 rounded-md px-3 py-2 text-left hover:bg-sunk"
            >
              <HitLine hit={hit} />
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The machines that a known customer brought before, to choose from. */
export function TheirMachines({
  customer,
  chosen,
  onMachine,
}: {
  readonly customer: string;
  readonly chosen: string | null;
  readonly onMachine: (machine: string) => void;
}) {
  const { currentData: file } = useCustomerQuery(customer);
  if (!file || file.machines.length === 0) return null;
  return (
    <div className="mt-3 flex flex-wrap items-center gap-2">
      <span className="text-sm text-quiet">{later.counter.known.theirs}</span>
      {file.machines.map(({ id, card }) => (
        <Button key={id} aria-pressed={id === chosen} onClick={() => onMachine(id)}>
          {card.label}
        </Button>
      ))}
    </div>
  );
}
