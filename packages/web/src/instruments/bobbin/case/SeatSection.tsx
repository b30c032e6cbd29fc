import { caseSeat } from '@nodo/ticket';
import { useState } from 'react';
import { CaseDetail } from '../../../drawing/detail/below.tsx';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { Choices } from '../../frame/bits.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { keepAction, keepLook, mayDo } from '../../frame/instrumentBench.ts';
import { KeepButton } from '../../frame/KeepButton.tsx';

/** Whether the case lies against its stop, and whether that is proven. */
export function SeatSection() {
  const bench = useInstrumentBench();
  const [said, setSaid] = useState<'seated' | 'off'>();
  const words = instruments.bobbinCase.seat;
  const { family } = bench.model;
  const { onTicket } = bench;
  const proof = onTicket ? caseSeat(onTicket.ticket, bench.model) : 'not-yet';
  const isDropIn = family.traits.includes('drop-in');
  const isLintDone = bench.onTicket?.ticket.looks.some(({ check }) => check === 'hook-lint');
  const keep = () => {
    if (keepLook(bench, 'case-seat', [said === 'off' ? 'seat-off' : undefined])) setSaid(undefined);
  };
  return (
    <section aria-label={words.title} className="flex flex-col gap-2">
      <h2 className="text-lg font-semibold">{words.title}</h2>
      <div className="flex flex-wrap gap-4">
        <CaseDetail family={family} place="case" presserDown={false} />
        <div className="min-w-56 flex-1 leading-snug">
          <p>{words.how}</p>
          {bench.onTicket && !isLintDone && <p className="mt-1 font-semibold">{words.lintFirst}</p>}
          {isDropIn && proof !== 'proven' && <p className="mt-1 text-quiet">{words.underPlate}</p>}
        </div>
      </div>
      <Choices
        legend={words.question}
        value={said}
        options={[
          ['seated', words.answers.seated],
          ['off', words.answers.off],
        ]}
        onChoose={setSaid}
      />
      <div aria-live="polite">
        {proof === 'prove-now' && <p className="font-semibold text-hazard">{words.proveNow}</p>}
        {proof === 'proven' && bench.onTicket && (
          <p className="font-semibold text-below">
            {isDropIn ? words.proven : instruments.bobbinCondition.standings.sound}
          </p>
        )}
        {proof === 'again' && (
          <p className="font-semibold">{instruments.bobbinCondition.standings.again}</p>
        )}
      </div>
      <div className="flex flex-wrap gap-2">
        <KeepButton label={words.keep} disabled={said === undefined} onKeep={keep} />
        {proof === 'off' && mayDo(bench) && (
          <Button onClick={() => keepAction(bench, 'case-seated')}>{words.done}</Button>
        )}
      </div>
    </section>
  );
}
