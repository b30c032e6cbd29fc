import { AT_THE_COUNTER, EVERY_ROLE, uuid } from '@nodo/kernel';
import { TAG_PAPERS } from '@nodo/shop';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

/** What is printed of a ticket: the shelf tag in two sizes, and what the customer takes along. */
export const DOCUMENT_KINDS = [
  ...TAG_PAPERS,
  'receipt',
  'bill',
  'credit',
  'reminder',
  'needle-card',
] as const;
export type DocumentKind = (typeof DOCUMENT_KINDS)[number];

/** A paper as PDF. */
export const readPaper = defineEndpoint({
  ...ADDRESSES.readPaper,
  sends: 'application/pdf',
  roles: AT_THE_COUNTER,
  params: z.object({ ticket: uuid, paper: z.enum(DOCUMENT_KINDS) }),
  answer: z.never(),
});

/** The card that a sewn sample is photographed on, as PDF in true size. */
export const readSampleCard = defineEndpoint({
  ...ADDRESSES.readSampleCard,
  sends: 'application/pdf',
  roles: EVERY_ROLE,
  answer: z.never(),
});
