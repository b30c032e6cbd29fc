import { instant, LEADS, uuid } from '@nodo/kernel';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

/** What a calendar can show. */
export const CALENDARS = ['promised'] as const;

const feed = z.object({
  id: uuid,
  what: z.enum(CALENDARS),
  madeBy: uuid,
  madeAt: instant,
});
export type CalendarFeed = z.infer<typeof feed>;

export const listFeeds = defineEndpoint({
  ...ADDRESSES.listFeeds,
  roles: LEADS,
  answer: z.array(feed),
});

/** The token is answered once, as a part of the address, and kept as its hash only. */
export const makeFeed = defineEndpoint({
  ...ADDRESSES.makeFeed,
  roles: LEADS,
  body: z.object({ what: z.enum(CALENDARS) }),
  answer: z.object({ feed, token: z.string() }),
});

export const revokeFeed = defineEndpoint({
  ...ADDRESSES.revokeFeed,
  roles: LEADS,
  params: z.object({ feed: uuid }),
  answer: z.object({}),
});

/** The days as a calendar reads them (iCalendar, RFC 5545); for whoever has the address. */
export const readFeed = defineEndpoint({
  ...ADDRESSES.readFeed,
  sends: 'text/calendar',
  roles: 'anyone',
  params: z.object({ token: z.string().regex(/^[A-Za-z0-9_-]{43}$/) }),
  answer: z.never(),
});
