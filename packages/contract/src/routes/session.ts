import { z } from 'zod';
import { role } from '../roles.ts';
import { humanText, uuid } from '../text.ts';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint, EVERY_ROLE } from './endpoint.ts';

const person = z.object({
  id: uuid,
  name: z.string(),
  initials: z.string(),
  role,
  /** Which of the thread colours is this person's, from 0. */
  thread: z.number().int().nonnegative(),
});
export type Person = z.infer<typeof person>;

const session = z.object({ person, shop: z.object({ id: uuid, name: z.string() }) });
export type Session = z.infer<typeof session>;

export const signIn = defineEndpoint({
  ...ADDRESSES.signIn,
  roles: 'anyone',
  params: z.object({}),
  body: z.object({ login: humanText(60), password: z.string().min(1).max(200) }),
  answer: session,
});

/** Null when nobody is signed in: that is an answer, not a fault. */
export const whoAmI = defineEndpoint({
  ...ADDRESSES.whoAmI,
  roles: 'anyone',
  params: z.object({}),
  body: z.undefined(),
  answer: session.nullable(),
});

export const signOut = defineEndpoint({
  ...ADDRESSES.signOut,
  roles: EVERY_ROLE,
  params: z.object({}),
  body: z.undefined(),
  answer: z.object({}),
});

export const listPeople = defineEndpoint({
  ...ADDRESSES.listPeople,
  roles: EVERY_ROLE,
  params: z.object({}),
  body: z.undefined(),
  answer: z.array(person),
});
