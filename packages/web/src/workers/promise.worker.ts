import { type DayOffer, offersFor, planShop, type ShopPlan, type Workshop } from '@nodo/shop';
import { expose } from 'comlink';

/** What is asked for a machine that is here or yet to come. */
export interface AskedJob {
  readonly ticket?: string;
  readonly minutes: number;
  readonly spread: number;
}

const promises = {
  plan: (workshop: Workshop): ShopPlan | undefined => planShop(workshop),
  offers: (workshop: Workshop, job: AskedJob): readonly DayOffer[] => offersFor(workshop, job),
};
export type Promises = typeof promises;

expose(promises);
