import { caseSeat } from '@nodo/ticket';
import { m } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { Choices } from '../../frame/bits.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { keepAction, keepLook, mayDo } from '../../frame/instrumentBench.ts';
import { KeepButton } from '../../frame/KeepButton.tsx';

/** Whether the case lies against its stop, and whether that is proven. */
export function SeatSection({
  said,
  onSay,
}: {
  readonly said: 'seated' | 'off' | undefined;
  readonly onSay: (said: 'seated' | 'off' | undefined) => void;
}) {
  const bench = useInstrumentBench();
  const words = instruments.bobbinCase.seat;
  const { family } = bench.model;
  const { onTicket } = bench;
  const proof = onTicket ? caseSeat(onTicket.ticket, bench.model) : 'not-yet';
  const isDropIn = family.traits.includes('drop-in');
  const isLintDone = bench.onTicket?.ticket.looks.some(({ check }) => check === 'hook-lint');
  const keep = () => {
    if (keepLook(bench, 'case-seat', [said === 'off' ? 'seat-off' : undefined])) onSay(undefined);
  };
  return (
    <section aria-label={words.title} className="flex flex-col gap-2">
      <h2 className="text-lg font-semibold">{words.title}</h2>
      <p className="leading-snug">{words.how}</p>
      {bench.onTicket && !isLintDone && <p className="font-semibold">{words.lintFirst}</p>}
      {isDropIn && proof !== 'proven' && (
        <p className="leading-snug text-quiet">{words.underPlate}</p>
      )}
      <Choices
        legend={words.question}
        value={said}
        options={[
          ['seated', words.answers.seated],
          ['off', words.answers.off],
        ]}
        onChoose={onSay}
      />
      <div className="flex flex-wrap gap-2">
        <KeepButton
          label={words.keep}
          lacks={said === undefined && m.shell.lacks.choice}
          onKeep={keep}
        />
        {proof === 'off' && mayDo(bench) && (
          <Button onClick={() => keepAction(bench, 'case-seated')}>{words.done}</Button>
        )}
      </div>
    </section>
  );
}

/** How the seat stands on the ticket. */
export function SeatAnswer() {
  const { onTicket, model } = useInstrumentBench();
  const words = instruments.bobbinCase.seat;
  const { standings } = instruments.bobbinCondition;
  if (!onTicket) return null;
  const isDropIn = model.family.traits.includes('drop-in');
  const told = {
    'not-yet': undefined,
    off: undefined,
    looked: undefined,
    'prove-now': words.proveNow,
    proven: isDropIn ? words.proven : standings.sound,
    again: standings.again,
  }[caseSeat(onTicket.ticket, model)];
  return told === undefined ? null : <p className="text-lg leading-snug font-semibold">{told}</p>;
}
