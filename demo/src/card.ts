import { dayAfter, dayOf } from '@nodo/kernel';
import { NEW_SHOP_PROFILE, type ShopProfile, USUAL_TIME } from '@nodo/shop';
import { DEMO_PEOPLE } from './people.ts';
import type { DemoTime } from './time.ts';

const { odren, tavi, halle } = DEMO_PEOPLE;

/** What holds for the invented shop, but for the days off, which lie ahead of today. */
export const DEMO_CARD: ShopProfile = {
  ...NEW_SHOP_PROFILE,
  hour: 5400,
  leastFee: 2500,
  address: 'Quarrow Street 3, 00001 Nowhere',
  taxNumber: 'made up 00/000/00000',
  phone: '000 0100',
  openingHours: 'Monday to Friday, 9 to 17',
  priceList: [
    { words: 'Service, household machine', each: 6900 },
    { words: 'Needles, pack of five', each: 550 },
    { words: 'Bobbin case, drop-in', each: 2400 },
    { words: 'Foot control repaired', each: 3500 },
  ],
  usualDays: 7,
  stuckDays: 4,
};

/** The card of the demo shop on the day on which it is told. */
export function demoCard({ now, zone }: DemoTime): ShopProfile {
  const ahead = (days: number) => dayAfter(dayOf(now.toISOString(), zone), days);
  return {
    ...DEMO_CARD,
    timeZone: zone,
    closed: [{ from: ahead(26), until: ahead(28), words: 'Between the years' }],
    people: {
      [odren.id]: {
        ...USUAL_TIME,
        off: [{ from: ahead(5), until: ahead(6), words: 'Moving house' }],
      },
      [tavi.id]: {
        ...USUAL_TIME,
        // Four days a week.
        week: USUAL_TIME.week.map((shift, day) => (day === 4 ? null : shift)),
        off: [{ from: ahead(5), until: ahead(5), words: 'Dentist' }],
      },
      // The lead is at the bench for an hour or two a day; not on the day both others are away.
      [halle.id]: {
        ...USUAL_TIME,
        share: 20,
        off: [{ from: ahead(5), until: ahead(5), words: 'Fair' }],
      },
    },
  };
}
