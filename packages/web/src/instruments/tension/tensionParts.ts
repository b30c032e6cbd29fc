import { instruments } from '../../messages/instruments.ts';

const { parts } = instruments.tension;

/** What the tension instrument sets and measures: names in addresses, and what they are called. */
export const TENSION_PARTS = [
  { id: 'balance', title: parts.balance },
  { id: 'pull', title: parts.pull },
  { id: 'path', title: parts.path },
  { id: 'alike', title: parts.alike },
] as const;
