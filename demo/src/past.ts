import { hourOf } from '@nodo/core';
import type { CauseId, CheckId, FindingId } from '@nodo/knowledge';
import type { DemoBench } from './bench.ts';
import type { DemoLogin } from './people.ts';

/** A machine that came, was put right and was fetched: weeks ago, told in short. */
export interface PastVisit {
  readonly name: string;
  /** Days since it came in, and the hour. */
  readonly came: readonly [daysAgo: number, hour: number];
  readonly family: string;
  readonly label: string;
  readonly customer: readonly [name: string, phone: string];
  readonly words: string;
  readonly complaint: readonly FindingId[];
  /** Looks that found nothing before it was found. */
  readonly before?: readonly CheckId[];
  /** What it was, of the tables. */
  readonly cause: CauseId;
  readonly by: DemoLogin;
  readonly minutes: number;
  readonly part?: readonly [words: string, each: number];
  /** What the needle had marked, found and dealt with on the way. */
  readonly marks?: (bench: DemoBench, by: DemoLogin) => Promise<void>;
  /** The visit it came back from. */
  readonly comebackOf?: string;
  /** The price was refused: it went home as it was. */
  readonly refused?: number;
  /** Still on the shelf, for nobody fetches it. */
  readonly unfetched?: true;
}

function visit(
  name: string,
  came: PastVisit['came'],
  [family, label]: readonly [string, string],
  customer: PastVisit['customer'],
  [words, ...complaint]: readonly [string, ...FindingId[]],
  [cause, by, minutes]: readonly [CauseId, DemoLogin, number],
  more: Partial<PastVisit> = {},
): PastVisit {
  return { name, came, family, label, customer, words, complaint, cause, by, minutes, ...more };
}

const FENN = ['Fennika Strale', '000 0211'] as const;
const OLDA = ['Olda Wrenmark', '000 0212'] as const;
const LANE = ['Marrow Lane Stitchery', '000 0108'] as const;
const ILV = ['Mrs Ilvane', '000 0141'] as const;
const HOLT = ['Jasper Holtquist', '000 0214'] as const;
const GUNN = ['Gunna Tevlin', '000 0215'] as const;
const ARL = ['Tibbet Arlow', '000 0117'] as const;
const ZORA = ['Zora Pimmelock', '000 0217'] as const;
const BRAM = ['Bram Ostwick', '000 0130'] as const;
const SELM = ['Selma Odrick', '000 0219'] as const;
const CASP = ['Caspar Yewdale', '000 0220'] as const;
const LIND = ['Petra Lindqvane', '000 0102'] as const;

/** A dent in the plate that was left, and a raised mark in the case that was dressed. */
async function dressedCase(bench: DemoBench, by: DemoLogin): Promise<void> {
  await bench.look(by, 'plate-surface');
  const dent = { surface: 'plate-top', hour: hourOf(2.5), out: 0.35 } as const;
  await bench.record(by, 'mark-found', { ...dent, kind: 'depression', length: 1, was: null });
  const edge = { surface: 'case-inside', hour: hourOf(1), out: 0.85 } as const;
  await bench.look(by, 'case-surface', 'case-raised');
  await bench.record(by, 'mark-found', { ...edge, kind: 'raised', length: 2, was: null });
  const mark = (await bench.now()).life.marks.at(-1)?.id ?? '';
  await bench.record(by, 'mark-ended', { mark, end: { how: 'dressed', tool: 'hand', grit: 800 } });
  await bench.act(by, 'case-dressed');
}

/** Invented visits of the last eight weeks, the oldest first. */
export const PAST_VISITS: readonly PastVisit[] = [
  visit(
    'p1',
    [55, 9],
    ['drop-in', 'Coral zigzag'],
    FENN,
    ['It skips when I sew jeans.', 'skip'],
    ['needle-dull', 'odren', 20],
    { part: ['Needles, denim', 180] },
  ),
  visit(
    'p2',
    [55, 11],
    ['front-loading', 'Moss portable'],
    OLDA,
    ['Loops like towelling underneath.', 'loops-under'],
    ['outside-tension-discs', 'tavi', 15],
  ),
  visit(
    'p3',
    [54, 10],
    ['round-shank', 'Nine-needle head'],
    LANE,
    ['Shreds on needle two.', 'shred'],
    ['needle-burr', 'tavi', 35],
    { part: ['Needle, round shank', 240] },
  ),
  visit(
    'p4',
    [53, 14],
    ['drop-in', 'Teal zigzag'],
    ILV,
    ['Nest at the start.', 'nest', 'nest-start'],
    ['tails-loose', 'odren', 15],
  ),
  visit(
    'p5',
    [52, 9],
    ['drop-in', 'Ash zigzag'],
    HOLT,
    ['Needle broke twice in a week.', 'needle-break'],
    ['needle-bent', 'tavi', 45],
    { part: ['Needles', 160] },
  ),
  visit(
    'p6',
    [51, 15],
    ['mini', 'Pearl compact'],
    GUNN,
    ['Bobbin thread on top.', 'loops-top'],
    ['bobbin-off-spring', 'odren', 15],
  ),
  visit(
    'p7',
    [49, 10],
    ['straight-fast', 'Onyx straight stitch'],
    ZORA,
    ['Thread frays at speed.', 'shred', 'top-break'],
    ['thread-poor', 'odren', 20],
  ),
  visit(
    'p8',
    [48, 11],
    ['drop-in', 'Cream zigzag'],
    ARL,
    ['Feeds crooked.', 'no-feed'],
    ['feed-lint', 'tavi', 25],
  ),
  visit(
    'p9',
    [47, 9],
    ['side-needle', 'Slate straight stitch'],
    BRAM,
    ['Skips all the time.', 'skip'],
    ['needle-backward', 'odren', 15],
  ),
  visit(
    'p10',
    [46, 13],
    ['front-loading', 'Rust zigzag'],
    SELM,
    ['Thread breaks above.', 'top-break'],
    ['spool-cap-wrong', 'odren', 15],
  ),
  visit(
    'p11',
    [44, 10],
    ['drop-in', 'Ash zigzag'],
    HOLT,
    ['It breaks needles again.', 'needle-break'],
    ['needle-bent', 'halle', 30],
    { comebackOf: 'p5' },
  ),
  visit(
    'p12',
    [43, 16],
    ['overlocker', 'Fawn overlocker'],
    CASP,
    ['Skips on the left needle.', 'skip'],
    ['needle-dull', 'tavi', 25],
    { part: ['Needles, overlock', 320] },
  ),
  visit(
    'p13',
    [42, 9],
    ['drop-in-magnet', 'Lilac zigzag'],
    LIND,
    ['Does not catch the lower thread.', 'no-pickup'],
    ['bobbin-tail-short', 'odren', 10],
  ),
  visit(
    'p14',
    [41, 10],
    ['front-loading', 'Fern zigzag'],
    GUNN,
    ['Jams after a minute.', 'jam'],
    ['race-scraps', 'tavi', 40],
    { unfetched: true },
  ),
  visit(
    'p15',
    [40, 11],
    ['drop-in', 'Coral zigzag'],
    FENN,
    ['Nests under the fabric.', 'nest'],
    ['takeup-missed', 'tavi', 15],
  ),
  visit(
    'p16',
    [39, 14],
    ['straight-fast', 'Umber quilter'],
    OLDA,
    ['Skips in free motion.', 'skip'],
    ['flagging', 'odren', 25],
  ),
  visit(
    'p17',
    [37, 9],
    ['drop-in', 'Sky zigzag'],
    SELM,
    ['Line wanders.', 'wander'],
    ['needle-point-wrong', 'odren', 20],
    { part: ['Needles, fine sharp', 190] },
  ),
  visit(
    'p18',
    [36, 15],
    ['front-loading', 'Brick zigzag'],
    CASP,
    ['Loud, and the needle hits something.', 'needle-strike', 'rattle'],
    ['needle-low', 'halle', 50],
    { part: ['Needles', 160] },
  ),
  visit(
    'p19',
    [35, 10],
    ['drop-in', 'Teal zigzag'],
    ILV,
    ['Bobbin thread breaks.', 'bobbin-break'],
    ['bobbin-soft', 'odren', 15],
    { marks: dressedCase },
  ),
  visit(
    'p20',
    [34, 11],
    ['mini', 'Straw hand-held'],
    ZORA,
    ['Does nothing right.', 'loops-under'],
    ['guide-missed', 'tavi', 15],
    { refused: 3900 },
  ),
  visit(
    'p21',
    [32, 9],
    ['round-shank', 'Nine-needle head'],
    LANE,
    ['Its thread catches on the spool rack.', 'top-break'],
    ['spool-snag', 'tavi', 15],
    { part: ['Thread nets, ten', 120] },
  ),
  visit(
    'p22',
    [30, 13],
    ['drop-in', 'Plum zigzag'],
    ['Sorrel Vint', '000 0109'],
    ['Skips since the new thread.', 'skip'],
    ['thread-too-thick', 'odren', 15],
  ),
  visit(
    'p23',
    [29, 10],
    ['front-loading', 'Moss portable'],
    OLDA,
    ['Top thread loose again.', 'loops-under'],
    ['disc-lint', 'halle', 25],
    { comebackOf: 'p2' },
  ),
  visit(
    'p24',
    [28, 9],
    ['drop-in', 'Olive zigzag'],
    HOLT,
    ['Nothing comes up from below.', 'no-pickup'],
    ['needle-backward', 'odren', 10],
  ),
  visit(
    'p25',
    [27, 15],
    ['side-needle', 'Jet straight stitch'],
    BRAM,
    ['Uneven stitches.', 'erratic'],
    ['bobbin-soft', 'tavi', 20],
  ),
  visit(
    'p26',
    [25, 11],
    ['drop-in', 'Sand zigzag'],
    GUNN,
    ['Fabric hangs at the end.', 'held', 'nest'],
    ['race-scraps', 'tavi', 40],
  ),
  visit(
    'p27',
    [23, 10],
    ['overlocker', 'Blue overlocker'],
    ['Wenna Strod', '000 0105'],
    ['Thread breaks in one looper.', 'top-break'],
    ['guide-missed', 'odren', 20],
  ),
  visit(
    'p28',
    [22, 9],
    ['straight-fast', 'Onyx straight stitch'],
    ZORA,
    ['Popping, holes in fine cotton.', 'pop', 'fabric-hurt'],
    ['needle-dull', 'odren', 15],
    { part: ['Needles, fine sharp', 190] },
  ),
  visit(
    'p29',
    [20, 14],
    ['drop-in', 'Sky zigzag'],
    SELM,
    ['Loops underneath.', 'loops-under'],
    ['outside-tension-discs', 'tavi', 10],
  ),
  visit(
    'p30',
    [18, 10],
    ['front-loading', 'Rust zigzag'],
    SELM,
    ['Skips on stretch.', 'skip'],
    ['needle-point-wrong', 'odren', 20],
    { part: ['Needles, stretch', 210] },
  ),
  visit(
    'p31',
    [16, 11],
    ['drop-in', 'Coral zigzag'],
    FENN,
    ['Top thread breaks.', 'top-break'],
    ['needle-burr', 'odren', 20],
  ),
  visit(
    'p32',
    [14, 9],
    ['drop-in-magnet', 'Lilac zigzag'],
    LIND,
    ['Skips now and then.', 'skip'],
    ['needle-dull', 'tavi', 20],
    { part: ['Needles', 160] },
  ),
  visit(
    'p33',
    [12, 15],
    ['mini', 'Pearl compact'],
    GUNN,
    ['Thread slips out at the start.', 'unthread'],
    ['tails-loose', 'odren', 10],
  ),
  visit(
    'p34',
    [10, 10],
    ['drop-in', 'Olive zigzag'],
    HOLT,
    ['Nest under the fabric.', 'nest'],
    ['outside-tension-discs', 'tavi', 15],
  ),
];
