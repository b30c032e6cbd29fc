import type { GaugeSample } from '@nodo/core';
import type { MeasureLimit } from '@nodo/ticket';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { Reading } from '../../frame/bits.tsx';
import { hasSerial } from '../../frame/gauge/serialGauge.ts';
import type { GaugeInUse } from '../../frame/gauge/useGauge.ts';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { mayKeep } from '../../frame/instrumentBench.ts';
import { KeepButton } from '../../frame/KeepButton.tsx';
import { keepTension } from './keepTension.ts';
import { TensionAnswer } from './TensionAnswer.tsx';

/** A gauge while it draws the thread off: its stand-in until a real one is connected. */
export function Gauge({
  gauge: { standIn, isRunning, samples, begin, end, connect },
  limit,
}: {
  readonly gauge: GaugeInUse;
  readonly limit: MeasureLimit;
}) {
  const words = instruments.bobbin.tension.gauge;
  return (
    <div className="flex flex-col gap-3">
      <p className="max-w-prose font-semibold">{standIn ? words.standIn : words.real}</p>
      <div className="flex flex-wrap gap-3">
        <Button look="main" onClick={isRunning ? end : begin}>
          {isRunning ? words.stop : words.start}
        </Button>
        {hasSerial() ? (
          <Button onClick={() => void connect()}>{words.connect}</Button>
        ) : (
          <p className="text-sm text-quiet">{words.none}</p>
        )}
      </div>
      <Trace samples={samples} limit={limit} />
    </div>
  );
}

/** What the gauge read, how surely, and how evenly. */
export function GaugeAnswer({
  gauge: { samples, pull },
  limit,
}: {
  readonly gauge: GaugeInUse;
  readonly limit: MeasureLimit;
}) {
  const words = instruments.bobbin.tension.gauge;
  const say = (value: number) => write.figure(Math.round(value * 100) / 100);
  if (!pull) {
    return (
      <>
        <TensionAnswer tension={undefined} limit={limit} />
        {samples.length > 0 && <p>{words.few}</p>}
      </>
    );
  }
  return (
    <>
      <TensionAnswer
        tension={pull.tension}
        limit={limit}
        note={`± ${say(2 * pull.error)} gf. ${pull.steady ? words.steady : words.drifts}`}
      />
      <dl>
        <Reading name={words.noise} value={`${say(pull.noise)} gf`} />
        <Reading name={words.drift} value={`${say(pull.drift)} gf/s`} bad={!pull.steady} />
      </dl>
    </>
  );
}

/** Keeps what a real gauge read; a stand-in's reading is not kept. */
export function KeepGauge({
  gauge: { standIn, isRunning, pull },
  limit,
}: {
  readonly gauge: GaugeInUse;
  readonly limit: MeasureLimit;
}) {
  const bench = useInstrumentBench();
  const words = instruments.bobbin.tension;
  if (standIn) {
    return mayKeep(bench) ? <p className="text-sm text-quiet">{words.keepStandIn}</p> : null;
  }
  return (
    <KeepButton
      label={words.keep}
      lacks={isRunning ? words.gauge.stopFirst : !pull && words.gauge.drawFirst}
      onKeep={() => pull && keepTension(bench, 'case-gauge', pull.tension, limit)}
    />
  );
}

const SHOWN = 150;
const TALL = 60;

/** The last readings over time, over the band where they should lie. */
function Trace({
  samples,
  limit: { least, most },
}: {
  readonly samples: readonly GaugeSample[];
  readonly limit: MeasureLimit;
}) {
  const y = (force: number) => TALL - Math.max(0, Math.min(TALL, force));
  const points = samples
    .slice(-SHOWN)
    .map(({ force }, index) => `${index * 2} ${y(force).toFixed(1)}`);
  const [low, high] = [least ?? 0, most ?? TALL];
  return (
    <svg
      viewBox={`0 0 ${SHOWN * 2} ${TALL}`}
      role="img"
      aria-label={instruments.bobbin.tension.gauge.trace}
      className="w-full max-w-xl border-b border-l border-rule"
    >
      <rect x="0" width={SHOWN * 2} y={y(high)} height={y(low) - y(high)} fill="var(--cloth)" />
      {points.length > 1 && (
        <path d={`M${points.join('L')}`} fill="none" stroke="var(--lit)" strokeWidth="1.6" />
      )}
    </svg>
  );
}
