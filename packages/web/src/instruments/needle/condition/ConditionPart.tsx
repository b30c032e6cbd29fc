import { mm, SEATED, seatEffect } from '@nodo/core';
import { needleLine } from '@nodo/shop';
import { useState } from 'react';
import { type FaultSpot, NeedleFaults } from '../../../drawing/needle/NeedleFaults.tsx';
import { m, write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { Choices, Reading } from '../../frame/bits.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { type InstrumentBench, threadOn } from '../../frame/instrumentBench.ts';
import { KeepButton } from '../../frame/KeepButton.tsx';
import { UnpluggedCaution } from '../../frame/UnpluggedCaution.tsx';
import { useRegister } from '../../frame/useRegister.ts';
import { meetingOf } from '../seat/seatReading.ts';
import {
  bendMeasure,
  conditionLooks,
  GAPS,
  isBentBy,
  LOOKS,
  type NeedleSeen,
} from './conditionReading.ts';

/** What the drawing of the needle is tapped for. */
const ON_NEEDLE: readonly FaultSpot[] = ['nail', 'loupe', 'gum'];

/** Rolling, nail, loupe, gum, popping, strike and heat: what each shows and what it means. */
export function ConditionPart() {
  const bench = useInstrumentBench();
  const [gap, setGap] = useState<number>();
  const [seen, setSeen] = useState<NeedleSeen>({});
  const { at, isRead } = useRegister(bench);
  const now = at.get(1);
  const words = instruments.needle.condition;
  const isBent = gap !== undefined && isBentBy(gap);
  const { model, onTicket } = bench;
  const means = [
    ...(isBent ? [words.means.bent] : []),
    ...LOOKS.flatMap(({ id, means: key }) => (seen[id] === 'yes' ? [words.means[key]] : [])),
  ];
  const isEmpty = gap === undefined && Object.keys(seen).length === 0;

  const keep = () => {
    if (!onTicket) return;
    const { record } = onTicket;
    for (const { check, answers } of conditionLooks({ gap, seen })) {
      record('findings-recorded', { check, answers });
    }
    if (gap !== undefined) record('measured', bendMeasure(gap));
    setGap(undefined);
    setSeen({});
  };

  const asked = LOOKS.filter(({ check, finding }) => isOn(model, check, finding));
  const nowIn = now
    ? `${instruments.needle.nowIn}: ${needleLine(now.needle)}`
    : isRead && instruments.needle.unknown;

  return (
    <Frame
      title={words.heading}
      top={<UnpluggedCaution text={instruments.needle.seat.caution} />}
      drawing={
        <NeedleFaults
          gaps={GAPS.map((one) => ({ gap: one, name: gapName(one) }))}
          gap={gap}
          seen={seen}
          asked={ON_NEEDLE.filter((id) => asked.some((look) => look.id === id))}
          onGap={setGap}
          onSpot={(spot) => setSeen({ ...seen, [spot]: seen[spot] === 'yes' ? 'no' : 'yes' })}
        />
      }
      verdict={
        <>
          {isEmpty ? (
            <p className="text-quiet">{nowIn}</p>
          ) : (
            <ul className="flex flex-col gap-3 text-lg leading-snug font-semibold">
              {(means.length > 0 ? means : [words.means.sound]).map((text) => (
                <li key={text}>
                  {text} <ProvenanceMark standing="common-practice" />
                </li>
              ))}
            </ul>
          )}
          {isBent && <BendEffect gap={gap} />}
        </>
      }
      end={
        <KeepButton
          label={words.keep}
          className="min-h-12 text-lg"
          lacks={isEmpty && m.shell.lacks.answer}
          onKeep={keep}
        />
      }
    >
      <Choices
        legend={`${words.roll}, mm`}
        value={gap === undefined ? undefined : String(gap)}
        options={GAPS.map((one) => [String(one), gapName(one)] as const)}
        onChoose={(one) => setGap(Number(one))}
      />
      {asked.map(({ id }) => (
        <Choices
          key={id}
          legend={words[id]}
          value={seen[id]}
          options={[
            ['no', words.no],
            ['yes', words.yes],
          ]}
          onChoose={(said) => setSeen({ ...seen, [id]: said })}
        />
      ))}
    </Frame>
  );
}

function gapName(gap: number): string {
  return gap === 0 ? instruments.needle.condition.even : write.figure(gap);
}

function isOn(model: InstrumentBench['model'], check: string, finding: string): boolean {
  return model.checks.get(check)?.findings.some(({ id }) => id === finding) ?? false;
}

/** What the bend does to the gap between hook and scarf, one way round and the other. */
function BendEffect({ gap }: { readonly gap: number }) {
  const bench = useInstrumentBench();
  const hook = meetingOf(bench.card);
  const thread = threadOn(bench);
  const away = seatEffect({ ...SEATED, bend: gap }, thread, hook);
  const towards = seatEffect({ ...SEATED, bend: -gap }, thread, hook);
  const words = instruments.needle.effect;
  const say = (length: number) =>
    `${write.figure(Math.round(mm(Math.abs(length)) * 1000) / 1000)} mm`;
  return (
    <dl>
      <Reading
        name={words.bentTowards}
        value={`${towards.gap < 0 ? '−' : ''}${say(towards.gap)}`}
        standing="derived"
        bad={towards.gap < 0}
      />
      <Reading
        name={words.bentAway}
        value={say(away.gap)}
        note={words.asRight(say(hook.gap))}
        standing="derived"
      />
    </dl>
  );
}
