import {
  EVERY_ROLE,
  humanText,
  LEADS,
  LONGEST_PASSWORD,
  role,
  SHORTEST_PASSWORD,
  uuid,
} from '@nodo/kernel';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

export const person = z.object({
  id: uuid,
  name: z.string(),
  initials: z.string(),
  role,
  /** Which of the thread colours is this person's, from 0. */
  thread: z.number().int().nonnegative(),
});
export type Person = z.infer<typeof person>;

const session = z.object({
  person,
  shop: z.object({ id: uuid, name: z.string() }),
  /** The person may take over a screen by PIN. */
  hasPin: z.boolean(),
  /**
   * Proves entries as this person's (`proofOf`), also while somebody else stands at the screen.
   * Not while it is locked; a screen keeps it in memory only.
   */
  key: z.string().optional(),
  screen: z.object({
    id: uuid,
    /** Nothing of the shop is shown on it until somebody of `people` says who is there. */
    locked: z.boolean(),
    /** Who has signed in on it in full. */
    people: z.array(person.extend({ hasPin: z.boolean() })),
  }),
});
export type Session = z.infer<typeof session>;

const login = humanText(60);
/** How a screen calls itself, in the shop's own words once somebody gave it a name. */
const device = humanText(64);
const freshPassword = z.string().min(SHORTEST_PASSWORD).max(LONGEST_PASSWORD);
/** Four to eight digits; good only on a screen on which the person signed in by password. */
const pin = z.string().regex(/^[0-9]{4,8}$/);

/** Signs in on a screen. Who signed in on it before stays known to it, for the change by PIN. */
export const signIn = defineEndpoint({
  ...ADDRESSES.signIn,
  roles: 'anyone',
  body: z.object({
    login,
    password: z.string().min(1).max(200),
    device: device.optional(),
  }),
  answer: session,
});

/** Null when nobody is signed in: that is an answer, not a fault. */
export const whoAmI = defineEndpoint({
  ...ADDRESSES.whoAmI,
  roles: 'anyone',
  answer: session.nullable(),
});

/** Ends the sign-in of everybody on this screen. */
export const signOut = defineEndpoint({
  ...ADDRESSES.signOut,
  notByToken: true,
  roles: EVERY_ROLE,
  answer: z.object({}),
  evenLocked: true,
});

/** Who stands at this screen now, by PIN; also opens a locked screen. */
export const changePerson = defineEndpoint({
  ...ADDRESSES.changePerson,
  notByToken: true,
  roles: EVERY_ROLE,
  body: z.object({ person: uuid, pin }),
  answer: session,
  evenLocked: true,
});

/** What the shop calls this screen. */
export const nameScreen = defineEndpoint({
  ...ADDRESSES.nameScreen,
  notByToken: true,
  roles: EVERY_ROLE,
  body: z.object({ device }),
  answer: z.object({}),
});

export const lockScreen = defineEndpoint({
  ...ADDRESSES.lockScreen,
  notByToken: true,
  roles: EVERY_ROLE,
  body: z.object({}),
  answer: session,
  evenLocked: true,
});

export const setPin = defineEndpoint({
  ...ADDRESSES.setPin,
  notByToken: true,
  roles: EVERY_ROLE,
  body: z.object({ password: z.string().min(1).max(200), pin }),
  answer: session,
});

/** What one is called oneself, and the letters on one's mark. */
export const nameMyself = defineEndpoint({
  ...ADDRESSES.nameMyself,
  notByToken: true,
  roles: EVERY_ROLE,
  body: z.object({ name: humanText(80), initials: humanText(3) }),
  answer: session,
});

/** What the shop is called, on its screens and papers. */
export const nameShop = defineEndpoint({
  ...ADDRESSES.nameShop,
  notByToken: true,
  roles: LEADS,
  body: z.object({ name: humanText(80) }),
  answer: session,
});

/** Ends the person's sign-in on every other screen. */
export const changePassword = defineEndpoint({
  ...ADDRESSES.changePassword,
  notByToken: true,
  roles: EVERY_ROLE,
  body: z.object({ password: z.string().min(1).max(200), fresh: freshPassword }),
  answer: z.object({}),
});

/** A password of one's own, for the code that the lead handed over; then one signs in. */
export const redeemCode = defineEndpoint({
  ...ADDRESSES.redeemCode,
  roles: 'anyone',
  body: z.object({ login, code: humanText(40), password: freshPassword }),
  answer: z.object({}),
});

export const listPeople = defineEndpoint({
  ...ADDRESSES.listPeople,
  roles: EVERY_ROLE,
  /** Who is locked stays in the list: their name stands on what they did. */
  answer: z.array(person.extend({ locked: z.boolean() })),
});

/** What the person at this screen looks at, for the other screens; sent again while it lasts. */
export const lookAt = defineEndpoint({
  ...ADDRESSES.lookAt,
  roles: EVERY_ROLE,
  body: z.object({ ticket: uuid.nullable(), check: humanText(60).nullable() }),
  answer: z.object({}),
});
