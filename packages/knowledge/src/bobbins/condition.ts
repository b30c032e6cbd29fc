/** Which way a bobbin turns while its thread is drawn off, looked at from the open side of its case. */
export const BOBBIN_TURNS = ['anticlockwise', 'clockwise'] as const;
export type BobbinTurn = (typeof BOBBIN_TURNS)[number];

/**
 * Which way it should turn, as far as the kind of machine decides it: a drop-in bobbin mostly turns
 * anticlockwise, common practice. For an upright case only its slot or its manual shows it.
 */
export function usualTurn(traits: readonly string[]): BobbinTurn | undefined {
  return traits.includes('drop-in') ? 'anticlockwise' : undefined;
}

/** How a bobbin is wound, pressed with a nail or a driver's tip. */
export const WINDINGS = ['firm', 'soft', 'uneven', 'looped'] as const;
export type Winding = (typeof WINDINGS)[number];

/** Steps of winding again, in their order; its words are found by its id. */
export type RewindStep = 'empty' | 'disc' | 'guide' | 'hold' | 'even' | 'press';

/**
 * How a bobbin is wound again, by what was wrong. Soft and looped: the thread was not in the winder's
 * disc. Uneven: the winder's guide leads too high or too low. Common practice.
 */
export function rewindSteps(winding: Winding): readonly RewindStep[] {
  switch (winding) {
    case 'firm':
      return [];
    case 'soft':
    case 'looped':
      return ['empty', 'disc', 'hold', 'even', 'press'];
    case 'uneven':
      return ['empty', 'guide', 'disc', 'hold', 'even', 'press'];
  }
}
