import { instruments } from '../../messages/instruments.ts';

const { parts } = instruments.sample;

/** What the sample instrument does: names in addresses, and what they are called. */
export const SAMPLE_PARTS = [
  { id: 'read', title: parts.read },
  { id: 'compare', title: parts.compare },
] as const;
