import { counter, EVERY_ROLE, LEADS } from '@nodo/kernel';
import { shopProfile } from '@nodo/shop';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

/** A card, and how often it was changed; whoever changes it says what they had before them. */
const shopChange = z.object({ revision: counter, card: shopProfile });

const shopRecord = shopChange.extend({
  /** Nobody has said yet which time zone the shop is in: it is the one of its server. */
  zoneAssumed: z.boolean(),
});
export type ShopRecord = z.infer<typeof shopRecord>;

export const readShop = defineEndpoint({
  ...ADDRESSES.readShop,
  roles: EVERY_ROLE,
  answer: shopRecord,
});

/** Refused with `card-moved` when somebody else changed it meanwhile. */
export const changeShop = defineEndpoint({
  ...ADDRESSES.changeShop,
  roles: LEADS,
  body: shopChange,
  answer: shopRecord,
});
