import { cursor, humanText, instant, LEADS, role, uuid } from '@nodo/kernel';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';
import { person } from './session.ts';

/** A person as the lead sees it. */
const account = person.extend({
  login: z.string(),
  locked: z.boolean(),
  hasPassword: z.boolean(),
  hasPin: z.boolean(),
  /** Until when a code waits to be turned into a password. */
  codeUntil: instant.nullable(),
  seenAt: instant.nullable(),
});
export type Account = z.infer<typeof account>;

/** A code that the lead hands over by hand; shown once, kept as its hash only. */
const handedCode = z.object({ account, code: z.string(), until: instant });
export type HandedCode = z.infer<typeof handedCode>;

/** A name that people sign in with; the same for all shops of a database. */
const newLogin = z.string().regex(/^[a-z0-9][a-z0-9.-]{1,38}[a-z0-9]$/);

export const listAccounts = defineEndpoint({
  ...ADDRESSES.listAccounts,
  roles: LEADS,
  answer: z.array(account),
});

export const invitePerson = defineEndpoint({
  ...ADDRESSES.invitePerson,
  notByToken: true,
  roles: LEADS,
  body: z.object({ login: newLogin, name: humanText(80), initials: humanText(3), role }),
  answer: handedCode,
});

/** Locking ends every sign-in of the person. The last lead stays. */
export const changeAccount = defineEndpoint({
  ...ADDRESSES.changeAccount,
  notByToken: true,
  roles: LEADS,
  params: z.object({ person: uuid }),
  body: z.object({ role: role.optional(), locked: z.boolean().optional() }),
  answer: account,
});

/** Takes password and PIN away, ends every sign-in, and gives a code for a new password. */
export const resetAccount = defineEndpoint({
  ...ADDRESSES.resetAccount,
  notByToken: true,
  roles: LEADS,
  params: z.object({ person: uuid }),
  body: z.object({}),
  answer: handedCode,
});

const screen = z.object({
  id: uuid,
  device: z.string(),
  /** What kind of browser it says that it is. */
  agent: z.string(),
  openedAt: instant,
  seenAt: instant,
  locked: z.boolean(),
  people: z.array(uuid),
});
export type Screen = z.infer<typeof screen>;

export const listScreens = defineEndpoint({
  ...ADDRESSES.listScreens,
  roles: LEADS,
  answer: z.array(screen),
});

export const endScreen = defineEndpoint({
  ...ADDRESSES.endScreen,
  notByToken: true,
  roles: LEADS,
  params: z.object({ screen: uuid }),
  answer: z.object({}),
});

/** Where the shop's other devices find this Nodo. */
const reach = z.object({
  /** Over TLS, for a device that has the shop's certificate. */
  address: z.url(),
  /** In plain http: the certificate and nothing else. */
  door: z.url(),
});
export type Reach = z.infer<typeof reach>;

/** Null where it serves its own computer only. */
export const readReach = defineEndpoint({
  ...ADDRESSES.readReach,
  roles: LEADS,
  answer: reach.nullable(),
});

/** What is written down besides the entries on tickets. */
export const AUDITED = [
  'signed-in',
  'sign-in-refused',
  'unknown-sign-in',
  'changed-person',
  'pin-refused',
  'screen-locked',
  'signed-out',
  'pin-set',
  'password-set',
  'ticket-read',
  'tickets-kept',
  'photo-read',
  'person-invited',
  'role-changed',
  'person-locked',
  'person-unlocked',
  'person-reset',
  'screen-ended',
  'customer-read',
  'machine-read',
  'needles-read',
  'paper-read',
  'bill-issued',
  'till-counted',
  'sale-made',
  'links-read',
  'customer-changed',
  'customer-merged',
  'customer-erased',
  'machine-changed',
  'shop-changed',
  'backup-made',
  'backup-passphrase-set',
  'backup-taken',
  'data-exported',
  'data-imported',
  'calendar-made',
  'calendar-revoked',
  'token-made',
  'token-revoked',
  'person-named',
  'searched',
  'link-made',
  'link-revoked',
  'link-read',
] as const;
export type Audited = (typeof AUDITED)[number];

const auditLine = z.object({
  id: uuid,
  at: instant,
  /** Null for a customer who followed a link. */
  person: uuid.nullable(),
  /** One of {@link AUDITED}, or the kind of an entry on a ticket. */
  what: z.string(),
  ticket: uuid.nullable(),
  /** The machine's label on that ticket. */
  label: z.string().nullable(),
  /** Whom it was done to. */
  toPerson: uuid.nullable(),
});
export type AuditLine = z.infer<typeof auditLine>;

const auditPage = z.object({
  lines: z.array(auditLine),
  /** Where the next page begins; null after the last. */
  next: z.string().nullable(),
});
export type AuditPage = z.infer<typeof auditPage>;

/** Who saw and did what, the latest first. @param before the cursor of the page before. */
export const readAudit = defineEndpoint({
  ...ADDRESSES.readAudit,
  roles: LEADS,
  params: z.object({
    before: cursor.optional(),
    person: uuid.optional(),
  }),
  answer: auditPage,
});
