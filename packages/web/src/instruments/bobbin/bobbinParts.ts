import { instruments } from '../../messages/instruments.ts';

const { parts } = instruments.bobbin;

/** What the bobbin instrument measures: names in addresses, and what they are called. */
export const BOBBIN_PARTS = [
  { id: 'which', title: parts.which },
  { id: 'condition', title: parts.condition },
  { id: 'case', title: parts.case },
  { id: 'marks', title: parts.marks },
  { id: 'tension', title: parts.tension },
  { id: 'left', title: parts.left },
] as const;
