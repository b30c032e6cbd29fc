import { type DayOffer, offersFor, planShop, type ShopPlan, type Workshop } from '@nodo/shop';
import { expose } from 'comlink';
import type { z } from 'zod';
import { askedJob, workshop } from './questions.ts';

export type AskedJob = z.infer<typeof askedJob>;

const promises = {
  plan: (asked: Workshop): ShopPlan | undefined => planShop(workshop.parse(asked)),
  offers: (asked: Workshop, job: AskedJob): readonly DayOffer[] =>
    offersFor(workshop.parse(asked), askedJob.parse(job)),
};
export type Promises = typeof promises;

expose(promises);
