import { z } from 'zod';
import { humanText } from '../../text.ts';
import { decideBeginning, told } from './beginning.ts';
import { defineEvent } from './define.ts';

const body = told.extend({
  /** Number on the shelf tag. */
  tag: z.number().int().min(1).max(9999),
  shelf: humanText(12),
});

/** The machine came in, and nobody had rung up about it. Then it is the first entry. */
export const intakeTaken = defineEvent({
  type: 'intake-taken',
  version: 1,
  command: body,
  body,
  decide: decideBeginning,
  apply(ticket, { customer, ...intake }, { knowledge }) {
    return {
      ...ticket,
      status: 'open',
      intake: { ...intake, customer: customer ?? undefined },
      knowledge,
    };
  },
});
