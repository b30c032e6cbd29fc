import type { GaugeSample } from '@nodo/core';

/**
 * Something that measures a pull while thread is drawn off: a gauge on a wire, or its stand-in. One
 * sample is a force in gf at an instant of the gauge's own clock, in milliseconds.
 */
export interface GaugePort {
  /** It makes its readings up; they are shown and never kept. */
  readonly standIn: boolean;
  /**
   * Begins to measure. Ends by itself only when the gauge is lost.
   * @returns ends it.
   */
  start(onSample: (sample: GaugeSample) => void, onLost: () => void): () => void;
}
