import type { MeetingFigures, MeetingReading, Obstacle, Setting, ThreadInNeedle } from '@nodo/core';
import type { SliderName } from '@nodo/shop';
import type { SwingPlace } from '@nodo/ticket';
import { rounded, SWING_NAMES, turned } from './stitchFigures.ts';
import { stitchTiming } from './stitchTiming.ts';

/** What happens in a stitch, and how it may go. */
type Phase = 'loop' | 'carried' | 'tight' | 'down';
type Outcome = 'taken' | 'missed' | 'struck';

const mm = (value: number) => `${value < 0 ? '−' : ''}${rounded(value, 2)} mm`;
const signedMm = (value: number) => `${value > 0 ? '+' : ''}${mm(value)}`;
const inHundred = (share: number) => {
  if (share < 0.0005) return 'none skipped';
  if (share < 0.01) return 'fewer than 1 in 100 skipped';
  return share > 0.995 ? 'every one skipped' : `${Math.round(share * 100)} in 100 skipped`;
};
const RIGHT = 'as it should be';
const off = (value: number, unit: string, digits: number, more: string, less: string) => {
  const figure = rounded(value, digits);
  if (figure === '0') return RIGHT;
  return `${figure} ${unit} ${value > 0 ? more : less}`;
};

const AT_SWING: Readonly<Record<SwingPlace, string>> = {
  left: ' at the left swing',
  middle: ' in the middle of the swing',
  right: ' at the right swing',
};

const SLIDERS = {
  low: {
    name: 'Needle’s eye',
    because: 'Not up to its stop, or of another system: too long, too short.',
    says: (value: number) => off(value, 'mm', 1, 'too low', 'too high'),
  },
  turned: {
    name: 'Needle turned',
    says: (value: number) => off(value, '°', 0, 'to the left', 'to the right'),
  },
  bent: {
    name: 'Needle bent',
    says: (value: number) => off(value, 'mm', 2, 'away from the hook', 'towards the hook'),
  },
  late: {
    name: 'Hook comes',
    says: (value: number) => off(value, '° of the wheel', 1, 'late', 'early'),
  },
  deep: {
    name: 'Needle bar hangs',
    says: (value: number) => off(value, 'mm', 1, 'too deep', 'too high'),
  },
  gap: { name: 'Gap, point to scarf', says: (value: number) => `${rounded(value, 3)} mm` },
  rise: {
    name: 'Fabric rises with the needle',
    because: 'A loose hoop, a foot too high, a wide hole in the plate, a dull point.',
    says: (value: number) => `${rounded(value, 1)} mm`,
  },
  thread: { name: 'Thread across', says: (value: number) => `${rounded(value, 2)} mm` },
} as const satisfies Record<SliderName, unknown>;

/** The stitch instrument. */
export const stitch = {
  title: 'How the stitch forms',
  parts: { why: 'Why it skips', turn: 'One turn', timing: 'Timing' },
  noHook:
    'This kind of machine forms its stitch with loopers. They are set by its service manual; nothing is computed for them here.',
  contradicts:
    'The values on this machine’s record contradict each other: no needle rises that far. Correct them on the record.',
  computing: 'Computing the stitch',
  refused: (code: string) =>
    code === 'hook-does-not-reach'
      ? 'The hook’s point does not reach the needle at this swing.'
      : 'These settings cannot be computed. Slide the last one back.',
  drawing: {
    section: 'Section',
    behind: 'From behind',
    hook: 'hook',
    case: 'case',
    bar: (length: number) => `${length} mm`,
    margin: (value: number) => signedMm(value),
    strikes: 'strikes',
  },
  wheel: {
    name: 'Hand wheel, towards you',
    at: (degrees: number, account: string) => `${degrees}° after the needle’s lowest. ${account}`,
    play: 'Turn',
    stop: 'Stop',
    once: 'One stitch',
    nextPhase: 'Next phase',
    toMeeting: 'Meeting',
  },
  account: ({
    degrees,
    lift,
    isRising,
    isEyeBelow,
    toMeeting,
    phase,
  }: {
    readonly degrees: number;
    readonly lift: number;
    readonly isRising: boolean;
    readonly isEyeBelow: boolean;
    readonly toMeeting: number;
    readonly phase: string;
  }) =>
    `Needle ${rounded(lift, 1)} mm above its lowest, ${isRising ? 'rising' : 'going down'}, its eye ${isEyeBelow ? 'below' : 'above'} the plate; ${
      degrees === 0 || toMeeting > 0
        ? 'the hook’s point has not come by yet'
        : toMeeting === 0
          ? 'the hook’s point stands at the needle'
          : 'the hook’s point has passed'
    }. ${phase}`,
  /** What happens in each phase: as it should, where the loop is missed, and where the needle is struck. */
  phases: {
    loop: {
      taken: [
        'A loop stands out',
        'The needle rises a little; the fabric holds the thread behind it, so a loop stands out there.',
      ],
      missed: [
        'Too little of a loop',
        'The needle rises a little, but what stands towards the hook is too little to take.',
      ],
      struck: [
        'The needle is in the way',
        'The needle rises a little; the hook’s point will run into it.',
      ],
    },
    carried: {
      taken: [
        'Taken and carried round',
        'The hook’s point goes through the loop above the eye and carries it round the bobbin case.',
      ],
      missed: ['Missed', 'The hook’s point goes by without the loop: this stitch is skipped.'],
      struck: [
        'Struck',
        'The hook’s point runs into the needle: it shreds the thread or breaks the needle.',
      ],
    },
    tight: {
      taken: [
        'Let go and drawn tight',
        'The hook lets the loop go; the take-up pulls it up until both threads lock in the fabric.',
      ],
      missed: ['Drawn up empty', 'Nothing was taken: the take-up draws up the thread alone.'],
      struck: ['Drawn up empty', 'What comes of the thread now is chance.'],
    },
    down: {
      taken: [
        'On to the next',
        'The feed moves the fabric one stitch on, and the needle goes down again.',
      ],
      missed: [
        'On to the next',
        'The feed moves the fabric on over a stitch that is missing, and the needle goes down again.',
      ],
      struck: ['Stop here', 'Do not turn on under power.'],
    },
  } satisfies Record<Phase, Record<Outcome, readonly [title: string, text: string]>>,
  meeting: {
    title: 'Where the point passes the needle',
    swing: SWING_NAMES,
    says: ({ margin, skips, contact }: MeetingFigures) =>
      contact === 'strikes'
        ? 'the point strikes the needle'
        : `${margin < 0 ? 'lacks' : 'spare'} ${rounded(margin, 2)} mm, ${inHundred(skips)}${contact === 'rubs' ? '; the point rubs the needle' : ''}`,
    account: ({ towards, meetsAt, margin, gap }: MeetingFigures) =>
      `Needle, loop and hook’s point as they meet, to scale: the loop stands out ${mm(towards)} at ${mm(meetsAt)} above the eye, the gap is ${mm(gap)}; beyond what the point needs ${mm(margin)} are left.`,
  },
  why: {
    heading: 'Why does it skip?',
    how: 'Computed from the values beside it. They are typical where no mark says otherwise; the machine’s service manual stands above them.',
    state: 'Shown',
    states: { found: 'As found', set: 'As set' },
    nothingOff: 'everything as it should be',
  },
  settings: {
    groups: { needle: 'Needle', hook: 'Hook and needle bar', work: 'Fabric and thread' },
    sliders: SLIDERS,
    should: (value: string) => (value === RIGHT ? 'Set right' : `Set right: ${value}`),
    asItShould: (name: string, value: string) => `Set right: ${name} ${value}`,
    fromTicket: (value: string) => `Read on this ticket: ${value}`,
    taken: (value: string) => `Seen on this ticket, not measured: ${value} taken for it`,
    backward: 'Wrong way round: scarf away from the hook',
    size: 'Needle size',
    passes: 'The hook’s point passes the needle',
    toRight: 'to the right',
    toLeft: 'to the left',
    spring: 'Check spring or top tension still pulls while the loop forms',
  },
  verdict: {
    title: 'What the hook finds',
    /** @param place at which it is worst; undefined where there is only one */
    headline: (what: string, place: SwingPlace | undefined, skips: number) => {
      const swing = place === undefined ? '' : AT_SWING[place];
      return (
        {
          strikes: 'The hook strikes the needle. Do not sew.',
          rubs: 'The hook rubs the needle.',
          backward: 'Wrong way round: the loop stands on the other side.',
          misses: `The loop is missed${swing}.`,
          skips: `It skips${swing}: about ${Math.max(1, Math.round(skips * 100))} in 100.`,
          thread: 'The loop is taken, but the thread suffers.',
          forms: 'The loop is taken at every stitch.',
          unmeasured: 'As it should be, the loop is taken at every stitch.',
        }[what] ?? ''
      );
    },
    unmeasured:
      'Nothing of this machine is measured yet. Slide what you find, or measure it: what skips then shows here.',
    left: 'Loop beyond what the point needs',
    straight: 'Straight stitch',
    margin: ({ margin, contact }: MeetingFigures) =>
      contact === 'strikes' ? 'strikes' : signedMm(margin),
    skips: ({ skips, contact }: MeetingFigures) =>
      contact === 'strikes'
        ? 'the point runs into the needle'
        : `${inHundred(skips)}${contact === 'rubs' ? ', rubs' : ''}`,
    strikes: {
      foot: (by: number) => `At full swing the needle strikes the foot: ${mm(by)} too far out.`,
      plate: (by: number) => `At full swing the needle strikes the plate: ${mm(by)} too far out.`,
      case: (by: number) => `The needle’s tip reaches the case: ${mm(by)} too deep.`,
    } as const satisfies Record<Obstacle, unknown>,
    inNeedle: ({ lies, hold, eye }: ThreadInNeedle) =>
      hold === 'upright'
        ? `The thread fills ${Math.round(eye * 100)} % of the eye: it frays in it, and the loop stays thin near the eye. A larger needle.`
        : lies === 'stands-out'
          ? 'The thread stands out of the groove: the fabric wears it. A larger needle.'
          : lies === 'wanders'
            ? 'The thread is thin for this groove and wanders in it. A thinner needle.'
            : 'The thread lies in the groove.',
    seen: 'Somebody would see:',
    read: 'Read at the bench, in the middle',
    shouldBe: (least: string, most: string) => `${least} to ${most} mm`,
    mm: (value: number, reading: MeetingReading) =>
      reading === 'gap' ? `${rounded(value, 3)} mm` : mm(value),
    model:
      'A model with typical values: it shows which way things go. What the machine sews decides.',
  },
  least: {
    title: 'The least that helps',
    none: 'No single setting helps: more than one thing is off, or it is the fabric or the thread.',
    does: {
      needle: () => 'Put a straight needle in right: up to its stop, scarf to the hook',
      timing: (change: number) =>
        `Turn the hook ${turned(change)} of the wheel ${change > 0 ? 'later' : 'earlier'}`,
      bar: (change: number) =>
        `Set the needle bar ${rounded(change, 2)} mm ${change > 0 ? 'higher' : 'lower'}`,
      gap: (change: number) =>
        `Set the hook ${rounded(change, 2)} mm ${change > 0 ? 'away from' : 'nearer to'} the needle`,
    } as const satisfies Record<Setting, unknown>,
    takes: (time: string) => `${time}.`,
    leaves: (margin: number) => `Then ${mm(margin)} are left at the least swing.`,
    unmet: (swings: string) =>
      `Helps the worst swing only; it is still missed or touched at: ${swings.toLowerCase()}.`,
    show: 'Show it as set',
    outside: (readings: string) =>
      `The stitch forms then, but it still reads outside its range: ${readings.toLowerCase()}. That is what is off.`,
    order:
      'Hook and needle bar come last, and by the service manual: first needle, thread and fabric.',
    toTiming: 'Measure and set hook and needle bar',
  },
  keep: {
    save: 'Save picture and figures on the ticket',
    saving: 'Saving the picture',
    offLine: 'Off line: the picture was not saved. The settings stay in the address.',
    done: 'Picture and figures are saved.',
    print: 'Print',
    copy: 'Copy the address of these settings',
    copied: 'Address copied',
    says: (state: string, headline: string, margins: string, settings: string) =>
      `${state}: ${headline} ${margins}${settings === '' ? '' : ` (${settings})`}.`,
  },
  turn: {
    heading: 'One turn of the wheel',
    how: 'What goes up and down, where the hook is, and how much thread needle and hook want against what the take-up gives. Drag the line, or turn the wheel.',
    chart: {
      needle: 'Needle',
      takeUp: 'Take-up',
      hook: 'Hook',
      wanted: 'Wanted',
      given: 'Given',
      heights: 'Height, mm',
      turned: 'Hook turned, °',
      thread: 'Thread, mm',
      degrees: (value: number) => `${value}°`,
      account: (degrees: number) =>
        `Over one turn of the hand wheel from the needle’s lowest: height of needle and take-up, turn of the hook, thread wanted and thread given. The line stands at ${degrees}°. The figures are in the table below.`,
    },
    knot: {
      unknown:
        'Where both threads lock follows from their pulls: measure top and bobbin tension on the ticket, and it is told here.',
      lies: (depth: number) =>
        `By the pulls measured last both threads lock ${depth} % down from the top of the fabric.`,
      shows: ({ top, bottom }: { readonly top: boolean; readonly bottom: boolean }) =>
        top && bottom
          ? 'The fabric is thin: each thread shows on the other’s face.'
          : top
            ? 'The bobbin thread shows on top.'
            : bottom
              ? 'The top thread shows underneath.'
              : 'Neither shows on the other’s face.',
    },
    columns: ['Wheel', 'Needle, mm', 'Take-up, mm', 'Hook', 'Wanted, mm', 'Given, mm'],
    table: 'The figures as a table',
    enough: 'The take-up gives enough at every moment; it is tight only where the stitch is drawn.',
    pulled: (length: string) =>
      `At one moment ${length} mm more are wanted than given: the thread is pulled tight and may break.`,
    top: 'The top thread',
    tops: {
      held: 'Discs hold',
      'discs-open': 'Discs stay open',
      'out-of-take-up': 'Out of the take-up',
    },
    left: {
      held: () => 'Nothing stays below: the take-up draws each loop up again.',
      'discs-open': (length: string) =>
        `The take-up draws from the spool, where there is less resistance: up to ${length} mm stay below at each stitch. Rethread first.`,
      'out-of-take-up': (length: string) =>
        `Nothing draws the loop up: ${length} mm stay below at each stitch, a nest within a few. Rethread first.`,
    },
  },
  timing: stitchTiming,
} as const;
