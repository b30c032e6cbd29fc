import { instruments } from '../../messages/instruments.ts';

const { parts } = instruments.needle;

/** What the needle instrument measures: names in addresses, and what they are called. */
export const NEEDLE_PARTS = [
  { id: 'seat', title: parts.seat },
  { id: 'condition', title: parts.condition },
  { id: 'fit', title: parts.fit },
  { id: 'wear', title: parts.wear },
  { id: 'broken', title: parts.broken },
  { id: 'register', title: parts.register },
] as const;
