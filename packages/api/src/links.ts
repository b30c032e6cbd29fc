import { AT_THE_COUNTER, instant, uuid } from '@nodo/kernel';
import { customerView } from '@nodo/ticket';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

const link = z.object({
  id: uuid,
  madeBy: uuid,
  madeAt: instant,
  until: instant,
  revoked: z.boolean(),
});
export type CustomerLink = z.infer<typeof link>;

export const listLinks = defineEndpoint({
  ...ADDRESSES.listLinks,
  roles: AT_THE_COUNTER,
  params: z.object({ ticket: uuid }),
  answer: z.array(link),
});

/** The token is answered once and kept as its hash only. */
export const makeLink = defineEndpoint({
  ...ADDRESSES.makeLink,
  roles: AT_THE_COUNTER,
  params: z.object({ ticket: uuid }),
  body: z.object({ days: z.number().int().min(1).max(90) }),
  answer: z.object({ link, token: z.string() }),
});

export const revokeLink = defineEndpoint({
  ...ADDRESSES.revokeLink,
  roles: AT_THE_COUNTER,
  params: z.object({ ticket: uuid, link: uuid }),
  answer: z.object({}),
});

/** What a customer sees of one ticket; for whoever has the link, as long as it holds. */
export const readShared = defineEndpoint({
  ...ADDRESSES.readShared,
  roles: 'anyone',
  params: z.object({ token: z.string().regex(/^[A-Za-z0-9_-]{43}$/) }),
  answer: customerView,
});
