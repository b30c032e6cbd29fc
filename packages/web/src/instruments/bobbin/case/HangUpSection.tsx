import { locateHangUp } from '@nodo/knowledge';
import { m } from '../../../messages/index.ts';
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

/** What the turns showed, and where by the clock it hung; null where that is not told. */
export interface Hung {
  readonly shown: TurnsShown;
  readonly hour: number | null;
}

/** Where the thread hangs, by turning with less and less in the hook. */
export function HangUpSection({
  hung: { shown, hour },
  onHung,
}: {
  readonly hung: Hung;
  readonly onHung: (hung: Hung) => void;
}) {
  const bench = useInstrumentBench();
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
    onHung({ shown: {}, hour: null });
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
          onChoose={(said) => onHung({ shown: withTurn(shown, id, said), hour })}
        />
      ))}
      {shown.all === 'hangs' && (
        <Select
          label={words.hour}
          value={hour}
          className="max-w-56"
          onChoose={(one) => onHung({ shown, hour: one })}
          options={[
            [null, words.hourUnknown],
            ...HOURS.map((one) => [one, words.hourAt(one)] as const),
          ]}
        />
      )}
      <KeepButton
        label={words.keep}
        lacks={where.kind === 'turn' && where.next === 'all' && m.shell.lacks.choice}
        onKeep={keep}
      />
    </section>
  );
}

/** What holds the thread, and what to look at for it. */
export function HangUpAnswer({ shown }: { readonly shown: TurnsShown }) {
  const words = instruments.bobbinCase.hang;
  const where = locateHangUp(shown);
  if (where.kind !== 'located') return null;
  return (
    <div>
      <p className="text-lg leading-snug font-semibold" data-testid="hang-up">
        {words.located[where.at]}
      </p>
      {where.lookAt.length > 0 && (
        <>
          <p className="mt-1">{words.lookAt}:</p>
          <CheckLinks checks={where.lookAt} />
        </>
      )}
    </div>
  );
}
