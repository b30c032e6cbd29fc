import { HANG_TURNS, type HangShown, type HangTurn, locateHangUp } from '@nodo/knowledge';
import { useState } from 'react';
import { m } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { Caution } from '../../../ticket/check/CheckStep.tsx';
import { Select } from '../../../ui/Field.tsx';
import { Choices } from '../../frame/bits.tsx';
import { CheckLinks } from '../../frame/CheckLinks.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { keepLook } from '../../frame/instrumentBench.ts';
import { KeepButton } from '../../frame/KeepButton.tsx';

const HOURS = Array.from({ length: 12 }, (_, hour) => hour + 1);

/** Where the thread hangs, by turning with less and less in the hook. */
export function HangUpSection() {
  const bench = useInstrumentBench();
  const [shown, setShown] = useState<Readonly<Partial<Record<HangTurn, HangShown>>>>({});
  const [hour, setHour] = useState('');
  const words = instruments.bobbinCase.hang;
  const where = locateHangUp(shown);
  const asked = HANG_TURNS.slice(
    0,
    1 +
      HANG_TURNS.findIndex(({ id }) =>
        where.kind === 'turn' ? id === where.next : id === lastOf(shown),
      ),
  );
  const say = (turn: HangTurn, said: HangShown) => {
    // What was told of later turns was told under another answer.
    const before = HANG_TURNS.slice(
      0,
      HANG_TURNS.findIndex(({ id }) => id === turn),
    );
    const kept = Object.fromEntries(before.map(({ id }) => [id, shown[id]]));
    setShown({ ...kept, [turn]: said });
  };
  const keep = () => {
    for (const { id, check, hangs } of HANG_TURNS) {
      const said = shown[id];
      if (said === undefined) continue;
      const seen = said === 'hangs' ? hangs : said === 'missed' ? 'loop-missed' : undefined;
      if (!keepLook(bench, check, [seen])) return;
    }
    if (hour) {
      bench.onTicket?.record('observation-noted', {
        check: 'hand-turn',
        words: words.noted(Number(hour)),
      });
    }
    setShown({});
    setHour('');
  };
  return (
    <section aria-label={words.title} className="flex flex-col gap-2">
      <h2 className="text-lg font-bold">{words.title}</h2>
      <p className="leading-snug">{words.how}</p>
      <Caution text={m.bench.hazards.needle} />
      {asked.map(({ id }) => (
        <Choices
          key={id}
          legend={words.turns[id]}
          value={shown[id]}
          options={[
            ['passes', words.answers.passes],
            ['hangs', words.answers.hangs],
            ...(id === 'all' ? ([['missed', words.answers.missed]] as const) : []),
          ]}
          onChoose={(said) => say(id, said)}
        />
      ))}
      {shown.all === 'hangs' && (
        <Select
          label={words.hour}
          value={hour}
          className="max-w-56"
          onChange={({ target }) => setHour(target.value)}
        >
          <option value="">{words.hourUnknown}</option>
          {HOURS.map((one) => (
            <option key={one} value={one}>
              {words.hourAt(one)}
            </option>
          ))}
        </Select>
      )}
      <div aria-live="polite">
        {where.kind === 'told' && (
          <p className="text-lg font-bold" data-testid="hang-up">
            {words.located[where.at]}
          </p>
        )}
        {where.kind === 'told' && where.lookAt.length > 0 && (
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

function lastOf(shown: Readonly<Partial<Record<HangTurn, HangShown>>>): HangTurn | undefined {
  return HANG_TURNS.findLast(({ id }) => shown[id] !== undefined)?.id;
}
