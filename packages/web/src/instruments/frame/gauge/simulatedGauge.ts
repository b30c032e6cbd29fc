import { seeded } from '@nodo/core';
import type { GaugePort } from './gaugePort.ts';

const EVERY_MS = 40;

/** What the stand-in makes up: a tension with noise and drift. */
export interface MadeUpPull {
  readonly tension: number;
  /** Standard deviation, gf. */
  readonly noise: number;
  /** gf a second. */
  readonly drift: number;
  readonly seed: number;
}

/** The stand-in for a gauge: what it gives is made up from a seed, never measured. */
export function simulatedGauge({ tension, noise, drift, seed }: MadeUpPull): GaugePort {
  return {
    standIn: true,
    start(onSample) {
      const draw = seeded(seed);
      let at = 0;
      const timer = setInterval(() => {
        // Two uniform numbers make one normal: Box and Muller 1958.
        const normal = Math.sqrt(-2 * Math.log(1 - draw())) * Math.cos(2 * Math.PI * draw());
        onSample({ at, force: tension + (drift * at) / 1000 + noise * normal });
        at += EVERY_MS;
      }, EVERY_MS);
      return () => clearInterval(timer);
    },
  };
}
