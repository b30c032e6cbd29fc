import { humanText, minorUnits } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, onLife } from './define.ts';
import { atWork } from './guards.ts';

const body = z.object({
  /** What it would come to, tax included. */
  amount: minorUnits,
  /** What it is for, in words for the customer. */
  words: humanText(1000),
});

/** The work would cost so much: the customer is to be asked before it goes on. */
export const priceAsked = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atWork((_ticket, command) => accept(command)),
  apply: onLife((_life, { amount, words }, { seq }) => ({
    asked: { amount, words, seq, answer: undefined },
  })),
});
