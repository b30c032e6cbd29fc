import type { Actor, Refusal } from '@nodo/kernel';
import type { FamilyModel } from '@nodo/knowledge';
import { z } from 'zod';
import type { Life } from '../state/life.ts';
import type { Ticket } from '../state/ticket.ts';

/** What `decide` may look at besides the ticket: no clock, no chance. */
export interface DecideContext {
  readonly actor: Actor;
  /** The epoch in which the person saw or did it. */
  readonly epoch: number;
  /** When the person saw or did it, by the clock of the screen. */
  readonly observedAt: string;
  /** Id of the event that this would become. */
  readonly id: string;
  /** The family's model; undefined before the machine is taken in. */
  readonly model: FamilyModel | undefined;
  readonly modelOf: (family: string) => FamilyModel | undefined;
  /** Hash of the tables that are judged with. */
  readonly knowledge: string;
}

export type Decision<Body> =
  | { readonly ok: true; readonly body: Body }
  | { readonly ok: false; readonly refusal: Refusal };

/** Where an event stands when it is applied. */
export interface EventPosition {
  readonly id: string;
  readonly seq: number;
  readonly epoch: number;
  readonly actor: Actor;
  readonly observedAt: string;
  readonly knowledge: string;
}

export type Upgrade = (body: object) => object;

/**
 * One kind of ticket event: what a person sends, what is stored, whether it is accepted,
 * and what it does to the ticket. The body repeats the command and adds what was decided.
 */
export interface EventKind<Command extends object, Body extends Command> {
  /** Version of the body that is written now; stored with each event. */
  readonly version: number;
  /**
   * From older versions of the body to this one: the first makes a body of version 1 one of version
   * 2, and so on. Stored events are never changed; they are upgraded whenever they are read.
   */
  readonly upgrades?: readonly Upgrade[];
  readonly command: z.ZodType<Command>;
  readonly body: z.ZodType<Body>;
  decide(ticket: Ticket, command: Command, context: DecideContext): Decision<Body>;
  apply(ticket: Ticket, body: Body, place: EventPosition): Ticket;
  /** What stays of it once it was corrected; nothing, when left out. */
  applyCorrected?(ticket: Ticket, body: Body): Ticket;
}

export function defineEvent<Command extends object, Body extends Command>(
  kind: EventKind<Command, Body>,
): EventKind<Command, Body> {
  return kind;
}

/** How an event applies that changes nothing but the job sheet. */
export function onLife<Body>(
  change: (life: Life, body: Body, place: EventPosition) => Partial<Life>,
): (ticket: Ticket, body: Body, place: EventPosition) => Ticket {
  return (ticket, body, place) => ({
    ...ticket,
    life: { ...ticket.life, ...change(ticket.life, body, place) },
  });
}

export function accept<Body>(body: Body): Decision<Body> {
  return { ok: true, body };
}

export function reject(refusal: Refusal): { readonly ok: false; readonly refusal: Refusal } {
  return { ok: false, refusal };
}

/** For commands that say everything by their kind alone. */
export const nothing: z.ZodType<object> = z.object({});
