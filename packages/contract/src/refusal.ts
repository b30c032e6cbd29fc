import { z } from 'zod';

/** Why something was not accepted. Words for people are in the interface's catalogue. */
export const REFUSAL_CODES = [
  'bad-input',
  'not-signed-in',
  'wrong-sign-in',
  'too-many-attempts',
  'screen-locked',
  'wrong-pin',
  'no-pin-here',
  'code-not-valid',
  'demo-password',
  'login-taken',
  'last-lead',
  'no-such-person',
  'no-such-screen',
  'no-such-link',
  'not-at-this-screen',
  'foreign-origin',
  'role-may-not',
  'no-such-route',
  'no-such-ticket',
  'no-such-photo',
  'not-a-photo',
  'not-taken-in',
  'already-taken-in',
  'tag-taken',
  'in-the-shop',
  'not-in-the-shop',
  'unknown-family',
  'not-on-this-machine',
  'findings-exclude-each-other',
  'finding-of-another-check',
  'nothing-answered',
  'epoch-not-reached',
  'gate-unmet',
  'reason-missing',
  'duty-not-owed',
  'duties-owed',
  'ticket-closed',
  'ticket-open',
  'already-collected',
  'nothing-asked',
  'not-declined',
  'not-awaited',
  'no-such-thread',
  'no-such-piece',
  'no-such-turn',
  'pieces-missing',
  'no-such-needle',
  'over-the-limit',
  'no-such-customer',
  'no-such-machine',
  'card-moved',
  'erased',
  'nothing-to-correct',
  'already-corrected',
  'already-so',
  'not-in-the-tables',
  'tables-unsound',
  'tables-moved',
  'no-such-proposal',
  'proposal-decided',
  'id-used-otherwise',
  'server-fault',
] as const;
export type RefusalCode = (typeof REFUSAL_CODES)[number];

export const refusal = z.object({
  code: z.enum(REFUSAL_CODES),
  /** The field it is about, `command.answers`; empty when it is about no single one. */
  path: z.string(),
  data: z.record(z.string(), z.unknown()),
});
export type Refusal = z.infer<typeof refusal>;

export function refuse(
  code: RefusalCode,
  path = '',
  data: Readonly<Record<string, unknown>> = {},
): Refusal {
  return { code, path, data: { ...data } };
}
