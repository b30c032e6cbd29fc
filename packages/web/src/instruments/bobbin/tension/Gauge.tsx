import { type GaugeSample, pullOf, whereValid } from '@nodo/core';
import type { MeasureLimit } from '@nodo/ticket';
import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { Reading } from '../../frame/bits.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { mayKeep } from '../../frame/instrumentBench.ts';
import { KeepButton } from '../../frame/KeepButton.tsx';
import type { GaugePort } from './gaugePort.ts';
import { keepTension } from './keepTension.ts';
import { hasSerial, serialGauge } from './serialGauge.ts';
import { simulatedGauge } from './simulatedGauge.ts';
import { TensionAnswer } from './TensionAnswer.tsx';

const STAND_IN = simulatedGauge({ tension: 26, noise: 1.1, drift: 0, seed: 7 });

/** A gauge that draws the thread off: its stand-in until a real one is connected. */
export function Gauge({ limit }: { readonly limit: MeasureLimit }) {
  const bench = useInstrumentBench();
  const [port, setPort] = useState<GaugePort>(STAND_IN);
  const [samples, setSamples] = useState<readonly GaugeSample[]>([]);
  const [isRunning, setRunning] = useState(false);
  const stop = useRef<(() => void) | undefined>(undefined);
  const words = instruments.bobbin.tension.gauge;
  useEffect(() => () => stop.current?.(), []);

  const begin = () => {
    setSamples([]);
    setRunning(true);
    stop.current = port.start(
      (sample) => setSamples((before) => [...before, sample]),
      () => {
        setRunning(false);
        toast.error(words.lost);
      },
    );
  };
  const end = () => {
    stop.current?.();
    stop.current = undefined;
    setRunning(false);
  };
  const connect = async () => {
    end();
    try {
      setPort(await serialGauge());
    } catch {
      toast.error(words.none);
    }
  };
  const pull = whereValid(() => pullOf(samples));
  const say = (value: number) => write.figure(Math.round(value * 100) / 100);
  return (
    <div className="flex flex-col gap-3">
      <p className="max-w-prose font-semibold">{port.standIn ? words.standIn : words.real}</p>
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
      {samples.length > 0 && !pull && <p>{words.few}</p>}
      {pull && (
        <>
          <TensionAnswer
            tension={pull.tension}
            limit={limit}
            note={`± ${say(2 * pull.error)} gf. ${pull.steady ? words.steady : words.drifts}`}
          />
          <dl className="max-w-sm">
            <Reading name={words.noise} value={`${say(pull.noise)} gf`} />
            <Reading name={words.drift} value={`${say(pull.drift)} gf/s`} bad={!pull.steady} />
          </dl>
        </>
      )}
      {port.standIn ? (
        mayKeep(bench) && (
          <p className="text-sm text-quiet">{instruments.bobbin.tension.keepStandIn}</p>
        )
      ) : (
        <KeepButton
          label={instruments.bobbin.tension.keep}
          disabled={!pull || isRunning}
          onKeep={() => pull && keepTension(bench, 'case-gauge', pull.tension, limit)}
        />
      )}
    </div>
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
