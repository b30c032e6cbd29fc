import { locateHangUp } from '@nodo/knowledge';
import { useState } from 'react';
import { instruments } from '../../../messages/instruments.ts';
import { later } from '../../../messages/later.ts';
import { Select } from '../../../ui/Select.tsx';
import { Choices } from '../../frame/bits.tsx';
import { CheckLinks } from '../../frame/CheckLinks.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { keepLook } from '../../frame/instrumentBench.ts';
import { KeepButton } from '../../frame/KeepButton.tsx';
import { UnpluggedCaution } from '../../frame/UnpluggedCaution.tsx';
import { type TurnsShown, turnLooks, turnsAsked, withTurn } from './hangUpReading.ts';

const HOURS = Array.from({ length: 12 }, (_, hour) => hour + 1);

/** Where the thread hangs, by turning with less and less in the hook. */
export function HangUpSection() {
  const bench = useInstrumentBench();
  const [shown, setShown] = useState<TurnsShown>({});
  const [hour, setHour] = useState<number | null>(null);
  const words = instruments.bobbinCase.hang;
  const where = locateHangUp(shown);
  const keep = () => {
    for (const { check, seen } of turnLooks(shown)) {
      if (!keepLook(bench, check, [seen])) return;
    }
    if (hour !== null) {
      bench.onTicket?.record('observation-noted', {
        check: 'hand-turn',
        words: words.noted(hour),
      });
    }
    setShown({});
    setHour(null);
  };
  return (
    <section aria-label={words.title} className="flex flex-col gap-2">
      <h2 className="text-lg font-semibold">{words.title}</h2>
      <p className="leading-snug">{words.how}</p>
      <UnpluggedCaution text={later.bench.hazards.needle} />
      {turnsAsked(shown).map(({ id }) => (
        <Choices
          key={id}
          legend={words.turns[id]}
          value={shown[id]}
          options={[
            ['passes', words.answers.passes],
            ['hangs', words.answers.hangs],
            ...(id === 'all' ? ([['missed', words.answers.missed]] as const) : []),
          ]}
          onChoose={(said) => setShown(withTurn(shown, id, said))}
        />
      ))}
      {shown.all === 'hangs' && (
        <Select
          label={words.hour}
          value={hour}
          className="max-w-56"
          onChoose={setHour}
          options={[
            [null, words.hourUnknown],
            ...HOURS.map((one) => [one, words.hourAt(one)] as const),
          ]}
        />
      )}
      <div aria-live="polite">
        {where.kind === 'located' && (
          <p className="text-lg font-semibold" data-testid="hang-up">
            {words.located[where.at]}
          </p>
        )}
        {where.kind === 'located' && where.lookAt.length > 0 && (
          <>
            <p className="mt-1">{words.lookAt}:</p>
            <CheckLinks checks={where.lookAt} />
          </>
        )}
      </div>
      <KeepButton
        label={words.keep}
        disabled={where.kind === 'turn' && where.next === 'all'}
        onKeep={keep}
      />
    </section>
  );
}
