import { lowerFirst } from '@nodo/kernel';
import type { FamilyModel } from '@nodo/knowledge';
import { FABRICS, INTERVIEWS } from '@nodo/knowledge';
import { needleLine } from '@nodo/shop';
import {
  type Assessment,
  changesOf,
  lateEntries,
  stateEpoch,
  type Ticket,
  type TicketEvent,
  threadLine,
} from '@nodo/ticket';
import { m, write } from '../../messages/index.ts';
import { instruments } from '../../messages/instruments.ts';
import { later } from '../../messages/later.ts';
import { shopDayOf } from '../../time/shopTime.ts';
import type { ShownTicket } from '../useShownTicket.ts';
import { symptomName } from '../words.ts';

/** One stitch of the seam. */
export interface SeamEntry {
  readonly id: string;
  /** Above: what was seen. Below: what was done. */
  readonly side: 'above' | 'below';
  readonly text: string;
  readonly at: string;
  readonly person: string;
  readonly mark: 'stitch' | 'knot' | 'crossed';
  readonly state: 'kept' | 'waiting' | 'corrected';
  /** The first stitch on a machine that was changed: which state it is in now, from 2 on. */
  readonly begins: number | undefined;
  /** The photo that is kept with it. */
  readonly photo: string | undefined;
  /** Seen before the knot was tied, arrived after it. */
  readonly late: boolean;
  /** Who stood at the screen that sent it, where that was somebody else. */
  readonly sentBy: string | undefined;
  /** The first stitch of its day. */
  readonly newDay: boolean;
}

/** The ticket's history as stitches, oldest first. */
export function seamEntries(
  { ticket, events, waiting }: Pick<ShownTicket, 'ticket' | 'events' | 'waiting'>,
  model: FamilyModel,
  { contested }: Assessment,
  money: (minor: number) => string,
  nameOf: (person: string) => string | undefined,
): readonly SeamEntry[] {
  const crossed = new Set(contested.flatMap(({ answers }) => answers.map(({ seq }) => seq)));
  const begins = statesBegun(ticket);
  const late = new Set(lateEntries(ticket).map(({ id }) => id));
  return events.map((event, index) => ({
    id: event.id,
    ...describe(event, model, ticket, money, nameOf),
    at: event.observedAt,
    person: event.actor.person,
    mark: event.type === 'ticket-closed' ? 'knot' : crossed.has(event.seq) ? 'crossed' : 'stitch',
    state: ticket.corrected.has(event.id)
      ? 'corrected'
      : waiting.has(event.id)
        ? 'waiting'
        : 'kept',
    begins: begins.get(event.seq),
    late: late.has(event.id),
    sentBy: event.sentBy,
    photo: event.type === 'photo-kept' ? event.body.photo : undefined,
    newDay: isNewDay(events[index - 1], event),
  }));
}

function isNewDay(before: TicketEvent | undefined, event: TicketEvent): boolean {
  const day = ({ observedAt }: TicketEvent) => shopDayOf(observedAt);
  return before === undefined || day(before) !== day(event);
}

/** Where each further state of the machine begins: after what changed it. */
function statesBegun(ticket: Ticket): ReadonlyMap<number, number> {
  return new Map(
    changesOf(ticket).map(({ startsEpoch, seq }) => [seq + 1, stateEpoch(ticket, startsEpoch) + 1]),
  );
}

function describe(
  event: TicketEvent,
  model: FamilyModel,
  ticket: Ticket,
  money: (minor: number) => string,
  nameOf: (person: string) => string | undefined,
): Pick<SeamEntry, 'side' | 'text'> {
  const above = (text: string) => ({ side: 'above', text }) as const;
  const below = (text: string) => ({ side: 'below', text }) as const;
  switch (event.type) {
    case 'intake-taken':
      return above(m.seam.takenIn);
    case 'call-taken':
      return above(m.seam.call);
    case 'customer-did':
      return below(
        m.seam.customerDid(lowerFirst(model.causes.get(event.body.cause)?.remedy ?? '')),
      );
    case 'call-ended':
      return below(m.seam.callEnded[event.body.outcome]);
    case 'machine-arrived':
      return above(m.seam.arrived);
    case 'findings-recorded':
      return above(sewnWords(model, event.body));
    case 'could-not-tell':
      return above(m.seam.couldNotTell(titleOf(model, event.body.check)));
    case 'observation-noted':
      return above(atCheck(model, event.body.check, `“${event.body.words}”`));
    case 'photo-kept':
      return above(
        atCheck(
          model,
          event.body.check,
          event.body.words ? m.seam.photo(event.body.words) : m.seam.photoOnly,
        ),
      );
    case 'own-cause-found':
      return above(m.seam.ownCause(event.body.name));
    case 'action-done': {
      const title = model.actions.get(event.body.action)?.title ?? event.body.action;
      return below(event.body.note ? `${title}: ${event.body.note}` : title);
    }
    case 'machine-opened': {
      const titles = event.body.states.map(
        (state) => model.access.find(({ id }) => id === state)?.title ?? state,
      );
      return below(m.seam.opened(titles.map(lowerFirst).join(', ')));
    }
    case 'machine-closed':
      return below(m.seam.closedUp);
    case 'plan-chosen':
      return below(m.seam.plan(m.seam.plans[event.body.plan]));
    case 'how-often-told':
      return above(
        m.seam.howOften(
          symptomName(model, event.body.symptom),
          later.bench.often[event.body.often],
        ),
      );
    case 'symptom-settled':
      return below(
        m.seam.settled(
          symptomName(model, event.body.symptom),
          later.bench.step.settled[event.body.how],
          event.body.reason,
        ),
      );
    case 'duty-waived':
      return below(
        m.seam.waived(
          lowerFirst(model.duties.get(event.body.duty)?.text ?? event.body.duty),
          event.body.reason,
        ),
      );
    case 'entry-corrected': {
      const earlier = ticket.entries.find(({ id }) => id === event.body.corrects);
      if (!earlier) return above(m.seam.correction('', undefined));
      const described = describe(earlier as TicketEvent, model, ticket, money, nameOf);
      const isOwn = earlier.actor.person === event.actor.person;
      const text = m.seam.correction(
        lowerFirst(described.text),
        isOwn ? undefined : nameOf(earlier.actor.person),
      );
      return { side: described.side, text };
    }
    case 'ticket-closed':
      return below(m.seam.knot);
    case 'ticket-reopened':
      return below(m.seam.reopened(event.body.reason));
    case 'machine-collected':
      return below(m.seam.collected);
    case 'knowledge-adopted':
      return below(m.seam.knowledgeAdopted);
    case 'handed-over':
      return below(m.seam.handedOver(event.body.note));
    case 'job-pinned': {
      const { to } = event.body;
      return below(to === null ? m.seam.unpinned : m.seam.pinned(nameOf(to)));
    }
    case 'set-up-noted':
    case 'measured':
    case 'limit-agreed':
    case 'inspection-agreed':
    case 'price-answered':
    case 'day-promised':
    case 'signed':
    case 'came-back':
    case 'machine-known':
      return above(m.life.entry(event, money));
    case 'needle-fitted': {
      const { needle, at, from } = event.body;
      return from === 'found'
        ? above(instruments.needle.seam.found(needleLine(needle), at))
        : below(instruments.needle.seam.fitted(needleLine(needle), at));
    }
    case 'work-told': {
      const fabric = FABRICS.find(({ id }) => id === event.body.fabric)?.title ?? '';
      return above(instruments.needle.seam.work(lowerFirst(fabric), threadLine(event.body)));
    }
    case 'screw-turned':
      return below(instruments.bobbin.screw.seam(event.body.turn, event.body.which));
    case 'tension-tried':
      return above(instruments.tension.seamEntry(event.body));
    case 'sample-read':
      return above(instruments.sample.line(event.body));
    case 'mark-found':
      return above(instruments.marks.seam.found(event.body));
    case 'mark-ended':
      return below(instruments.marks.seam.ended(event.body.end));
    case 'pieces-laid':
      return above(instruments.needle.seam.pieces(event.body.pieces.length, event.body.missing));
    case 'price-asked':
    case 'part-awaited':
    case 'part-came':
    case 'part-fitted':
    case 'clock-started':
    case 'clock-stopped':
    case 'labour-booked':
    case 'bill-made':
    case 'closing-noted':
    case 'customer-told':
    case 'payment-taken':
    case 'payment-returned':
    case 'contact-tried':
    case 'placed':
      return below(m.life.entry(event, money));
  }
}

/** What was noted, with the check that it is about. */
function atCheck(model: FamilyModel, check: string | undefined, text: string): string {
  return check === undefined ? text : `${titleOf(model, check)}: ${text}`;
}

/** A look, or a sewing with how long it took. */
function sewnWords(
  model: FamilyModel,
  body: Extract<TicketEvent, { readonly type: 'findings-recorded' }>['body'],
): string {
  const text = lookWords(model, body.check, body.answers);
  return body.sewnMinutes === undefined
    ? text
    : m.seam.sewn(text, write.duration(body.sewnMinutes));
}

function lookWords(
  model: FamilyModel,
  checkId: string,
  answers: Readonly<Record<string, 'yes' | 'no'>>,
): string {
  // In the order of the check, whatever order they were stored in.
  const asked = model.checks.get(checkId)?.findings.map(({ id }) => id) ?? Object.keys(answers);
  const seen = asked
    .filter((id) => answers[id] === 'yes')
    .map((id) => model.findings.get(id)?.answer ?? id);
  const title = titleOf(model, checkId);
  if (INTERVIEWS.has(checkId)) return seen.join(', ') || m.seam.denied(deniedWords(model, answers));
  return `${title}: ${seen.length > 0 ? seen.map(lowerFirst).join(', ') : lowerFirst(model.checks.get(checkId)?.normal ?? '')}`;
}

/** What was asked and denied, as one line. */
function deniedWords(model: FamilyModel, answers: Readonly<Record<string, 'yes' | 'no'>>): string {
  return Object.keys(answers)
    .map((id) => lowerFirst(model.findings.get(id)?.answer ?? id))
    .join(', ');
}

function titleOf(model: FamilyModel, check: string): string {
  return model.checks.get(check)?.title ?? check;
}
