import type { CheckId } from '@nodo/knowledge';
import {
  BOBBIN_TURNS,
  type BobbinTurn,
  rewindSteps,
  WINDINGS,
  type Winding,
} from '@nodo/knowledge';
import { useState } from 'react';
import { BobbinRims } from '../../../drawing/BobbinRims.tsx';
import { BobbinTurns } from '../../../drawing/BobbinTurns.tsx';
import { m } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { Choices, Toggles } from '../../frame/bits.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { keepLook, statusOf } from '../../frame/instrumentBench.ts';
import { KeepButton } from '../../frame/KeepButton.tsx';
import { BobbinToDo } from './BobbinToDo.tsx';
import {
  type BobbinSeen,
  bobbinLooks,
  PATHS,
  RIMS,
  rightTurn,
  TAILS,
  tapped,
} from './conditionReading.ts';
import { OtherBobbin } from './OtherBobbin.tsx';

/** Winding, direction, path, tail and rims of the bobbin; and another sound one as a trial. */
export function ConditionPart() {
  const bench = useInstrumentBench();
  const { model, card } = bench;
  const { traits } = model.family;
  const [seen, setSeen] = useState<BobbinSeen>({});
  const [arrow, setArrow] = useState<BobbinTurn | 'none'>();
  const words = instruments.bobbinCondition;
  if (!traits.includes('bobbin')) return <p className="text-lg">{instruments.bobbin.none}</p>;

  const { should, from } = rightTurn(card?.bobbinTurns, arrow, traits);
  const isReversed = should !== undefined && seen.turns !== undefined && seen.turns !== should;
  const keep = () => {
    for (const { check, found } of bobbinLooks(seen, should)) keepLook(bench, check, [found]);
    setSeen({});
  };

  return (
    <Frame
      title={words.heading}
      top={<p className="leading-snug text-quiet">{words.how}</p>}
      drawing={
        <div className="flex flex-col items-start gap-4">
          <BobbinTurns
            turn={should}
            seen={seen.turns}
            isUnder={seen.path && seen.path === 'under'}
            onTurn={(turns) => setSeen({ ...seen, turns })}
            onSpring={() => setSeen({ ...seen, path: seen.path === 'off' ? 'under' : 'off' })}
          />
          <BobbinRims
            rough={seen.rims}
            isSoft={seen.wound && seen.wound !== 'firm'}
            onTap={(spot) => setSeen(tapped(seen, spot))}
          />
        </div>
      }
      verdict={
        <>
          <section aria-label={words.turns.title}>
            {seen.turns && should && (
              <p className={`text-lg leading-snug font-semibold ${isReversed ? '' : 'text-below'}`}>
                {isReversed ? words.turns.wrong : words.turns.right}
              </p>
            )}
            <p className="leading-snug">
              {should
                ? words.turns.should[from](words.turns.answers[should])
                : words.turns.shouldUnknown}{' '}
              <ProvenanceMark standing={from === 'card' ? 'shop' : 'common-practice'} />
            </p>
            <p className="text-sm leading-snug text-quiet">{words.turns.school}</p>
          </section>
          {seen.wound && seen.wound !== 'firm' && <Rewind winding={seen.wound} />}
          {seen.rims && seen.rims.size > 0 && (
            <p className="text-lg leading-snug font-semibold">{words.rims.rough}</p>
          )}
        </>
      }
      end={
        <>
          <KeepButton
            label={words.keep}
            lacks={Object.keys(seen).length === 0 && m.shell.lacks.answer}
            onKeep={keep}
          />
          <BobbinToDo />
          <OtherBobbin />
        </>
      }
    >
      <Choices
        legend={words.wound.question}
        value={seen.wound}
        options={WINDINGS.map((one) => [one, words.wound.answers[one]] as const)}
        onChoose={(wound) => setSeen({ ...seen, wound })}
      >
        <KeptMark check="bobbin-wind" />
      </Choices>
      <Choices
        legend={words.turns.question}
        value={seen.turns}
        options={BOBBIN_TURNS.map((one) => [one, words.turns.answers[one]] as const)}
        onChoose={(turns) => setSeen({ ...seen, turns })}
      >
        <KeptMark check="bobbin-turn" />
      </Choices>
      {!card?.bobbinTurns && (
        <Choices
          legend={words.turns.arrow}
          value={arrow}
          options={[
            ...BOBBIN_TURNS.map((one) => [one, words.turns.arrows[one]] as const),
            ['none', words.turns.arrows.none] as const,
          ]}
          onChoose={setArrow}
        />
      )}
      <Choices
        legend={words.path.question}
        value={seen.path}
        options={(Object.keys(PATHS) as (keyof typeof PATHS)[]).map(
          (one) => [one, words.path.answers[one]] as const,
        )}
        onChoose={(path) => setSeen({ ...seen, path })}
      >
        <KeptMark check="bobbin-path" />
      </Choices>
      <Choices
        legend={words.tail.question}
        value={seen.tail}
        options={(Object.keys(TAILS) as (keyof typeof TAILS)[]).map(
          (one) => [one, words.tail.answers[one]] as const,
        )}
        onChoose={(tail) => setSeen({ ...seen, tail })}
      >
        {seen.tail === 'short' && <p className="text-sm">{words.tail.cutter}</p>}
        <KeptMark check="bobbin-tail" />
      </Choices>
      <Toggles
        legend={words.rims.question}
        values={seen.rims}
        options={RIMS.map((one) => [one, words.rims.places[one]] as const)}
        none={words.rims.smooth}
        onChange={(rims) => setSeen({ ...seen, rims })}
      />
      <KeptMark check="bobbin-rim" />
    </Frame>
  );
}

/** How a check stands on the ticket, under its question. */
function KeptMark({ check }: { readonly check: CheckId }) {
  const bench = useInstrumentBench();
  const standing = statusOf(bench, check);
  if (standing === 'not-yet') return null;
  return (
    <p
      className={`text-sm ${standing === 'sound' ? 'text-below' : 'font-semibold'}`}
      data-check={check}
    >
      {instruments.bobbinCondition.standings[standing]}
    </p>
  );
}

/** How it is wound again. */
function Rewind({ winding }: { readonly winding: Winding }) {
  const { again, steps } = instruments.bobbinCondition.wound;
  return (
    <section aria-label={again} className="border-l-4 border-own pl-4">
      <h2 className="text-lg font-semibold">
        {again} <ProvenanceMark standing="common-practice" />
      </h2>
      <ol className="list-decimal pl-6 leading-snug">
        {rewindSteps(winding).map((step) => (
          <li key={step}>{steps[step]}</li>
        ))}
      </ol>
    </section>
  );
}
