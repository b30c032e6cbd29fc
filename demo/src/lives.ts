import type { Day } from '@nodo/kernel';
import type { DemoBench } from './bench.ts';
import type { DemoTicket } from './tickets.ts';

type Story = NonNullable<DemoTicket['story']>;

/** The days that customers are told lie ahead of what the demo calls today. */
export type DayAhead = (days: number) => Day;

/** What the shop did about a machine besides looking at it: prices, parts, promises, the clock. */
export const LIVES: Readonly<
  Record<number, (bench: DemoBench, ahead: DayAhead) => ReturnType<Story>>
> = {
  29: async (bench, ahead) => {
    await bench.record('tavi', 'limit-agreed', { limit: 4000 });
    await bench.record('tavi', 'price-asked', {
      amount: 7400,
      words: 'a new bobbin case and setting it',
    });
    await bench.wait(90).record('mirra', 'price-answered', {
      agreed: true,
      how: 'telephone',
      words: 'If it is ready by the weekend',
    });
    await bench.record('tavi', 'part-awaited', { part: 'Bobbin case', expected: ahead(2) });
    await bench.record('mirra', 'day-promised', { day: ahead(4) });
  },
  33: async (bench) => {
    await bench.record('odren', 'price-asked', {
      amount: 11_800,
      words: 'a new motor belt, cleaning and oiling throughout',
    });
  },
  17: async (bench, ahead) => {
    await bench.record('mirra', 'day-promised', { day: ahead(-1) });
  },
  8: async (bench, ahead) => {
    await bench.record('mirra', 'limit-agreed', { limit: null });
    await bench.record('mirra', 'day-promised', { day: ahead(1) });
    await bench.record('tavi', 'set-up-noted', {
      needle: 'Size 75, six alike, changed in spring',
      thread: 'Polyester 40 weight',
      bobbin: 'Paper-sided, prewound',
      dial: '',
      screw: 'Half past two',
    });
  },
  5: async (bench) => {
    await bench.record('odren', 'clock-started', {});
  },
  4: async (bench) => {
    await bench.bill('mirra', 15);
    await bench.record('mirra', 'customer-told', { how: 'telephone', words: '' });
  },
};
