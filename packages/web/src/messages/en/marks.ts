import { surfaceOf } from '@nodo/knowledge';
import type { Mark, MarkEnd } from '@nodo/ticket';

const KIND = {
  raised: 'raised',
  depression: 'depression',
  scratch: 'scratch',
  pierced: 'pierced',
} as const;

const TOOL = { hand: 'by hand', rotary: 'with a rotary tool' } as const;

/** By the clock, to the half hour. */
function hourWords(hour: number): string {
  const halves = Math.round(hour * 2) % 24;
  const full = Math.floor(halves / 2) || 12;
  return halves % 2 === 0 ? `at ${full} o’clock` : `between ${full} and ${(full % 12) + 1} o’clock`;
}

function placeWords({ hour, out }: Pick<Mark, 'hour' | 'out'>): string {
  if (out < 0.12) return 'in the middle';
  return `${hourWords(hour)}${out < 0.6 ? ', inwards' : ''}`;
}

/** The map of marks on what the needle can reach. */
export const marks = {
  heading: 'What did the needle mark?',
  caution:
    'Off and unplugged, needle out first. A fingertip, not the eye: turn it under the light.',
  surfaces: 'Check by check',
  states: {
    'not-yet': 'not looked at',
    sound: 'smooth',
    found: 'marked',
    again: 'look again',
  },
  onIt: (count: number) => (count === 1 ? '1 mark' : `${count} marks`),
  turnedOver: 'Turned over sideways to be looked at: 3 was on the machine’s left.',
  asItSits: '12 is away from you, 3 on your right, as it sits.',
  upright: '12 is where the needle comes down.',
  turning: 'Looked at from its open side, its point at 12: it turns, so a mark tells no side.',
  needle: 'needle',
  map: (surface: string, count: number) =>
    `Map of ${surface.toLowerCase()} with the hours round it; ${count} marks on it.`,
  tap: 'Put a mark on the map: tap, or move it with the arrow keys',
  tapFirst: 'Tap where the mark is. By keyboard: go to the map, then the arrow keys.',
  across: (mm: string) => `${mm} mm across, about`,
  place: placeWords,
  hourWords,
  new: {
    title: (place: string) => `A mark ${place}`,
    kind: 'It is',
    kinds: KIND,
    means: {
      raised: 'stands up, a fingertip snags',
      depression: 'lies deep, nothing snags',
      scratch: 'a line that a thread catches on',
      pierced: 'gone through',
    },
    length: 'Length, mm',
    isEarlier: 'An earlier mark lay here',
    isNew: 'this one is new',
    isThat: (day: string, kind: string) => `that of ${day}, ${kind}`,
    put: 'Put it on the map',
    drop: 'Not here',
  },
  list: 'Marks now',
  none: 'None so far.',
  line: (kind: keyof typeof KIND, place: string, length: string) =>
    `${KIND[kind]}, ${place}, ${length} mm`,
  same: 'seen before',
  verdicts: {
    leave: 'harmless: leave it',
    dress: 'dress it',
    replace: 'replace the part',
  },
  ends: (end: MarkEnd, isGone: boolean) =>
    [
      end.how === 'dressed' && `dressed ${TOOL[end.tool]}, down to ${end.grit} grit`,
      isGone && 'gone with the part',
    ]
      .filter(Boolean)
      .join('; '),
  takeBack: 'Undo',
  wholeLooked: {
    foot: 'The whole foot is looked at',
    plate: 'Both sides of the plate are looked at',
    case: 'The case is looked at inside and outside',
    hook: 'The whole hook is looked at',
  },
  dress: {
    title: 'Dress it',
    tool: 'With',
    tools: { hand: 'hand tools', rotary: 'a rotary tool' },
    school: 'By hand first. Some say emery is enough, some never dress plastic and replace it.',
    last: 'Finest grit before polishing',
    steps: {
      file: 'Fine file, laid flat: only what stands up, until it is flush. Never into the surface round it.',
      point:
        'Fine abrasive point at low speed, in short touches: only what stands up. Plastic melts.',
      abrasive: (grit: number) => `Abrasive of ${grit} grit, led by hand along the shape.`,
      abrasiveLast: (grit: number) =>
        `Abrasive of ${grit} grit, until no line of the one before is left.`,
      polish: 'Polish until bright thread runs over it without a catch.',
      wipe: 'Wipe every grain of dust and abrasive off before it goes back.',
    },
    eyes: 'Eye protection on before the rotary tool runs; it throws grains.',
    coarsest: (grit: number) => `Nothing coarser than ${grit}.`,
    hook: 'A hook is never filed: its shape is its timing. With its point lost it is replaced.',
    deep: 'Too deep to come out: replace it.',
    done: 'Dressed',
    replaceAnyway:
      'The part is to be replaced for another mark: dressing serves only until the new one is in.',
  },
  replace: {
    foot: 'Foot replaced',
    plate: 'Plate replaced',
    case: 'Case replaced',
    hook: 'Hook replaced',
    why: 'Pierced: it is replaced, not dressed. Find what drove the needle into it.',
  },
  again: {
    title: 'Look again',
    smooth: 'Smooth now: fingertip and bright thread pass',
    provenAt: (part: string) => `${part}: smooth, proven.`,
  },
  parts: { foot: 'Foot', plate: 'Plate', case: 'Case', hook: 'Hook' },
  strike: {
    title: 'Likely one event',
    parts: (parts: string) => `One strike can have left the marks on ${parts}`,
    lean: (sides: string) => `the needle pushed ${sides}.`,
    straight: 'the needle not pushed to a side.',
    across: { '-1': 'to the left', '0': '', '1': 'to the right' },
    along: { '-1': 'to the back', '0': '', '1': 'to the front' },
    and: ' and ',
    two: 'Two sides: two strikes, or both swings of a zigzag.',
    unseen: (parts: string) => `On its way and not looked at yet: ${parts}.`,
    drove: 'What can have driven it there; look at all three',
    causes: {
      lint: 'lint, or a case out of its seat',
      deflection: 'a needle bent aside in heavy work, too thin or pulled',
      heat: 'a needle bent by heat in long fast runs',
    },
    likely: 'Likely, by where the marks lie; not proof.',
  },
  earlier: {
    title: 'From earlier visits',
    legend: 'dashed: from earlier visits',
    line: (day: string, line: string, end: string) => `${day}: ${line}${end && ` (${end})`}`,
    still: 'Still there',
    left: 'left as it was',
    gone: (count: number) =>
      `On a part replaced since: ${count === 1 ? '1 mark' : `${count} marks`}`,
    none: 'No marks from earlier visits.',
    'no-such-card':
      'This ticket’s machine has no record yet, so nothing of earlier visits is known.',
    'no-rights': 'Earlier visits name the owner: your role may not read them.',
    'not-read': 'Earlier visits cannot be read just now. What is put on it now is saved.',
  },
  atTheBench: 'Marks are put on the map by who works at the bench.',
  alone: 'Opened alone, nothing is put on the map. Open it from a ticket.',
  seam: {
    found: ({
      kind,
      surface,
      hour,
      out,
      length,
    }: Pick<Mark, 'kind' | 'surface' | 'hour' | 'out' | 'length'>) =>
      `${surfaceOf(surface).title}: ${KIND[kind]} ${placeWords({ hour, out })}, ${length} mm`,
    ended: (end: MarkEnd) =>
      end.how === 'replaced'
        ? 'Mark gone with its part'
        : `Mark dressed ${TOOL[end.tool]}, down to ${end.grit} grit`,
  },
} as const;
