import {
  currencyCode,
  day,
  humanText,
  minorUnits,
  PAPER_LANGUAGES,
  tableId,
  timeZone,
  uuid,
} from '@nodo/kernel';
import {
  BOBBIN_CLASSES,
  BOBBIN_TURNS,
  type BobbinClassId,
  SCARF_SIDES,
  type ScarfSide,
} from '@nodo/knowledge';
import { BODY_COLOURS, MOST_NEEDLES, QUANTITY_IDS, SPOKEN } from '@nodo/ticket';
import { z } from 'zod';
import { machineTension } from './tension/machineTension.ts';
import { UNKNOWN_TENSION } from './tension/unknownTension.ts';

/** Facts of a family that one machine may have otherwise; the family's hold where it is silent. */
export const MACHINE_FACTS = [
  'needleSystem',
  'flatOrScarfFaces',
  'threads',
  'bobbinLoading',
  'hook',
  'case',
  'takeUp',
] as const;
export type MachineFact = (typeof MACHINE_FACTS)[number];

const serviceValue = z.object({
  least: z.number().min(-1000).max(10_000),
  most: z.number().min(-1000).max(10_000),
  /** Where it is written: manual and page. */
  from: humanText(120),
});
export type ServiceValue = z.infer<typeof serviceValue>;

/** What is known of one machine, whoever owns it. */
export const machineProfile = z.object({
  family: tableId,
  label: humanText(80),
  /** Of its body; null where nobody asked. */
  colour: z.enum(BODY_COLOURS).nullable().default(null),
  /** What its plate says: model. */
  model: humanText(80, 0),
  serial: humanText(60, 0),
  /** Instead of its family's; null when it has those. */
  traits: z.array(tableId).max(20).nullable(),
  facts: z.partialRecord(z.enum(MACHINE_FACTS), humanText(120)),
  service: z.partialRecord(
    z.enum(QUANTITY_IDS),
    serviceValue.refine(({ least, most }) => least <= most, { message: 'least-above-most' }),
  ),
  /** Needles on its head. */
  needles: z.number().int().min(1).max(MOST_NEEDLES).default(1),
  /** Where its scarf faces, if otherwise than its family's or if that does not say. */
  scarf: z
    .enum(SCARF_SIDES as [ScarfSide, ...ScarfSide[]])
    .nullable()
    .default(null),
  /** The class of bobbin it takes; null where that is not known. */
  bobbin: z
    .enum(BOBBIN_CLASSES.map(({ id }) => id) as [BobbinClassId, ...BobbinClassId[]])
    .nullable()
    .default(null),
  /** Which way its bobbin turns as thread is drawn off, looked at from its open side; null: not known. */
  bobbinTurns: z.enum(BOBBIN_TURNS).nullable().default(null),
  /** Where it is oiled, with what, how often; the manual's words. */
  oilPoints: humanText(1000, 0),
  notes: humanText(2000, 0),
  tension: machineTension.default(UNKNOWN_TENSION),
});
export type MachineProfile = z.infer<typeof machineProfile>;

/** A person who brings machines, and how to reach them. */
export const customerProfile = z.object({
  name: humanText(120),
  phone: humanText(40, 0),
  /** Another way: mail, a neighbour. */
  other: humanText(120, 0).default(''),
  /** How they want to be contacted. */
  reach: z.enum(SPOKEN).default('telephone'),
  notes: humanText(2000, 0).default(''),
});
export type CustomerProfile = z.infer<typeof customerProfile>;

const minuteOfDay = z.number().int().min(0).max(1440);

/** Working time of one weekday: from, until, in minutes from midnight; null: not at work. */
const shift = z
  .tuple([minuteOfDay, minuteOfDay])
  .refine(([from, until]) => from < until, { message: 'ends-before-it-begins' })
  .nullable();

const daysOff = z
  .object({ from: day, until: day, words: humanText(80, 0) })
  .refine(({ from, until }) => from <= until, { message: 'ends-before-it-begins' });
export type DaysOff = z.infer<typeof daysOff>;

/** When somebody works: a week from Monday on, and when not. */
const workingTime = z.object({
  week: z.array(shift).length(7),
  off: z.array(daysOff).max(60),
  /** So much of the time goes into repairs, in per cent; the rest is telephone and counter. */
  share: z.number().int().min(0).max(100),
});
export type WorkingTime = z.infer<typeof workingTime>;

/** An origin, without anything behind it: the pages name their own paths. */
const publicAddress = z.union([
  z.literal(''),
  z
    .url({ protocol: /^https?$/ })
    .max(200)
    .regex(/^[a-z]+:\/\/[^/?#\s]+$/, { message: 'no-origin' }),
]);

/** A line of the shop's price list: a job, a part, a service. */
const priceLine = z.object({ words: humanText(120), each: minorUnits });
export type PriceLine = z.infer<typeof priceLine>;

/** The sizes of a shelf tag. */
export const TAG_PAPERS = ['tag-a7', 'tag-label'] as const;
export type TagPaper = (typeof TAG_PAPERS)[number];

/** What holds for the whole shop: money, patience, working time. */
export const shopProfile = z.object({
  /** Where its clocks and its calendar are. */
  timeZone,
  currency: currencyCode,
  hour: minorUnits,
  taxPerMille: z.number().int().min(0).max(1000),
  taxIncluded: z.boolean(),
  /** What a repair costs at least. */
  leastFee: minorUnits.default(0),
  /** As it stands on a bill. */
  address: humanText(300, 0).default(''),
  taxNumber: humanText(40, 0).default(''),
  /** Where customers call, and when somebody is there; on papers and on the page of a link. */
  phone: humanText(40, 0).default(''),
  openingHours: humanText(200, 0).default(''),
  /** Where customers reach the shop's pages from outside; empty where they cannot. */
  publicAddress: publicAddress.default(''),
  /** The tag that it prints: a card to be tied on, or a label to be stuck on. */
  tagPaper: z.enum(TAG_PAPERS).default('tag-a7'),
  /** The language of papers for customers. */
  paperLanguage: z.enum(PAPER_LANGUAGES).default('en'),
  /** What its shelves are called. */
  shelves: z.array(humanText(12)).max(200).default([]),
  /** What it sells and does for a fixed price. */
  priceList: z.array(priceLine).max(500).default([]),
  /** Days after which a machine without a promise should be ready. */
  usualDays: z.number().int().min(1).max(90),
  /** Days after which a ready machine that nobody fetches counts as uncollected. */
  uncollectedDays: z.number().int().min(1).max(365),
  /** What holds here for machines that nobody collects, in the shop's own words. */
  uncollectedText: humanText(1000, 0).default(''),
  /** Days after the hand-out within which a repair that does not hold is mended for nothing. */
  warrantyDays: z.number().int().min(0).max(3650).default(90),
  /** Days without an entry after which open work counts as stuck. */
  stuckDays: z.number().int().min(1).max(60),
  closed: z.array(daysOff).max(60),
  people: z.record(uuid, workingTime),
});
export type ShopProfile = z.infer<typeof shopProfile>;
