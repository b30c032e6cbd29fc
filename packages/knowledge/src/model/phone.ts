import type { CheckId, FindingId } from '../ids.ts';
import type { CheckSource, Place } from '../schema/schema.ts';

/** A check as it goes over the phone. Common practice, no source. */
export interface PhoneWords {
  /** What to say to the customer, who stands at the machine. */
  readonly say: string;
  /** What in the answer decides. */
  readonly listen: string;
}

/** Per check that can be done over the phone. Judges nothing, so it is not part of the version. */
export const PHONE_WORDS: Readonly<Partial<Record<string, PhoneWords>>> = {
  'spool-setup': {
    say: 'Look at the thread spool. Is there a cap on the pin, is it wider than the end of the spool, and does it sit close without squeezing? Does the thread come off freely?',
    listen: 'A cap smaller than the spool, a gap behind it, a notch facing the cap, a wobble.',
  },
  'spool-pull': {
    say: 'Lift the presser foot. Draw a good arm’s length of thread off the spool by hand, at about the speed you sew.',
    listen: '“It catches”, “it jerks”. Ask at which spot: rim, notch or pin.',
  },
  'rethread-sew': {
    say: 'Cut the thread at the spool and draw it out at the needle, forwards. Lift the presser foot, turn the wheel towards you until the thread lever is at its top, thread again from the start with a finger lightly on the spool, then lower the foot and sew a scrap.',
    listen:
      'Whether the fault shows again. If they threaded with the foot down before, that was it.',
  },
  'thread-identity': {
    say: 'Read me what stands on the spool. Twist a little of the thread between your fingers: does it stay twisted? Is it furry, thick and thin, or old?',
    listen: 'Thick, craft or quilting thread; no label; silky thread; “it was my grandmother’s”.',
  },
  'thread-slub-feel': {
    say: 'Draw a metre of the top thread between finger and thumb. Do you feel knots or thick places?',
    listen: 'Knots, slubs, “it goes thick and thin”.',
  },
  'presser-lever': {
    say: 'Look at the lever behind the needle: is the presser foot down?',
    listen: '“Oh, it is up.”',
  },
  'thread-pair': {
    say: 'Is the thread in the bobbin the same kind and thickness as the one on top?',
    listen: 'Another fibre or weight below.',
  },
  'pull-foot-up': {
    say: 'Lift the presser foot and pull gently at the thread by the needle, towards the back.',
    listen: 'It should run freely. Any drag or hitch counts.',
  },
  'pull-foot-down': {
    say: 'Now lower the presser foot and pull gently again.',
    listen:
      'It should resist clearly. “Just as easy as before” means the thread is not between the discs.',
  },
  'dial-setting': {
    say: 'Which number does the thread tension dial stand at? Is there a mark or a wider line in the middle?',
    listen: 'Near the middle mark is right. Ask whether somebody turned it lately.',
  },
  'mid-dial-sew': {
    say: 'Remember that number. Turn the dial to its middle mark and sew a scrap.',
    listen: 'Whether the fault shows again.',
  },
  'needle-seat': {
    say: 'Switch the machine off. Loosen the needle screw, push the needle up as far as it goes, hold it there with tweezers, and tighten. Did it go up further than before?',
    listen: '“Yes, a bit”: it was not at its stop. “It stops early”: something is in the socket.',
  },
  'needle-facing': {
    say: 'Switch off. One side of the needle’s top is flat. Which way does it face, and which way does the thread go in: from the front or from the side? Feel just above the eye: the little scoop there must face away from where the thread goes in.',
    listen:
      'The scoop must face the hook. On most machines threaded from the front the flat faces the back.',
  },
  'needle-clamp': {
    say: 'Switch off. Pull down gently at the needle. Does it move?',
    listen: 'Any movement. It should be tighter than fingers get it; a small driver or coin.',
  },
  'needle-age': {
    say: 'How long is this needle in, in hours of sewing or in finished pieces? Has it hit anything?',
    listen: 'More than about eight hours, several garments, or “I do not know”.',
  },
  'needle-gum': {
    say: 'Did you sew through glue, tape, fusible web or basting spray? Is the needle sticky?',
    listen: 'Anything sticky on needle or work.',
  },
  'fresh-needle-sew': {
    say: 'Switch off and put in a new needle from a packet: size 80, flat side as before, all the way up. Keep the old one. Then sew a scrap.',
    listen:
      'Whether the fault shows again. The old needle is brought along if the machine comes in.',
  },
  'needle-match': {
    say: 'Read me the packet of the needle: the letters and the size. What fabric is it, how many layers, and is the thread thick?',
    listen:
      'Another system than the machine’s, thin needle in heavy work, ball against sharp point.',
  },
  'bobbin-class': {
    say: 'Did this bobbin come with the machine? Hold it against one that did: same height, same width, same hole? Is it metal or plastic?',
    listen: 'Bought elsewhere, from another machine, metal in a machine that came with plastic.',
  },
  'bobbin-wind': {
    say: 'Press a fingernail into the thread on the bobbin. Is it firm all round, or soft, or are there loops?',
    listen: 'Soft, loops, wound by hand.',
  },
  'bobbin-turn': {
    say: 'With the bobbin in its place, pull gently at its thread and watch which way it turns.',
    listen: 'Dropped in from above it mostly turns anticlockwise. Their manual’s picture decides.',
  },
  'bobbin-path': {
    say: 'Take the bobbin out, put it back, lead the thread into the slot and back under the little spring until it clicks or resists. Now pull: is there a light drag?',
    listen:
      '“Now there is a drag”: it had not been under the spring. Also whether the bobbin is empty.',
  },
  'bobbin-tail': {
    say: 'How long is the bobbin thread’s loose end: a finger long, or just a stub?',
    listen: 'Less than a finger, most of all with slippery thread or after the built-in cutter.',
  },
  'presser-look': {
    say: 'While it sews slowly, does the fabric lie still right at the needle, or does it lift or slip about?',
    listen: 'Lifting or slipping at the needle: presser height or pressure.',
  },
  'foot-match': {
    say: 'Which foot is on, and does its opening suit the stitch? For zigzag it must be wide. Is it on the right way round?',
    listen: 'A straight-stitch foot with a zigzag. Then: do not sew before it is changed.',
  },
  'paper-under': {
    say: 'Lay thin paper under the fabric and sew a few centimetres.',
    listen: 'Gone with paper: the fabric was pushed into the hole.',
  },
  'flag-watch': {
    say: 'Turn the wheel towards you by hand, slowly, and watch the fabric as the needle comes up. Does it rise with it?',
    listen: 'Fabric that bounces or rises with the needle.',
  },
  'operator-watch': {
    say: 'Tell me how you start a seam: do you hold both thread ends, is the foot down, do you pull the fabric, do you sew over pins?',
    listen: 'Ends not held, start at the very edge, pulling from behind, pins, foot still up.',
  },
  layers: {
    say: 'What exactly goes under the needle: how many layers, a crossing seam, canvas, glue?',
    listen: 'More than this machine or needle is made to pierce.',
  },
  winder: {
    say: 'Is the bobbin winder still pushed over to its winding side?',
    listen: '“Oh.”',
  },
  clutch: {
    say: 'Hold the hand wheel. Is there an inner knob in it that is loose, or is the wheel pulled out?',
    listen: 'Loosened for winding and not tightened again.',
  },
  'feed-lever': {
    say: 'Is there a lever or switch for the feed teeth, and is it down? Is the stitch length at nought?',
    listen: 'Teeth lowered for darning, or length at nought.',
  },
  'wheel-feel': {
    say: 'Switch off. Turn the hand wheel towards you, gently, one full turn. Never force it.',
    listen: 'Free, stiff, or locked. Locked: leave it as it is.',
  },
  'stitch-select': {
    say: 'Which stitch is selected, and which one do you want? How wide?',
    listen: 'Another stitch than they think.',
  },
  'power-look': {
    say: 'Look only, open nothing. Is the lamp on? Are both plugs pushed home and the switch on? Does a lamp work at the same socket?',
    listen: 'A loose plug, a dead socket. Dead at a good socket: it comes in, unplugged.',
  },
  'found-sew': {
    say: 'Change nothing and sew a hand’s length on a scrap. Look at both sides. Keep the piece.',
    listen:
      'Whether it shows now, on which side the other colour lies, whether a thread lies straight.',
  },
} satisfies Partial<Record<CheckId, PhoneWords>>;

/** Where fingers come near needle or bobbin: the plug is out first. */
const NEAR_NEEDLE: ReadonlySet<Place> = new Set([
  'needle-clamp',
  'needle',
  'bobbin',
  'case',
  'hook',
  'foot',
  'plate',
  'feed',
  'discs',
]);

/** By telephone the customer pulls the plug before this; never for what is sewn. */
export function isUnpluggedFirst({ needs, place }: Pick<CheckSource, 'needs' | 'place'>): boolean {
  return needs === 'turns' || (needs !== 'sews' && NEAR_NEEDLE.has(place));
}

/** Found on the phone, the machine is not touched any further. Ours, no source. */
export const STOP_ON: ReadonlySet<string> = new Set<FindingId>([
  'smoke-tingle',
  'hums',
  'wheel-locked',
  'dead-on-proven-socket',
]);

/**
 * Duties that a machine sewing well again at its owner's may leave undone; any other brings
 * it in. Ours, no source.
 */
export const LEFT_BY_PHONE: ReadonlySet<string> = new Set(['nest-cleared']);
