import { clockMinutes, hourOf, placeOn, SCREW_STEP, screwStand } from '@nodo/core';
import type { ActionId } from '@nodo/knowledge';
import { CASES, type CaseWhich } from '@nodo/ticket';
import { useState } from 'react';
import { ClockRing, onRing } from '../../../drawing/ClockRing.tsx';
import { type Box, TapPlace } from '../../../drawing/Taps.tsx';
import { instruments } from '../../../messages/instruments.ts';
import { readNumber } from '../../../messages/typed.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { Button } from '../../../ui/Button.tsx';
import { NumberField } from '../../../ui/Field.tsx';
import { Choices, Reading } from '../../frame/bits.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { mayDo } from '../../frame/instrumentBench.ts';
import { UnpluggedFirst } from '../../frame/UnpluggedFirst.tsx';
import { SCREW_TURNED } from './keepTension.ts';

const STEPS = [-SCREW_STEP, SCREW_STEP] as const;
/** Radius of the clock's face; how far its hands reach of that. */
const R = 40;
const HAND = 0.8;

/** The case screw as a clock: where its slot began, where it is, how far it was turned, the way back. */
export function ScrewClock() {
  const bench = useInstrumentBench();
  const { onTicket } = bench;
  const [which, setWhich] = useState<CaseWhich>('own');
  const [typedStart, setTypedStart] = useState('0');
  const log = onTicket?.ticket.life.screws[which];
  const words = instruments.bobbin.screw;
  const start = log?.start ?? readNumber(typedStart) ?? -1;
  const isStart = start >= 0 && start <= 60;
  const stand = screwStand(isStart ? start : 0, (log?.turns ?? []).map(clockMinutes));
  const turn = (minutes: number) => {
    if (!onTicket || !isStart) return;
    const { record } = onTicket;
    // Written down first: the way back must be known.
    if (!record('action-done', { action: 'screw-logged' satisfies ActionId })) return;
    if (!record('action-done', { action: SCREW_TURNED })) return;
    record('screw-turned', { which, start: stand.now, turn: minutes });
  };
  return (
    <section aria-label={words.title} className="flex flex-col gap-3">
      <h2 className="text-lg font-semibold">
        {words.title} <ProvenanceMark standing="common-practice" />
      </h2>
      <Choices
        legend={words.which}
        value={which}
        options={CASES.map((one) => [one, words.cases[one]] as const)}
        onChoose={setWhich}
      />
      <div className="flex flex-wrap items-center gap-6">
        <Clock
          start={isStart ? start : 0}
          now={stand.now}
          onStart={log || !mayDo(bench) ? undefined : (minutes) => setTypedStart(String(minutes))}
        />
        <dl className="min-w-44 flex-1">
          <Reading name={words.now} value={String(stand.now)} />
          <Reading name={words.total} value={words.minutes(stand.total)} bad={stand.overHalf} />
          <Reading name={words.back} value={words.minutes(stand.back)} />
        </dl>
      </div>
      {stand.overQuarter.length > 0 && (
        <p className="font-semibold text-hazard">{words.overQuarter}</p>
      )}
      {stand.overHalf && <p className="font-semibold text-hazard">{words.overHalf}</p>}
      {mayDo(bench) && (
        <div className="flex flex-wrap items-end gap-3">
          {!log && (
            <NumberField
              label={words.start}
              value={typedStart}
              className="w-52"
              onText={setTypedStart}
            />
          )}
          <UnpluggedFirst>
            {STEPS.map((step) => (
              <Button key={step} disabled={!isStart} onClick={() => turn(step)}>
                {step > 0 ? words.tighter(step) : words.looser(-step)}
              </Button>
            ))}
          </UnpluggedFirst>
        </div>
      )}
      <p className="text-sm leading-snug text-quiet">{words.school}</p>
    </section>
  );
}

const BOX: Box = [-50, -50, 100, 100];
/** The minutes of the clock to which a tap is rounded: finer no slot is read by eye. */
const READ_TO = 5;

/** The slot of the screw over a clock's face; before the first turn a tap says where it points. */
function Clock({
  start,
  now,
  onStart,
}: {
  readonly start: number;
  readonly now: number;
  readonly onStart: ((minutes: number) => void) | undefined;
}) {
  const hand = (minutes: number) => onRing({ hour: hourOf((minutes % 60) / 5), out: HAND }, R);
  const words = instruments.bobbin.screw;
  const face = (
    <svg
      viewBox={BOX.join(' ')}
      className="w-full"
      role="img"
      aria-label={words.clock(start, now)}
      fill="none"
    >
      <ClockRing radius={R} tick={5} weight={1.5} />
      <path
        d={`M0 0L${hand(start).join(' ')}`}
        stroke="var(--edge)"
        strokeWidth="3"
        strokeDasharray="4 3"
      />
      <path
        d={`M0 0L${hand(now).join(' ')}`}
        stroke="var(--lit)"
        strokeWidth="5"
        strokeLinecap="round"
      />
    </svg>
  );
  if (!onStart) return <div className="w-36 shrink-0">{face}</div>;
  return (
    <TapPlace
      className="w-36 shrink-0"
      box={BOX}
      label={words.tapStart}
      onTap={(x, y) => {
        const { hour } = placeOn({ x, y });
        onStart((Math.round((hour * 5) / READ_TO) * READ_TO) % 60);
      }}
    >
      {face}
    </TapPlace>
  );
}
