import type { PulledBy, TensionSchool } from '@nodo/core';
import { DIAL_ENDS } from '@nodo/core';
import type { KeptTry, SeamKind } from '@nodo/ticket';
import { signed } from './signed.ts';

/** A balance in words: signed as it is computed, below positive. */
function lies(balance: number): string {
  const far = Math.abs(balance);
  if (far <= 0.1) return 'in the middle';
  const side = balance > 0 ? 'below' : 'on top';
  if (far < 0.35) return `a little ${side}`;
  return far < 0.75 ? `clearly ${side}` : `all ${side}`;
}

const minutes = (value: number) =>
  `${Math.abs(value)} clock ${Math.abs(value) === 1 ? 'minute' : 'minutes'}`;

/** Reading the balance, and what to do about it. */
export const tension = {
  parts: {
    balance: 'Balance',
    pull: 'Pull by the dial',
    path: 'Thread path',
    alike: 'What looks alike',
  },
  heading: 'Balance of the stitch',
  lies,
  signed,
  how: 'Two colours, two plies, as the customer sews. Tap the picture that looks like the sample; near the start, in the middle, near the end.',
  seam: 'Seam',
  seams: { straight: 'straight', zigzag: 'zigzag' } as const satisfies Record<SeamKind, string>,
  atlas: 'Which picture looks like it?',
  tile: (balance: number) => `Knot ${lies(balance)}`,
  picture: {
    top: 'From above',
    bottom: 'From below',
    section: 'Cut along the seam, drawn thicker',
    account: (balance: number) =>
      `The knot lies ${lies(balance)}. ${
        balance < -0.1
          ? 'Bobbin thread shows on top.'
          : balance > 0.1
            ? 'Top thread shows underneath.'
            : 'Neither thread shows more than a dot.'
      }`,
  },
  colours:
    'Top thread in one colour, bobbin thread in the other; each is named at the edge of its face.',
  slider: 'Between the pictures',
  places: ['Near the start', 'In the middle', 'Near the end'],
  place: 'Read',
  notRead: 'not read',
  forget: 'Read it anew',
  dial: 'Dial stands at',
  notADial: 'A number from 0 to 9.',
  needle: 'Needle of the head',
  wanted: 'Knot wanted',
  wantedAt: { middle: 'in the middle', below: 'a little below' },
  wantedWhy:
    'Appliqué, decorative and embroidery stitches want the knot a little below, never bobbin thread on top.',
  keep: 'Save this try',
  lacks: 'a reading of the sample is missing',
  lacksDial: 'where the dial stands is missing',
  addAlone: 'Add this try',
  tries: 'Tries',
  noTries: 'Nothing sewn yet.',
  tryColumns: { number: 'Try', dial: 'Dial', screw: 'Screw', read: 'Knot' },
  asFound: 'as found',
  since: 'Something else on the machine was changed: only tries since then are counted.',
  chart: {
    account: (best: string) => `Balance by the number of the dial. ${best}`,
    dial: 'dial',
    balance: 'knot',
    below: 'below',
    top: 'on top',
    wanted: 'wanted',
    likely: 'likely curve',
    band: 'eight in ten',
    best: (dial: string, from: string, to: string) =>
      `Most likely balanced at ${dial}, eight in ten between ${from} and ${to}.`,
  },
  advice: {
    title: 'Next',
    chance: (chance: string) => `${chance} that it balances then`,
    sure: (chance: string) => `${chance} sure`,
    sew: 'Sew it as it stands and read the sample.',
    again: 'Sew it once more as it stands: one sample more settles it.',
    dial: (to: string) => `Turn the dial to ${to}.`,
    fromBelow: (to: string, lower: string) =>
      `Come up to ${to} from below: to ${lower} first, then up. So the dial’s play counts the same each time.`,
    end: `That is near an end of the dial: at ${DIAL_ENDS.low} and below or at ${DIAL_ENDS.high} and above something else is usually wrong, unless the threads differ.`,
    screw: (turn: number) =>
      `Turn the case screw ${minutes(turn)} ${turn > 0 ? 'tighter (clockwise)' : 'looser (anticlockwise)'}.`,
    screwDial: (to: string) => `Set the dial to ${to} for the next sample.`,
    toScrew: 'To the screw, with its log',
    rethread: 'Thread it anew first, presser up, take-up at its top.',
    rethreadWhy: 'The commonest cause, and the cheapest repair: before it nobody turns a dial.',
    rethreaded: 'Threaded anew',
    bobbin: 'Look at the bobbin and its case before the dial.',
    bobbinWhy: 'The dial can never make up for a bobbin thread that is not held as it should be.',
    bobbinSeen: 'Under its spring, light even drag',
    balanced: (to: string) => `Balanced. The dial stays at ${to}.`,
    keepSet: 'Save as set',
    bobbinSide: 'It is the bobbin’s side: the dial cannot make up for it.',
    bobbinSideMay:
      'The screw has had its quarter turn. Measure the bobbin thread; a worn spring or case is replaced.',
    bobbinSideMayNot:
      'This case is not set at the bench: measure it, try another case, or send it for service.',
    stop: 'Stop turning: it is no matter of tension.',
    stopped: {
      'no-answer':
        'The knot stays where it is, whatever the dial says: the thread is not between the discs, or something holds them open.',
      erratic:
        'The knot lies now here, now there: lint under the case spring, a snagging spool, uneven thread.',
      'no-end':
        'Eight tries and no end of it. What was found and set stays on the ticket; look elsewhere.',
    },
    lookAt: 'Look at',
    back: (to: string) => `Set the dial back to ${to}, where it was found.`,
  },
  chances: {
    title: 'What the tries say',
    dial: 'The dial moves the knot',
    'no-answer': 'It does not answer the dial',
    erratic: 'It wanders',
  },
  school: {
    title: 'How this bench goes about it',
    steps: 'Steps',
    stepsAre: {
      whole: 'whole numbers, then finer',
      half: 'halves, then finer',
    } as const satisfies Record<TensionSchool['steps'], string>,
    first: 'First',
    firstIs: { bobbin: 'the bobbin’s side', dial: 'the dial' } as const satisfies Record<
      TensionSchool['first'],
      string
    >,
    ends: 'Ends of the dial',
    endsAre: {
      'when-nothing-else': 'only when nothing else does',
      never: 'never',
      'like-any': 'like any number',
    } as const satisfies Record<TensionSchool['ends'], string>,
    differ: 'Top and bobbin thread differ',
    screw: 'The case screw may be turned here',
    screwWhy: 'The machine’s manual decides.',
  },
  worked: {
    title: 'Settings that worked on this machine',
    none: 'None remembered yet.',
    top: 'Top thread',
    bobbin: 'Bobbin thread',
    fabric: 'Fabric',
    remember: 'Remember this setting',
    remembered: 'Remembered on the machine’s record.',
    take: (dial: string) => `Start at ${dial}`,
    line: (dial: string, screw: number, day: string) =>
      `Dial ${dial}${screw === 0 ? '' : `, screw ${signedMinutes(screw)}`}, ${day}`,
    threads: (top: string, bobbin: string, fabric: string) =>
      [top, bobbin && `over ${bobbin}`, fabric && `on ${fabric}`].filter(Boolean).join(' '),
    lacks: 'at least the top thread is missing',
  },
  seamEntry: triedLine,
  offLine: 'Not saved: the machine’s record needs a connection. Try again when there is one.',
  alike: {
    heading: 'What looks alike',
    lead: 'The sample is the same; one look tells which it is. Nothing is turned before it.',
    tells: 'Tells them apart',
    pairs: [
      {
        id: 'discs',
        balance: 0.85,
        names: ['Thread not between the discs', 'Dial too low'],
        looks: [
          'Presser down, pull at the needle: it runs free at every number.',
          'Presser down, pull at the needle: it resists, and more at each number.',
        ],
        checks: ['pull-foot-down', 'dial-sweep', 'path-look'],
      },
      {
        id: 'case',
        balance: -0.7,
        names: ['Lint under the case spring', 'Case screw too loose'],
        looks: [
          'The knot wanders along the seam; pulled by hand the bobbin thread jerks. A card drawn under the spring brings lint.',
          'The knot lies the same all along; the bobbin thread runs evenly, and too lightly.',
        ],
        checks: ['case-spring', 'case-pull', 'case-gauge'],
      },
      {
        id: 'take-up',
        balance: 1,
        names: ['Thread out of the take-up', 'Discs held open by lint'],
        looks: [
          'A whole loop stays below at each stitch, and it nests at once. Look at the take-up with the needle at its highest.',
          'Loops, not nests. A folded cloth drawn between the open discs brings lint; then the pull rises again.',
        ],
        checks: ['path-look', 'disc-cloth', 'dial-sweep'],
      },
    ],
  },
  pulledBy: { gauge: 'by gauge', feel: 'by feel' } as const satisfies Record<PulledBy, string>,
} as const;

function signedMinutes(value: number): string {
  return `${minutes(value)} ${value > 0 ? 'tighter' : 'looser'}`;
}

/** A try as the ticket tells it. */
function triedLine({ dial, screw, read, seam, wanted, at }: KeptTry): string {
  const mean = read.reduce((sum, one) => sum + one, 0) / read.length;
  const needle = at === undefined || at === 1 ? '' : `needle ${at}, `;
  const turned = screw === 0 ? '' : `, screw ${signedMinutes(screw)}`;
  const aim = wanted === 0 ? '' : ` (wanted ${lies(wanted)})`;
  return `Tension tried: ${needle}dial ${dial}${turned}, ${seam}: knot ${lies(mean)} ${signed(mean)}${aim}`;
}
