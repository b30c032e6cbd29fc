import type { FindingId } from '@nodo/knowledge';
import type { DemoBench } from './bench.ts';

export interface DemoCall {
  readonly family: string;
  readonly label: string;
  readonly customer: readonly [name: string, phone: string];
  readonly words: string;
  readonly complaint: readonly FindingId[];
  readonly came: readonly [daysAgo: number, hour: number];
  readonly story: (bench: DemoBench) => Promise<void>;
}

/** Machines that were only talked about on the telephone. */
export const DEMO_CALLS: readonly DemoCall[] = [
  {
    family: 'drop-in',
    label: 'Apricot zigzag',
    customer: ['Hedda Moorsby', '000 0231'],
    words: 'It makes a nest underneath, every time.',
    complaint: ['nest', 'loops-under'],
    came: [4, 10],
    story: async (bench) => {
      await bench.record('mirra', 'customer-did', { cause: 'outside-tension-discs' });
      await bench.record('mirra', 'call-ended', { outcome: 'solved' });
    },
  },
  {
    family: 'front-loading',
    label: 'Tangerine zigzag',
    customer: ['Corvin Ashdale', '000 0232'],
    words: 'A needle broke and now it knocks at every turn.',
    complaint: ['needle-break', 'rattle'],
    came: [1, 9],
    story: (bench) => bench.record('mirra', 'call-ended', { outcome: 'stop' }),
  },
];
