import type { FindingId } from '@nodo/knowledge';
import type { DemoBench } from './bench.ts';

export interface DemoTicket {
  readonly tag: number;
  readonly shelf: string;
  readonly family: string;
  readonly label: string;
  readonly customer: readonly [name: string, phone: string];
  readonly words: string;
  readonly complaint: readonly FindingId[];
  readonly context?: { readonly yes?: readonly FindingId[]; readonly no?: readonly FindingId[] };
  /** Working days since it came in, and the hour. */
  readonly came: readonly [daysAgo: number, hour: number];
  readonly story?: (bench: DemoBench) => Promise<void>;
}

/** Twenty-one invented machines: fresh, half done, contested, struck, proven. */
export const DEMO_TICKETS: readonly DemoTicket[] = [
  {
    tag: 27,
    shelf: 'A',
    family: 'drop-in',
    label: 'Teal zigzag',
    customer: ['Mrs Ilvane', '000 0141'],
    words: 'It makes a bird’s nest underneath and then it is stuck. It was fine on Sunday.',
    complaint: ['nest', 'loops-under'],
    came: [1, 10],
  },
  {
    tag: 31,
    shelf: 'A',
    family: 'mini',
    label: 'Ivory compact',
    customer: ['Dorun Kelt', '000 0178'],
    words: 'Skips every few stitches since I put a new needle in.',
    complaint: ['skip'],
    context: { yes: ['after-needle'], no: ['knit'] },
    came: [1, 15],
  },
  {
    tag: 12,
    shelf: 'A',
    family: 'straight-fast',
    label: 'Black straight stitch',
    customer: ['Ansa Vorrel', '000 0112'],
    words: 'The top thread keeps breaking when I sew fast.',
    complaint: ['top-break'],
    context: { yes: ['after-thread'] },
    came: [6, 9],
    story: async (bench) => {
      await bench.look('odren', 'found-sew', 'found-bad');
      await bench.look('odren', 'path-look');
      await bench.look('odren', 'spool-setup', 'cap-small');
      await bench.act('odren', 'spool-set-right', 'Larger cap, close to the spool');
      await bench.look('odren', 'thread-identity');
      await bench.look('odren', 'needle-match');
      await bench.look('odren', 'found-sew');
      await bench.proveAndClose('odren');
    },
  },
  {
    tag: 19,
    shelf: 'A',
    family: 'drop-in',
    label: 'White zigzag',
    customer: ['Pell Umbrick', '000 0195'],
    words: 'Lines are loopy, bobbin thread comes up on top.',
    complaint: ['loops-top', 'erratic'],
    context: { yes: ['never-cleaned'] },
    came: [2, 11],
    story: async (bench) => {
      await bench.look('tavi', 'found-sew', 'found-bad', 'found-bobbin-top');
      await bench.look('tavi', 'bobbin-path');
      await bench.look('tavi', 'case-pull', 'case-no-drag');
    },
  },
  {
    tag: 22,
    shelf: 'A',
    family: 'drop-in-magnet',
    label: 'Mint zigzag',
    customer: ['Osk Trenholt', '000 0122'],
    words: 'Thread will not come up from below after I filled a bobbin.',
    complaint: ['no-pickup'],
    context: { yes: ['after-bobbin'] },
    came: [5, 14],
    story: async (bench) => {
      await bench.look('odren', 'bobbin-path');
      await bench.look('odren', 'bobbin-tail', 'tail-short');
      await bench.act('odren', 'bobbin-set-right', 'Ten centimetres of tail');
      await bench.proveAndClose('odren');
    },
  },
  {
    tag: 14,
    shelf: 'B',
    family: 'front-loading',
    label: 'Grey front-loader',
    customer: ['Hanno Pryde-Ostrander', '000 0114'],
    words: 'A needle broke on a thick hem with a bang. Now it knocks.',
    complaint: ['needle-break', 'needle-strike', 'rattle'],
    context: { yes: ['heavy-work', 'after-jam'] },
    came: [2, 9],
    story: async (bench) => {
      await bench.act('tavi', 'power-off-confirmed');
      await bench.record('tavi', 'machine-opened', { state: 'foot-off' });
      await bench.look('tavi', 'needle-straight', 'needle-crooked');
      await bench.look('tavi', 'foot-surface');
      await bench.look('tavi', 'plate-surface', 'plate-nicked');
      await bench.record('tavi', 'needle-fitted', {
        at: 1,
        needle: { system: '130/705 H', size: 90, point: 'universal', coating: 'nickel' },
        from: 'found',
        opened: null,
        sewn: 60_000,
        before: 'none',
        beforeSewn: null,
      });
      await bench.record('tavi', 'work-told', {
        fabric: 'heavy-weave',
        layers: 4,
        thickness: 0.7,
        crossing: true,
        threadKind: 'plain',
        fibre: 'polyester',
        thread: { by: 'label', unit: 'ticket', number: 80, plies: 1 },
      });
      await bench.record('tavi', 'pieces-laid', {
        at: 1,
        whole: 38.5,
        pieces: [21.2, 11.4],
        struck: 'plate',
      });
    },
  },
  {
    tag: 8,
    shelf: 'B',
    family: 'round-shank',
    label: 'Nine-needle head',
    customer: ['Marrow Lane Stitchery', '000 0108'],
    words: 'Needle seven breaks its thread, the others are fine.',
    complaint: ['top-break'],
    context: { no: ['adhesive'] },
    came: [1, 8],
    story: async (bench) => {
      await bench.look('tavi', 'one-or-all', 'one-needle-only');
      await bench.look('tavi', 'path-feel', 'path-rough');
    },
  },
  {
    tag: 5,
    shelf: 'B',
    family: 'overlocker',
    label: 'Blue overlocker',
    customer: ['Wenna Strod', '000 0105'],
    words: 'Skips on jersey, left needle.',
    complaint: ['skip'],
    context: { yes: ['knit'] },
    came: [3, 16],
    story: async (bench) => {
      await bench.look('odren', 'needle-match', 'point-wrong');
    },
  },
  {
    tag: 17,
    shelf: 'B',
    family: 'drop-in',
    label: 'Cream zigzag',
    customer: ['Tibbet Arlow', '000 0117'],
    words: 'Just wants it looked over, an odd loop now and then.',
    complaint: ['erratic'],
    context: { yes: ['never-cleaned', 'long-idle'] },
    came: [4, 10],
    story: async (bench) => {
      await bench.look('odren', 'path-look');
      await bench.look('tavi', 'pull-foot-down');
      await bench.look('odren', 'dial-sweep', 'no-rise');
      await bench.look('halle', 'disc-cloth', 'discs-held-lint');
    },
  },
  {
    tag: 3,
    shelf: 'C',
    family: 'front-loading',
    label: 'Red portable',
    customer: ['Jorrit Faz', '000 0103'],
    words: 'Jams as soon as I start. It came back from the attic.',
    complaint: ['jam', 'nest-start'],
    context: { yes: ['long-idle'] },
    came: [1, 13],
  },
  {
    tag: 25,
    shelf: 'C',
    family: 'straight-fast',
    label: 'Sage quilter',
    customer: ['Lune Abernack', '000 0125'],
    words: 'Skips only in free motion.',
    complaint: ['skip'],
    context: { yes: ['free-motion'] },
    came: [2, 14],
    story: async (bench) => {
      await bench.look('odren', 'standard-straight');
      await bench.look('odren', 'flag-watch', 'fabric-rises');
    },
  },
  {
    tag: 29,
    shelf: 'C',
    family: 'drop-in',
    label: 'Rose zigzag',
    customer: ['Edda Quill-Morrowby', '000 0129'],
    words: 'Rattles and the stitches hang underneath. The grandchildren sewed with it.',
    complaint: ['loops-under', 'rattle', 'jam'],
    context: { yes: ['after-jam'] },
    came: [3, 9],
    story: async (bench) => {
      await bench.look('tavi', 'wheel-feel');
      await bench.look('tavi', 'case-surface', 'case-pierced');
      await bench.record('tavi', 'observation-noted', {
        words: 'Pierced from above beside the stop, needle mark 2 mm long. New case on order.',
      });
    },
  },
  {
    tag: 30,
    shelf: 'C',
    family: 'side-needle',
    label: 'Slate straight stitch',
    customer: ['Bram Ostwick', '000 0130'],
    words: 'Will not pick up, skips all the time. Changed the needle myself.',
    complaint: ['skip', 'no-pickup'],
    context: { yes: ['after-needle'] },
    came: [0, 8],
  },
  {
    tag: 33,
    shelf: 'C',
    family: 'round-shank-straight',
    label: 'Walnut straight stitch',
    customer: ['Old Mr Fennimar', '000 0133'],
    words: 'Runs heavy, was stored for years.',
    complaint: ['no-run', 'jam'],
    context: { yes: ['long-idle', 'never-cleaned'] },
    came: [4, 15],
    story: async (bench) => {
      await bench.look('odren', 'power-look');
      await bench.act('odren', 'electrical-not-needed', 'Lamp on, pedal plug was half out');
      await bench.look('odren', 'wheel-feel', 'wheel-stiff');
      await bench.act('odren', 'oiled', 'Every point, worked in by hand');
    },
  },
  {
    tag: 9,
    shelf: 'A',
    family: 'drop-in',
    label: 'Plum zigzag',
    customer: ['Sorrel Vint', '000 0109'],
    words: 'It hums but the needle does not move.',
    complaint: ['motor-only'],
    context: { no: ['after-jam'] },
    came: [1, 16],
    story: async (bench) => {
      await bench.look('tavi', 'clutch', 'clutch-slack');
    },
  },
  {
    tag: 11,
    shelf: 'B',
    family: 'front-loading',
    label: 'Ochre zigzag',
    customer: ['Nessa Hobblewick', '000 0111'],
    words: 'Loops underneath whatever I do with the dial.',
    complaint: ['loops-under'],
    context: { no: ['after-jam', 'after-needle'] },
    came: [2, 12],
    story: async (bench) => {
      await bench.look('tavi', 'found-sew', 'found-bad', 'found-top-under');
      await bench.look('odren', 'pull-foot-down', 'no-grip');
      await bench.look('tavi', 'pull-foot-down');
    },
  },
  {
    tag: 6,
    shelf: 'B',
    family: 'mini',
    label: 'Lemon hand-held',
    customer: ['Ruk Tarvish', '000 0106'],
    words: 'Thread pulls out of the needle when I start.',
    complaint: ['unthread'],
    came: [0, 9],
  },
  {
    tag: 2,
    shelf: 'A',
    family: 'drop-in',
    label: 'Dove zigzag',
    customer: ['Petra Lindqvane', '000 0102'],
    words: 'Nest under the fabric at every start.',
    complaint: ['nest', 'nest-start'],
    came: [7, 11],
    story: async (bench) => {
      await bench.look('odren', 'path-look', 'outside-discs');
      await bench.act('odren', 'rethreaded');
      await bench.act('odren', 'customer-shown', 'Presser up while threading; both tails back');
      await bench.proveAndClose('odren');
      bench.wait(60 * 26);
      await bench.record('mirra', 'machine-collected', {});
    },
  },
  {
    tag: 16,
    shelf: 'C',
    family: 'straight-fast',
    label: 'Graphite straight stitch',
    customer: ['Ivo Stannerby', '000 0116'],
    words: 'Popping at each stitch, holes in the silk.',
    complaint: ['pop', 'fabric-hurt'],
    context: { yes: ['fine-work'] },
    came: [3, 10],
    story: async (bench) => {
      await bench.look('halle', 'needle-age', 'needle-overdue');
      await bench.look('halle', 'needle-loupe', 'point-blunt');
      await bench.act('halle', 'needle-replaced', 'Fine sharp, size 70');
    },
  },
  {
    tag: 20,
    shelf: 'B',
    family: 'drop-in',
    label: 'Copper zigzag',
    customer: ['Ulla Brandeswick', '000 0120'],
    words: 'The straight line wanders and now and then it skips.',
    complaint: ['wander', 'skip'],
    came: [1, 11],
    story: async (bench) => {
      await bench.look('odren', 'needle-clamp');
      await bench.record('odren', 'could-not-tell', { check: 'needle-age' });
    },
  },
  {
    tag: 4,
    shelf: 'C',
    family: 'front-loading',
    label: 'Navy zigzag',
    customer: ['Yorick Pellworm', '000 0104'],
    words: 'Fabric does not move, it sews on the spot.',
    complaint: ['no-feed'],
    came: [6, 15],
    story: async (bench) => {
      await bench.look('tavi', 'feed-lever', 'feed-down');
      await bench.act('tavi', 'feed-raised');
      await bench.proveAndClose('tavi');
    },
  },
];
