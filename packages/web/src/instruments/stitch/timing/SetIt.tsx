import { checkOutcome, gatesUnmet, HAND_TURNED } from '@nodo/ticket';
import { useState } from 'react';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { TextField } from '../../../ui/Field.tsx';
import { Form } from '../../../ui/Form.tsx';
import { CheckLinks } from '../../frame/CheckLinks.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { keepAction, mayDo } from '../../frame/instrumentBench.ts';
import { UnpluggedFirst } from '../../frame/UnpluggedFirst.tsx';
import { MARKS_NOTED, SET_CHECKS, SETS, type TimingStanding } from './timingReading.ts';

/** Needle first, the way back, setting, proof by hand: each as far as the ticket says it is. */
export function SetIt({
  standing,
  isInHand,
  onSet,
}: {
  readonly standing: TimingStanding;
  /** Something was read and not written down yet. */
  readonly isInHand: boolean;
  readonly onSet: () => void;
}) {
  const bench = useInstrumentBench();
  const { model, onTicket } = bench;
  const [start, setStart] = useState('');
  const words = instruments.stitch.timing;
  if (!onTicket || !mayDo(bench)) return null;
  const { ticket, record } = onTicket;
  const isGated = gatesUnmet(ticket, model, 'check:timing').length > 0;
  const needle = (['needle-seat', 'needle-straight'] as const).filter(
    (check) => !checkOutcome(ticket, model, check).normal,
  );
  const isOff = SET_CHECKS.some((check) => {
    const { done, normal } = checkOutcome(ticket, model, check);
    return done && !normal;
  });
  const isStartNoted = gatesUnmet(ticket, model, 'action:timing-set').length === 0;
  return (
    <>
      {isGated && needle.length > 0 && (
        <section className="border-l-4 border-own pl-3">
          <p className="leading-snug">{words.gate}</p>
          <CheckLinks checks={needle} />
        </section>
      )}
      {isOff && (
        <section aria-label={words.start.title} className="border-l-4 border-own pl-3">
          <h2 className="text-lg font-semibold">{words.start.title}</h2>
          <p className="leading-snug">{words.start.text}</p>
          {standing.start !== undefined && (
            <p className="mt-1 font-semibold break-words">
              <bdi>{words.start.done(standing.start)}</bdi>
            </p>
          )}
          <Form
            className="mt-2 flex flex-col items-start gap-2"
            onSubmit={() => {
              const note = start.trim();
              if (note !== '' && record('action-done', { action: MARKS_NOTED, note })) setStart('');
            }}
          >
            <TextField
              label={words.start.label}
              hint={words.start.hint}
              value={start}
              maxLength={500}
              className="w-full"
              onText={setStart}
            />
            <Button type="submit" lacks={start.trim() === '' && words.start.lacks}>
              {words.start.keep}
            </Button>
          </Form>
        </section>
      )}
      {isOff && standing.start !== undefined && !isInHand && (
        <section aria-label={words.set.title}>
          <h2 className="text-lg font-semibold">{words.set.title}</h2>
          <UnpluggedFirst>
            <div className="mt-1 flex flex-wrap gap-2">
              {SETS.filter(([, action]) => model.actions.has(action)).map(([part, action]) => (
                <Button
                  key={action}
                  lacks={!isStartNoted && words.start.lacks}
                  onClick={() => {
                    if (keepAction(bench, action)) onSet();
                  }}
                >
                  {words.set[part]}
                </Button>
              ))}
            </div>
          </UnpluggedFirst>
        </section>
      )}
      {standing.isSet && (
        <section aria-label={words.proof.title}>
          <h2 className="text-lg font-semibold">{words.proof.title}</h2>
          <p className="leading-snug">{standing.isTurned ? words.proof.next : words.proof.text}</p>
          {!standing.isTurned && (
            <UnpluggedFirst>
              <Button className="mt-1" onClick={() => keepAction(bench, HAND_TURNED)}>
                {words.proof.done}
              </Button>
            </UnpluggedFirst>
          )}
        </section>
      )}
    </>
  );
}
