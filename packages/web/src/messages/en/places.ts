import type { Place } from '@nodo/knowledge';

/** What the lit place of a drawing is called. */
export const places: Readonly<Record<Place, string>> = {
  talk: 'ask and watch',
  spool: 'spool, cap, pin',
  'thread-pair': 'both threads',
  path: 'the whole path',
  'check-spring': 'check spring',
  discs: 'the discs',
  dial: 'the dial',
  'needle-clamp': 'clamp and stop',
  needle: 'the needle',
  bobbin: 'the bobbin',
  case: 'bobbin case',
  hook: 'hook and race',
  foot: 'presser foot',
  plate: 'needle plate',
  feed: 'feed teeth',
  fabric: 'the stitch',
  winder: 'bobbin winder',
  'hand-wheel': 'hand wheel',
  selector: 'selector',
  power: 'switch and lead',
};

export const drawing = {
  account: (family: string, place: string) => `${family}, seen from the front. Lit: ${place}.`,
  plain: (family: string) => `${family}, seen from the front.`,
  drawHere: 'draw here',
} as const;
