import { instruments } from '../../messages/instruments.ts';

const { parts } = instruments.stitch;

/** What the stitch instrument shows and measures: names in addresses, and what they are called. */
export const STITCH_PARTS = [
  { id: 'why', title: parts.why },
  { id: 'turn', title: parts.turn },
  { id: 'timing', title: parts.timing },
] as const;
