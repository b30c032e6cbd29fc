import type { CauseBelief, DutyStatus } from '@nodo/core';
import type { Actor, Refusal } from '@nodo/kernel';
import { SHIPPED } from '@nodo/knowledge';
import { actor, testId } from '../../kernel/test/ids.ts';
import {
  applyTicketEvent,
  assess,
  type CommandPayload,
  decide,
  type EventType,
  gatesUnmet,
  modelOfTicket,
  newTicket,
  POWER_OFF,
  type Ticket,
  type TicketCommand,
  type TicketEvent,
} from '../src/index.ts';

/** A ticket told entry by entry through the real decide and apply. */
export class Story {
  readonly events: TicketEvent[] = [];
  ticket: Ticket = newTicket(testId());
  readonly odren = actor();

  constructor(
    family = 'drop-in',
    complaint: readonly string[] = ['skip'],
    begins: 'intake' | 'call' = 'intake',
  ) {
    const told = { family, label: 'Teal zigzag', words: 'It skips.', customer: null };
    if (begins === 'call') this.must('call-taken', told);
    else this.must('intake-taken', { ...told, tag: 27, shelf: 'A' });
    if (complaint.length > 0) this.sees('complaint', complaint, 'only these');
  }

  try<Type extends EventType>(
    type: Type,
    command: CommandPayload<Type>,
    by: Actor = this.odren,
    epoch = this.ticket.epoch,
    observedAt = '2026-03-02T10:00:00.000Z',
  ): Refusal | undefined {
    const entered = {
      id: testId(),
      type,
      command,
      epoch,
      observedAt,
      device: 'bench 1',
    } as unknown as TicketCommand;
    const verdict = decide(this.ticket, entered, by, SHIPPED);
    if (!verdict.ok) return verdict.refusal;
    const event = { ...verdict.event, receivedAt: '2026-03-02T10:00:01.000Z' } as TicketEvent;
    this.ticket = applyTicketEvent(this.ticket, event);
    this.events.push(event);
    return undefined;
  }

  must<Type extends EventType>(
    type: Type,
    command: CommandPayload<Type>,
    by?: Actor,
    epoch?: number,
  ): this {
    const refusal = this.try(type, command, by, epoch);
    if (refusal) throw new Error(`${type} was refused: ${JSON.stringify(refusal)}`);
    return this;
  }

  /** Answers a check: the named findings yes, the others of it no (or left unasked). */
  sees(
    check: string,
    yes: readonly string[] = [],
    others: 'the rest not' | 'only these' = 'the rest not',
    by?: Actor,
    epoch?: number,
  ): this {
    const all = others === 'only these' ? yes : findingsOf(this, check);
    return this.must(
      'findings-recorded',
      {
        check,
        answers: Object.fromEntries(all.map((id) => [id, yes.includes(id) ? 'yes' : 'no'])),
      },
      by,
      epoch,
    );
  }

  /** Sewn on the customer's own work, long enough, and nothing shows. */
  proves(minutes = 15, by?: Actor): this {
    const answers = Object.fromEntries(
      findingsOf(this, 'found-sew').map((id) => [id, 'no'] as const),
    );
    const sewn = { check: 'found-sew', answers, sewnMinutes: minutes, onTheWork: true };
    return this.must('findings-recorded', sewn, by);
  }

  /** Puts aside what is owed of the complaint, and closes the ticket. */
  closes(by?: Actor): this {
    for (const { symptom, settled } of assess(this.ticket, modelFor(this)).debts) {
      if (settled !== undefined) continue;
      const reason = 'This story is about something else.';
      this.must('symptom-settled', { symptom, how: 'put-aside', reason }, by);
    }
    return this.must('ticket-closed', {}, by);
  }

  /** Does it, off and unplugged where that is asked for. */
  does(action: string, by?: Actor): this {
    const gates = gatesUnmet(this.ticket, modelFor(this), `action:${action}`);
    if (gates.includes(`action:${POWER_OFF}`)) this.must('action-done', { action: POWER_OFF }, by);
    return this.must('action-done', { action }, by);
  }

  opens(state: string): this {
    if (this.ticket.power === 'on') this.does('power-off-confirmed');
    return this.must('machine-opened', { state });
  }

  shuts(): this {
    return this.must('machine-closed', {}).does('power-on');
  }

  get lastId(): string {
    return this.events.at(-1)?.id ?? '';
  }
}

function findingsOf(story: Story, check: string): readonly string[] {
  const model = modelOfTicket(story.ticket, SHIPPED);
  return (model?.checks.get(check)?.findings ?? []).map(({ id }) => id);
}

export function modelFor(story: Story) {
  const model = modelOfTicket(story.ticket, SHIPPED);
  if (!model) throw new Error('no model');
  return model;
}

/** A duty as the assessment would have it. */
export function dutyIn(
  state: DutyStatus['state'],
  duty: string,
  missing: DutyStatus['missing'] = { all: [], any: [] },
): DutyStatus {
  return { duty, raisedBy: '', raisedAt: 1, state, missing };
}

export function believed(cause: string, is: number): CauseBelief {
  return { cause, was: is, is, blame: is };
}
