import { billOf, money } from '@nodo/core';
import { currencyCode, minorUnits, refuse } from '@nodo/kernel';
import { z } from 'zod';
import { agreedPrice } from '../state/life.ts';
import type { Ticket } from '../state/ticket.ts';
import { discount } from '../state/values.ts';
import { accept, type Decision, defineEvent, reject } from './define.ts';
import { sinceItCame } from './guards.ts';

const command = z.object({
  /** Minutes that are charged, whatever the clock says. */
  labourMinutes: z.number().int().min(0).max(10_000),
  rates: z.object({
    hour: minorUnits,
    taxPerMille: z.number().int().min(0).max(1000),
    taxIncluded: z.boolean(),
    /** Left out by pages that did not know of it. */
    leastFee: minorUnits.optional(),
  }),
  currency: currencyCode,
  /** What is taken off, as prices are given; in the body what there was to be taken off. */
  discount: discount.optional(),
});

const body = command.extend({
  labour: minorUnits,
  parts: minorUnits,
  toLeastFee: minorUnits.optional(),
  tax: minorUnits,
  total: minorUnits,
});

/**
 * What work and parts come to. Never above what the customer agreed to. It is worked out again also once they have
 * the machine: what was paid above it is given back.
 */
export const billMade = defineEvent({
  version: 1,
  command,
  body,
  decide: (ticket, given, context) =>
    ticket.status === 'collected' ? priced(ticket, given) : whileHere(ticket, given, context),
  apply(ticket, { rates: { leastFee = 0, hour, ...taxed }, currency, ...sums }) {
    const bill = {
      currency,
      rates: { ...taxed, hour: money(hour), leastFee: money(leastFee) },
      labourMinutes: sums.labourMinutes,
      labour: money(sums.labour),
      parts: money(sums.parts),
      toLeastFee: money(sums.toLeastFee ?? 0),
      tax: money(sums.tax),
      discount: sums.discount,
      total: money(sums.total),
    };
    return { ...ticket, life: { ...ticket.life, bill } };
  },
});

function priced(ticket: Ticket, given: z.infer<typeof command>): Decision<z.infer<typeof body>> {
  const { hour, taxPerMille, taxIncluded, leastFee = 0 } = given.rates;
  const parts = ticket.life.parts.map((part) => ({ ...part, each: money(part.each) }));
  const rates = { hour: money(hour), taxPerMille, taxIncluded, leastFee: money(leastFee) };
  const { discount: wished, ...rest } = given;
  const off = money(wished?.amount ?? 0);
  const { discount: amount, ...bill } = billOf(given.labourMinutes, parts, rates, off);
  const agreed = agreedPrice(ticket.life);
  if (agreed !== undefined && bill.total > agreed) {
    return reject(refuse('over-the-limit', 'command', { total: bill.total, agreed }));
  }
  return accept({
    ...rest,
    ...bill,
    ...(wished && amount > 0 ? { discount: { amount, reason: wished.reason } } : {}),
  });
}

const whileHere = sinceItCame(priced);
