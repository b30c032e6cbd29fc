import type { PatternOf, SampleRefusal, SampleSide, Swing, TurningPart } from '@nodo/core';
import { countOf, type SampleCheck } from '@nodo/shop';
import type { KeptSample } from '@nodo/ticket';
import { signed } from './signed.ts';

const stitchesOf = (count: number) => `${count} ${count === 1 ? 'stitch' : 'stitches'}`;

/** How often it skipped: the sentence that a sew-out comes to. */
const skipsOf = (skips: number, stitches: number) =>
  skips === 0
    ? `No skip in ${stitchesOf(stitches)}`
    : `${skips === 1 ? '1 skip' : `${skips} skips`} in ${stitchesOf(stitches)}`;

const AGAIN = {
  skips: 'it skips',
  length: 'the stitches grow long and short',
  through: 'more of the other thread shows',
} as const satisfies Record<PatternOf, string>;

/** Measuring a sewn sample from pictures of it. */
export const sample = {
  parts: { read: 'Measure', compare: 'Before and after' },
  heading: 'Measure a sewn sample',
  how: 'Sew with two colours on a third, lay the sample on the scale card, sewn along its arrow, and take a picture of each side from straight above. The pictures are measured on this device.',
  card: 'Print the scale card (PDF, true size)',
  sides: { top: 'From above', bottom: 'From below' } as const satisfies Record<SampleSide, string>,
  laid: {
    top: 'The scale card with the sample on it, its right side up, sewn from left to right.',
    bottom:
      'The scale card with the sample turned over about the line of its seam, sewn from left to right.',
  } as const satisfies Record<SampleSide, string>,
  sewnThisWay: 'sewn this way',
  picture: {
    choose: (side: SampleSide) => (side === 'top' ? 'Picture from above' : 'Picture from below'),
    other: 'Another picture',
    remove: 'Leave this picture out',
    account: (side: SampleSide, stitches: number, skips: number) =>
      `The sample from ${side === 'top' ? 'above' : 'below'} with its stitches marked: ${skipsOf(skips, stitches).toLowerCase()}`,
    whole: (side: SampleSide) => `The picture from ${side === 'top' ? 'above' : 'below'}`,
    empty: 'Not taken yet.',
    legend: 'Ring: hole. Line: stitch. Cross: hole that the threads passed.',
  },
  pointing: {
    ruler: {
      begin: 'Measure by a ruler',
      how: 'No card at hand: a ruler lies flat beside the seam, and the picture was taken from straight above. Point at two of its marks, far apart, and at both ends of the seam. Leave a centimetre of bare fabric round the seam.',
    },
    thread: {
      begin: 'Point at the thread',
      how: 'Where another colour was taken for the thread: point at the middle of a stitch of this side.',
    },
    points: {
      firstMark: 'First mark',
      secondMark: 'Second mark',
      start: 'Where the seam begins',
      end: 'Where it ends',
      thread: 'The thread',
    },
    place: (point: string, x: number, y: number) => `${point}: ${x}, ${y}`,
    keys: 'Drag each point to its place, or choose it and move it with the arrow keys (with Shift by ten).',
    picture: (side: SampleSide) =>
      `Drag the points on the picture from ${side === 'top' ? 'above' : 'below'}`,
    near: (point: string) => `${point}, seen from near`,
    millimetres: 'Between the marks',
    notALength: 'A number from 10 to 300.',
    measure: 'Measure',
    leave: 'Leave it',
    together: 'two points lie in one place',
  },
  stage: {
    picture: 'Opening the picture',
    card: 'Looking for the card',
    seam: 'Measuring the seam',
    balance: 'Reading the balance from both sides',
    made: 'Making a sample up',
  },
  stop: 'Stop',
  refused: {
    'no-card':
      'The scale card was not found: all four corner marks must be in the picture, flat and not covered. A ruler in the picture will do as well.',
    'too-coarse': 'Taken from too far away: let the card fill the picture.',
    'not-on-picture':
      'The points do not fit the picture: two of them lie in one place, or the seam with some fabric round it goes beyond the edge.',
    'not-a-thread': 'That place has the colour of the fabric: point at the middle of a stitch.',
    'no-seam': 'No seam was found on the card: lay it along the middle, and clear of other things.',
    'fabric-colour':
      'The thread has the colour of the fabric, so that it cannot be told from it. Sew it in another colour.',
    'not-regular': 'The stitches follow each other too unevenly to be counted.',
    'too-few-stitches': 'Fewer stitches than six were found: sew a longer seam.',
    'one-colour':
      'Both sides show one colour, so that the balance cannot be told. Sewn with two colours, the thread of one side covers the other’s: point at that side’s own thread.',
    'not-a-picture': 'This file is no picture that can be read here.',
    unreadable: 'This file is no picture that can be read here.',
    stopped: 'Stopped. Nothing was measured.',
    failed: 'Measuring failed. Try it again, or with another picture.',
  } as const satisfies Record<
    SampleRefusal | 'not-a-picture' | 'unreadable' | 'stopped' | 'failed',
    string
  >,
  standIn: {
    title: 'No sample at hand?',
    note: 'The stand-in makes both pictures up, to try the tool with. Do not save what it shows on a customer’s ticket.',
    seam: 'Seam',
    balance: 'Its balance',
    skips: 'It skips',
    skipsAre: { no: 'no', yes: 'twice', again: 'every sixth' },
    loops: 'Loops hang below',
    loopsAre: { no: 'no', yes: 'three' },
    take: 'Take its pictures',
    isUsed: 'Made up by the stand-in, not sewn.',
  },
  figures: {
    title: 'What it measures',
    by: 'Figure',
    stitches: 'Stitches',
    skips: 'Skips',
    length: 'Stitch length, mm',
    spread: 'Spread of the length, mm',
    width: 'Width, mm',
    wander: 'Wander of the seam, mm',
    toTheLeft: 'Longer to the left, mm',
    through: 'Other thread at a hole, mm²',
    loose: 'Loose thread, mm²',
    loops: (loops: number) => (loops === 1 ? 'in 1 loop' : `in ${loops} loops`),
    notTold: 'not told apart',
    balance: 'Balance',
    balanceError: (error: string) => `± ${error}`,
    symmetry: (left: number, right: number) => `left ${left}, right ${right}`,
    byHand: 'set by hand',
    asRead: (read: string) => `read: ${read}`,
    notANumber: 'A number from 0 to 50.',
    notABalance: 'A number from −1 to 1.',
    notStitches: 'A whole number from 1 to 1000.',
    notAnArea: 'A number from 0 to 1000.',
    notSkips: 'A whole number, no more than there are stitches.',
    needsBoth: 'Balance needs both sides.',
  },
  stitchList: {
    title: 'Stitch by stitch',
    chart: (side: SampleSide) =>
      `Length of each stitch along the seam, from ${side === 'top' ? 'above' : 'below'}`,
    axis: { stitch: 'Stitch', length: 'mm' },
    columns: {
      number: 'Stitch',
      length: 'Length, mm',
      through: 'Other thread, mm²',
      skipped: 'Skipped',
    },
    span: (first: number, last: number) => (first === last ? String(first) : `${first} to ${last}`),
    skipped: (swings: readonly (Swing | undefined)[]) =>
      swings.map((swing) => (swing === undefined ? 'skipped' : `${swing} swing`)).join(', '),
  },
  pattern: {
    title: 'What comes again',
    again: (side: SampleSide, of: PatternOf, stitches: number, chance: number) =>
      `From ${side === 'top' ? 'above' : 'below'}: ${AGAIN[of]} every ${stitches.toFixed(Number.isInteger(stitches) ? 0 : 1)} stitches. Chance alone shows that once in ${chance < 0.001 ? 'more than a thousand' : Math.floor(1 / chance)} such seams.`,
    thread: ([least, most]: readonly [number, number]) =>
      `That is about ${least.toFixed(0)} to ${most.toFixed(0)} mm of thread.`,
    turns: {
      bobbin:
        'A bobbin turns about once in that: look how it is wound, at its rims, and for lint or thread under it.',
      spool:
        'That spool turns once in that: look at its rim, its pin and felt, and its net or cap.',
    } as const satisfies Record<TurningPart, string>,
    turnsNone: {
      askSpool: 'No bobbin turns once in that. Measure the spool.',
      nothing: 'Neither the bobbin nor a spool turns once in that.',
    },
    notTheHook: 'It is not the hook: that turns at least once a stitch.',
    spool: 'Spool, across its winding',
    spoolHint: 'One that turns as thread is drawn from it.',
    notASpool: 'A number from 8 to 90.',
  },
  verdict: {
    nothing: 'Nothing measured yet.',
    skips: skipsOf,
    balance: (value: number, error: number | undefined) =>
      `balance ${signed(value)}${error === undefined ? '' : ` ± ${error.toFixed(2)}`}`,
    oneSide: 'One side alone says nothing of the balance: turn the sample over.',
    apart: (one: number, other: number) =>
      `One side shows ${one} stitches, the other ${other}: look at both pictures where a part of the seam was missed.`,
    atOdds: (holes: number) =>
      `The two sides do not agree at ${holes === 1 ? 'one hole' : `${holes} holes`}: was one laid against the arrow, or is it another seam? The higher count of skips stands.`,
    good: 'A good sew-out: no skip, and no thread shows on the wrong side.',
    under: 'The top thread shows underneath.',
    top: 'The bobbin thread shows on top.',
    between: 'A little off the middle: it may be seen or not.',
    loose: (area: number) =>
      `Thread hangs loose beside the seam: it covers ${area.toFixed(1)} mm².`,
    onSwing: (left: number, right: number) =>
      left > 0 && right > 0
        ? 'It skips on both swings.'
        : left > 0
          ? 'It skips on the left swing alone: look at the timing there.'
          : 'It skips on the right swing alone: look at the timing there.',
  },
  keep: {
    title: 'Save on the ticket',
    for: 'Sewn for',
    forIs: {
      'standard-straight': 'standard sew-out, straight',
      'standard-zigzag': 'standard sew-out, zigzag',
      'found-sew': 'as it failed',
      nothing: 'measuring alone',
    } as const satisfies Record<SampleCheck | 'nothing', string>,
    rate: 'Speed, stitches/min',
    usualRate: 'as is usual; not kept unless you set it',
    minutes: 'Sewn in all, minutes',
    minutesHint: (stitches: number, rate: number) => `${stitchesOf(stitches)} at ${rate} a minute`,
    dial: 'Dial it was sewn at',
    dialHint: 'Then it counts as a try of the tension.',
    notARate: 'A number from 10 to 10 000.',
    notMinutes: 'Minutes above 0.',
    notADial: 'A number from 0 to 9.',
    log: (line: string) => `Log: ${line}`,
    onlyMeasures: 'Save the measures',
    lacks: 'nothing is measured yet',
    lacksFigure: 'a figure is no number',
    saved: 'saved; take another picture to save again',
    made: 'made up by the stand-in: shown, not saved',
    answers: (count: number) =>
      count === 0
        ? 'Says nothing of that check.'
        : `Answers ${count === 1 ? 'one finding' : `${count} findings`} of that check.`,
    sending: 'Saving the pictures',
    offLine:
      'The pictures could not be sent. Save the measures without them, or try again when there is a connection.',
    withoutPictures: 'Save without the pictures',
    toTension: 'Go on in Tension',
    photo: (side: SampleSide) => `Sewn sample from ${side === 'top' ? 'above' : 'below'}`,
  },
  compare: {
    heading: 'Samples before and after',
    none: 'No sample was measured on this ticket yet.',
    alone: 'Samples are compared on a ticket: open it from there.',
    first: 'Before',
    last: 'After',
    one: 'Only one sample so far; the next one stands beside it.',
    noPhoto: 'Its picture was not kept.',
    seam: 'Seam',
  },
  line: sampleLine,
} as const;

/** A sample as the ticket tells it. */
function sampleLine(read: Pick<KeptSample, 'faces' | 'balance'>): string {
  const { stitches, skips } = countOf(read);
  const balance = read.balance && `, balance ${signed(read.balance.value)}`;
  return `${skipsOf(skips, stitches)}${balance ?? ''}`;
}
