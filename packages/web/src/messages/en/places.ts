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
  keep: {
    title: 'Keep this drawing:',
    as: (format: string) => `Keep this drawing as ${format}`,
    failed: 'That did not work here.',
  },
  tap: 'Tap the machine where it hurts',
  places: 'Places on the machine',
  needle: {
    account: (round: boolean, faces: string) =>
      `The needle from the front, the side and the back. Groove in front, scarf at the back above the eye; ${round ? 'round shank without a flat' : 'flat at the back of the shank'}. On this machine: ${faces}.`,
    groove: 'groove',
    scarf: 'scarf',
    flat: 'flat',
    front: 'front',
    side: 'side',
    back: 'back',
  },
  clamp: {
    account:
      'Two needles in their clamps: one pushed up to the stop, one with a gap between shank and stop.',
    stop: 'stop',
    right: 'up to it',
    low: 'gap: low',
  },
  discs: {
    account: (down: boolean) =>
      `The tension discs in section: presser up they stand open and the thread runs free, presser down they are shut and grip it. Now: presser ${down ? 'down' : 'up'}.`,
    up: 'presser up',
    down: 'presser down',
    free: 'runs free',
    grips: 'resists',
  },
  path: {
    title: 'The way of the thread',
    points: {
      spool: 'spool',
      guides: 'guides',
      discs: 'discs',
      'check-spring': 'check spring',
      'take-up': 'take-up',
      'lower-guides': 'lower guides',
      'bar-guide': 'needle-bar guide',
      needle: 'needle',
    },
  },
  spool: {
    account: 'A spool on its pin; the cap is wider than the spool’s end and close to it.',
    cap: 'cap: wider',
    close: 'close, not jammed',
  },
  bobbin: {
    account: (dropIn: boolean) =>
      `The bobbin in its place${dropIn ? ', from above. It turns anticlockwise' : ', from the open side. It turns as the slot points'}; the thread lies in the slot and under the spring.`,
    turns: (dropIn: boolean) => (dropIn ? 'it turns anticlockwise' : 'it turns as the slot points'),
    under: 'into the slot, under the spring',
  },
  case: {
    account: (dropIn: boolean) =>
      `The bobbin case with spring and screw, ${dropIn ? 'and the lug that rests against the stop' : 'and the finger that sits in the hook’s gap'}; the hours round it name where a mark is.`,
    spring: 'spring',
    screw: 'screw',
    stop: 'lug and stop',
    finger: 'finger',
  },
  hook: {
    account: {
      oscillating:
        'An oscillating hook in its race: half a moon with its point at the needle. The hours round it name where a mark is.',
      rotary:
        'A rotary hook with its point at the needle, the basket inside held by its bracket. The hours round it name where a mark is.',
      horizontal:
        'A horizontal hook from above with its point at the needle, the bobbin case inside against its stop. The hours round it name where a mark is.',
    },
    loopers: 'Upper and lower looper crossing under the needle.',
    loopersWord: 'loopers',
    needle: 'needle',
    point: 'point',
    holds: { oscillating: 'race', rotary: 'basket', horizontal: 'case' },
  },
  plate: {
    account: (zigzag: boolean) =>
      `The needle plate from above, with ${zigzag ? 'the wide hole of a zigzag' : 'a round hole'}. Marks of strikes are at the edge of the hole.`,
    edge: 'edge of the hole',
    slots: 'feed slots',
  },
  feed: {
    account:
      'The feed cut across its rows: each row of teeth stands through a slot of the plate, lint packs between them.',
    carrier: 'feed bar',
    teeth: 'teeth above the plate',
    felt: 'packed lint',
    plate: 'plate',
  },
  foot: {
    account: 'The presser foot from below: slot, toes, and the part behind the needle.',
    slot: 'slot',
    behind: 'behind it',
    toes: 'toes',
  },
} as const;
