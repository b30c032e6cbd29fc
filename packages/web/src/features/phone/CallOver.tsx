import { type SyntheticEvent, useState } from 'react';
import { useRackRead } from '../../api/useRackRead.ts';
import { m } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { firstFreeTag } from '../../shop/intake/firstFreeTag.ts';
import { useFirstShelf } from '../../shop/intake/useFirstShelf.ts';
import { AnswerButton } from '../../ticket/check/AnswerButton.tsx';
import { Caution } from '../../ticket/check/Caution.tsx';
import { useTicket } from '../../ticket/TicketContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { NumberField, TextField } from '../../ui/Field.tsx';
import { TextLink } from '../../ui/TextLink.tsx';

/** How a call ends: what to say at the end of it. */
export function CallOver({
  outcome,
  mayTalk,
  onBack,
}: {
  readonly outcome: 'solved' | 'bring-in' | 'stop';
  readonly mayTalk: boolean;
  readonly onBack: (() => void) | undefined;
}) {
  const { model, record } = useTicket();
  const words = later.phone.over[outcome];
  return (
    <div className="max-w-3xl">
      <h1 id="step-title" className="text-3xl font-bold">
        {words.title}
      </h1>
      <blockquote className="mt-2 border-l-4 border-own pl-4 text-lg leading-snug">
        {words.say}
      </blockquote>
      {outcome === 'stop' && <Caution text={later.phone.unplug} />}
      {outcome !== 'solved' && (
        <div className="mt-4 grid gap-6 md:grid-cols-2">
          <Lines title={later.phone.bringTitle} lines={later.phone.bring} />
          <Lines title={later.phone.worseTitle} lines={later.phone.worse} />
        </div>
      )}
      <div className="mt-4 flex flex-col gap-2">
        {mayTalk && (
          <AnswerButton
            digit={1}
            text={words.end}
            onPress={() => record('call-ended', { outcome })}
          />
        )}
        {onBack && (
          <Button look="quiet" className="self-start" onClick={onBack}>
            {later.phone.goOn}
          </Button>
        )}
      </div>
      <p className="mt-4 text-sm text-quiet">{later.phone.manual(model.family.title)}</p>
    </div>
  );
}

function Lines({ title, lines }: { readonly title: string; readonly lines: readonly string[] }) {
  return (
    <section>
      <h2 className="font-semibold">{title}</h2>
      <ul className="mt-1 list-disc pl-6 leading-snug">
        {lines.map((line) => (
          <li key={line} className="py-0.5">
            {line}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** After the call: the machine may come in with all that was said. */
export function Arrival({ mayTalk }: { readonly mayTalk: boolean }) {
  const { ticket, record } = useTicket();
  const { rack } = useRackRead();
  const [tag, setTag] = useState('');
  const [shelf, setShelf] = useState('');
  const free = firstFreeTag(rack);
  const firstShelf = useFirstShelf();
  const hang = (event: SyntheticEvent) => {
    event.preventDefault();
    record('machine-arrived', { tag: Number(tag || free), shelf: shelf.trim() || firstShelf });
  };
  return (
    <div className="max-w-xl">
      <h1 id="step-title" className="text-3xl font-bold">
        {ticket.call && later.phone.over[ticket.call].done}
      </h1>
      {mayTalk && ticket.call !== 'solved' && (
        <form className="mt-4 flex flex-wrap items-end gap-4" onSubmit={hang}>
          <NumberField
            whole
            label={later.counter.tag}
            value={tag}
            placeholder={free}
            maxLength={4}
            className="w-24"
            onText={setTag}
          />
          <TextField
            label={later.counter.shelf}
            value={shelf}
            placeholder={firstShelf}
            maxLength={12}
            className="w-24"
            onText={setShelf}
          />
          <Button look="main" type="submit" lacks={(tag || free) === '' && m.shell.lacks.all}>
            {later.phone.arrived}
          </Button>
        </form>
      )}
      <p className="mt-4 flex gap-6">
        <TextLink to="/phone">{later.phone.nextCall}</TextLink>
        <TextLink to="/">{later.bench.step.toRack}</TextLink>
      </p>
    </div>
  );
}
