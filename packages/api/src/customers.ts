import { AT_THE_COUNTER, counter, instant, LEADS, uuid } from '@nodo/kernel';
import { customerProfile, machineProfile } from '@nodo/shop';
import { mark, measure, partPut, rackEntry, setUpFound } from '@nodo/ticket';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

const revision = counter;

const machineRecord = z.object({
  id: uuid,
  /** Whose it is, if that is known. */
  customer: uuid.nullable(),
  revision,
  card: machineProfile,
});
export type MachineRecord = z.infer<typeof machineRecord>;

const customerFile = z.object({
  id: uuid,
  revision,
  /** Null once the person was erased: what was done to the machines stays. */
  card: customerProfile.nullable(),
  erasedAt: instant.nullable(),
  /** Where this one is found now, having turned out to be a double. */
  mergedInto: uuid.nullable(),
  /** Doubles that were merged into this one, with what they said. */
  doubles: z.array(z.object({ id: uuid, card: customerProfile.nullable() })),
  machines: z.array(machineRecord),
  /** Theirs and their doubles', the latest first. */
  tickets: z.array(rackEntry),
});
export type CustomerFile = z.infer<typeof customerFile>;

const ofCustomer = z.object({ customer: uuid });

export const readCustomer = defineEndpoint({
  ...ADDRESSES.readCustomer,
  roles: AT_THE_COUNTER,
  params: ofCustomer,
  answer: customerFile,
});

export const changeCustomer = defineEndpoint({
  ...ADDRESSES.changeCustomer,
  roles: AT_THE_COUNTER,
  params: ofCustomer,
  body: z.object({ revision, card: customerProfile }),
  answer: customerFile,
});

/**
 * Says that two are one person: `into` is found from then on, with the machines, tickets and
 * notes of both. Null takes that back; nothing was lost.
 */
export const mergeCustomer = defineEndpoint({
  ...ADDRESSES.mergeCustomer,
  roles: AT_THE_COUNTER,
  params: ofCustomer,
  body: z.object({ into: uuid.nullable() }),
  answer: customerFile,
});

/** Erases name, numbers, notes, signatures and links for good, of the doubles too. */
export const eraseCustomer = defineEndpoint({
  ...ADDRESSES.eraseCustomer,
  roles: LEADS,
  params: ofCustomer,
  answer: customerFile,
});

/** One visit of a machine, as far as it matters for the next. */
const visit = z.object({
  line: rackEntry,
  /** How it was set up when it came. */
  setUp: setUpFound.nullable(),
  parts: z.array(partPut),
  measures: z.array(measure),
  /** Marks that were found then on what the needle can reach. */
  marks: z.array(mark),
  /** Repairs, by id of the action. */
  repairs: z.array(z.string()),
  /** Duties that were waived or left, and checks that were worth a look but not done, by id. */
  waived: z.array(z.string()),
  /** Causes that were neither found nor ruled out when it was closed, the likeliest first. */
  leftOpen: z.array(z.object({ cause: z.string(), chance: z.number() })),
});
export type Visit = z.infer<typeof visit>;

const machineFile = z.object({
  machine: machineRecord,
  customerName: z.string().nullable(),
  /** The latest first. */
  visits: z.array(visit),
  /** Earlier cards, the latest first. */
  earlier: z.array(z.object({ revision, at: instant, by: uuid, card: machineProfile })),
});
export type MachineFile = z.infer<typeof machineFile>;

const ofMachine = z.object({ machine: uuid });

export const readMachine = defineEndpoint({
  ...ADDRESSES.readMachine,
  roles: AT_THE_COUNTER,
  params: ofMachine,
  answer: machineFile,
});

export const changeMachine = defineEndpoint({
  ...ADDRESSES.changeMachine,
  roles: AT_THE_COUNTER,
  params: ofMachine,
  body: z.object({ revision, card: machineProfile, customer: uuid.nullable() }),
  answer: machineFile,
});
