import { humanText, instant, role, sha256, tableId, uuid } from '@nodo/kernel';
import { type OwnCause, STRENGTHS, type StrengthWord, type TableChange } from '@nodo/knowledge';
import { z } from 'zod';

const REASON = humanText(400);
const WORDS = humanText(600);
const strength = z.enum([...(Object.keys(STRENGTHS) as [StrengthWord]), 'never']);

export const ownCause: z.ZodType<OwnCause> = z.object({
  id: tableId,
  name: humanText(80),
  remedy: humanText(80),
  explains: z.array(tableId).max(30),
});

/** The ranges are the tables' own and stand with them; here only the form. */
export const tableChange: z.ZodType<TableChange> = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('how-often'), cause: tableId, perMille: z.number() }),
  z.object({ kind: z.literal('fix-minutes'), cause: tableId, minutes: z.number() }),
  z.object({ kind: z.literal('remedy'), cause: tableId, text: WORDS }),
  z.object({ kind: z.literal('shows'), cause: tableId, finding: tableId, strength }),
  z.object({ kind: z.literal('by-itself'), finding: tableId, chance: z.number() }),
  z.object({ kind: z.literal('check-minutes'), check: tableId, minutes: z.number() }),
  z.object({ kind: z.literal('how'), check: tableId, text: WORDS }),
  z.object({ kind: z.literal('risk-limit'), limit: z.number() }),
  z.object({
    kind: z.literal('new-cause'),
    own: ownCause,
    perMille: z.number(),
  }),
]);

const proposed = z.object({ change: tableChange, reason: REASON });
const accepted = z.object({
  proposal: uuid,
  /** The version under which its effect was looked at. */
  against: sha256,
});
const withdrawn = z.object({ proposal: uuid, reason: REASON });
/** What the shop judges with from here on. */
const after = { to: sha256 };

const stored = z.object({
  id: uuid,
  /** Place among all events of the shop's tables, from 1, without gaps. */
  seq: z.number().int().positive(),
  version: z.literal(1),
  actor: z.object({ person: uuid, role }),
  device: z.string().min(1).max(64),
  observedAt: instant,
  receivedAt: instant,
});

/** What happened to the tables of one shop; a stream of its own, append-only like a ticket's. */
export const tableEvent = z.discriminatedUnion('type', [
  stored.extend({ type: z.literal('change-proposed'), body: proposed }),
  stored.extend({ type: z.literal('change-accepted'), body: accepted.extend(after) }),
  stored.extend({ type: z.literal('change-withdrawn'), body: withdrawn.extend(after) }),
]);
export type TableEvent = z.infer<typeof tableEvent>;

const commandEnvelope = z.object({
  id: uuid,
  observedAt: instant,
  device: humanText(64),
});

/** What a lead sends: its own id, so that sending twice is safe. */
export const tableCommand = z.discriminatedUnion('type', [
  commandEnvelope.extend({ type: z.literal('change-proposed'), command: proposed }),
  commandEnvelope.extend({ type: z.literal('change-accepted'), command: accepted }),
  commandEnvelope.extend({ type: z.literal('change-withdrawn'), command: withdrawn }),
]);
export type TableCommand = z.infer<typeof tableCommand>;
