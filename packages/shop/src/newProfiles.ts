import type { CustomerProfile, MachineProfile, ShopProfile, WorkingTime } from './profiles.ts';
import { UNKNOWN_TENSION } from './tension/unknownTension.ts';

/** A machine of which nothing is known yet but its kind and what it is called. */
export function newMachineProfile(family: string, label: string): MachineProfile {
  return {
    family,
    label,
    model: '',
    serial: '',
    traits: null,
    colour: null,
    facts: {},
    service: {},
    needles: 1,
    scarf: null,
    bobbin: null,
    bobbinTurns: null,
    oilPoints: '',
    notes: '',
    tension: UNKNOWN_TENSION,
  };
}

/** Somebody of whom nothing is known yet but name and number. */
export function newCustomerProfile(name: string, phone: string): CustomerProfile {
  return { name, phone, other: '', reach: 'telephone', notes: '' };
}

const NINE_TO_FIVE: [number, number] = [540, 1020];

/** A week as most shops have it; six tenths of the day go into repairs. Ours, no source. */
export const USUAL_TIME: WorkingTime = {
  week: [NINE_TO_FIVE, NINE_TO_FIVE, NINE_TO_FIVE, NINE_TO_FIVE, NINE_TO_FIVE, null, null],
  off: [],
  share: 60,
};

/** A shop that has not said anything of itself yet. */
export const NEW_SHOP_PROFILE: ShopProfile = {
  timeZone: 'UTC',
  currency: 'EUR',
  hour: 4800,
  taxPerMille: 190,
  taxIncluded: true,
  leastFee: 0,
  address: '',
  taxNumber: '',
  phone: '',
  openingHours: '',
  publicAddress: '',
  tagPaper: 'tag-a7',
  paperLanguage: 'en',
  shelves: [],
  priceList: [],
  usualDays: 7,
  uncollectedDays: 30,
  uncollectedText: '',
  warrantyDays: 90,
  stuckDays: 3,
  closed: [],
  people: {},
};
