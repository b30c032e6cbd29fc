import { instant, role, sha256, uuid } from '@nodo/kernel';
import { z } from 'zod';

/** What every stored event carries, whatever happened. */
export const envelope = z.object({
  id: uuid,
  ticket: uuid,
  /** Place in the ticket, from 1, without gaps. */
  seq: z.number().int().positive(),
  version: z.number().int().positive(),
  actor: z.object({ person: uuid, role }),
  /** Who stood at the screen when it was sent, where that was not who made it. */
  sentBy: uuid.optional(),
  /** The screen it was entered on. */
  device: z.string().min(1).max(64),
  observedAt: instant,
  receivedAt: instant,
  /** The epoch in which it was seen or done. */
  epoch: z.number().int().nonnegative(),
  /** Hash of the knowledge it was judged with. */
  knowledge: sha256,
});
export type Envelope = z.infer<typeof envelope>;

/** An event whose kind has not been looked at yet. */
export interface RecordedEvent extends Envelope {
  readonly type: string;
  readonly body: object;
}
