import { AT_THE_COUNTER, EVERY_ROLE, uuid } from '@nodo/kernel';
import { customerProfile, machineProfile } from '@nodo/shop';
import { rackEntry, ticketCommand, ticketEvent } from '@nodo/ticket';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

const customer = customerProfile.extend({ id: uuid });
export type Customer = z.infer<typeof customer>;

/** A machine that the shop sees for the first time. */
const newMachine = z.object({ id: uuid, card: machineProfile });
export type NewMachine = z.infer<typeof newMachine>;

const ticketFile = z.object({
  ticket: uuid,
  events: z.array(ticketEvent),
  customer: customer.nullable(),
});
export type TicketFile = z.infer<typeof ticketFile>;

export const listTickets = defineEndpoint({
  ...ADDRESSES.listTickets,
  roles: EVERY_ROLE,
  answer: z.array(rackEntry),
});

/** Takes a machine in: customer, machine and first entries together or not at all. */
export const takeIn = defineEndpoint({
  ...ADDRESSES.takeIn,
  roles: AT_THE_COUNTER,
  body: z.object({
    ticket: uuid,
    /** Written down with it; left out when the first entry names one that is known. */
    customer: customer.nullable(),
    machine: newMachine.nullish(),
    drafts: z.array(ticketCommand).min(1).max(8),
  }),
  answer: ticketFile,
});

/**
 * The open tickets in full, page by page: what a screen keeps so that it can work without the
 * network. @param after the last ticket of the page before
 */
export const openTickets = defineEndpoint({
  ...ADDRESSES.openTickets,
  roles: EVERY_ROLE,
  params: z.object({ after: uuid.optional() }),
  answer: z.object({ files: z.array(ticketFile), next: uuid.nullable() }),
});

export const readTicket = defineEndpoint({
  ...ADDRESSES.readTicket,
  roles: EVERY_ROLE,
  params: z.object({ ticket: uuid }),
  answer: ticketFile,
});

/** Records one event. Sending the same command again answers with the stored event. */
export const recordEvent = defineEndpoint({
  ...ADDRESSES.recordEvent,
  roles: EVERY_ROLE,
  params: z.object({ ticket: uuid }),
  body: ticketCommand,
  answer: ticketEvent,
});
