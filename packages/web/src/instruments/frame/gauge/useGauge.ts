import { type GaugeSample, type Pull, pullOf, whereValid } from '@nodo/core';
import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { instruments } from '../../../messages/instruments.ts';
import type { GaugePort } from './gaugePort.ts';
import { serialGauge } from './serialGauge.ts';
import { type MadeUpPull, simulatedGauge } from './simulatedGauge.ts';

export interface GaugeInUse {
  readonly standIn: boolean;
  readonly isRunning: boolean;
  readonly samples: readonly GaugeSample[];
  /** Undefined until there are readings enough. */
  readonly pull: Pull | undefined;
  readonly begin: () => void;
  readonly end: () => void;
  readonly connect: () => Promise<void>;
}

/**
 * A gauge that draws the thread off: its stand-in until a real one is connected.
 * @param madeUp by the stand-in
 */
export function useGauge(madeUp: MadeUpPull): GaugeInUse {
  const [port, setPort] = useState<GaugePort>(() => simulatedGauge(madeUp));
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
  return { standIn: port.standIn, isRunning, samples, pull, begin, end, connect };
}
