import { type KnowledgeSource, knowledgeVersionOf, SHIPPED } from '@nodo/knowledge';
import { describe, expect, it } from 'vitest';
import { actor, testId } from '../../kernel/test/ids.ts';
import firstEdition from '../../knowledge/editions/first.json' with { type: 'json' };
import {
  applyTicketEvent,
  assess,
  type CommandPayload,
  contestEffects,
  decide,
  type EventType,
  foldTicket,
  newTicket,
  type Ticket,
  type TicketCommand,
  type TicketEvent,
  ticketEvent,
} from '../src/index.ts';
import { modelFor, Story } from './story.ts';

const belief = (story: Story, cause: string) => {
  const found = assess(story.ticket, modelFor(story)).beliefs.find((one) => one.cause === cause);
  if (!found) throw new Error(cause);
  return found;
};
const duties = (story: Story) =>
  Object.fromEntries(
    assess(story.ticket, modelFor(story)).duties.map(({ duty, state }) => [duty, state]),
  );

describe('a ticket told from its events', () => {
  const long = () =>
    new Story('front-loading', ['needle-break', 'rattle'])
      .opens('foot-off')
      .sees('needle-straight', ['needle-crooked'])
      .does('needle-replaced')
      .must('could-not-tell', { check: 'needle-age' })
      .must('plan-chosen', { plan: 'full-sweep' })
      .shuts();

  it('is the same however often it is told', () => {
    const story = long();
    expect(foldTicket(story.ticket.id, story.events)).toEqual(story.ticket);
  });

  it('is the same when the events went through JSON, as they do', () => {
    const story = long();
    const sent = story.events.map((event) => ticketEvent.parse(JSON.parse(JSON.stringify(event))));
    expect(foldTicket(story.ticket.id, sent)).toEqual(story.ticket);
  });

  it('refuses an event out of its order', () => {
    const story = long();
    const last = story.events.at(-1);
    expect(() => last && applyTicketEvent(story.ticket, last)).toThrow('event-out-of-order');
  });
});

describe('epochs', () => {
  it('a needle found backward, turned and proven was there and is gone', () => {
    const story = new Story('drop-in', ['skip'])
      .sees('context', ['after-needle'], 'only these')
      .sees('needle-facing', ['needle-wrong-way'])
      .does('needle-set')
      .sees('needle-seat')
      .sees('needle-facing')
      .sees('standard-straight')
      .sees('standard-zigzag');
    const { was, is } = belief(story, 'needle-backward');
    expect(was).toBeGreaterThan(0.99);
    expect(is).toBeLessThan(0.05);
  });

  it('end with an action that treats something, and with no other', () => {
    const story = new Story().does('power-off-confirmed').does('marks-noted');
    expect(story.ticket.epoch).toBe(0);
    expect(story.does('rethreaded').ticket.epoch).toBe(1);
  });

  it('keep a finding where it was seen, even when it arrives later', () => {
    const story = new Story('drop-in', ['loops-under']).does('rethreaded');
    story.sees('path-look', ['outside-discs'], 'the rest not', undefined, 0);
    expect(belief(story, 'outside-tension-discs').was).toBeGreaterThan(0.95);
    expect(belief(story, 'outside-tension-discs').is).toBeLessThan(0.06);
  });
});

describe('corrections', () => {
  it('take a finding out of the reckoning and leave it in the record', () => {
    const story = new Story('drop-in', ['skip']);
    const before = belief(story, 'needle-backward').is;
    story
      .sees('needle-facing', ['needle-wrong-way'])
      .must('entry-corrected', { corrects: story.lastId });
    expect(belief(story, 'needle-backward').is).toBeCloseTo(before, 12);
    expect(story.ticket.entries).toHaveLength(4);
  });

  it('of an action undo its epoch: what was seen after it is of the old state', () => {
    const story = new Story('drop-in', ['skip']).does('needle-replaced');
    const action = story.lastId;
    story.sees('needle-facing', ['needle-wrong-way']).must('entry-corrected', { corrects: action });
    expect(belief(story, 'needle-backward').is).toBeGreaterThan(0.95);
    expect(duties(story)['sew-out']).toBeUndefined();
  });

  it('of an opening put the part back on', () => {
    const story = new Story().opens('foot-off');
    story.must('entry-corrected', { corrects: story.lastId });
    expect(story.ticket.open.size).toBe(0);
  });

  it('reach neither the intake nor what is corrected already nor the unknown', () => {
    const story = new Story();
    const intake = story.events[0]?.id ?? '';
    expect(story.try('entry-corrected', { corrects: intake })?.code).toBe('nothing-to-correct');
    expect(story.try('entry-corrected', { corrects: story.ticket.id })?.code).toBe(
      'nothing-to-correct',
    );
    story.sees('winder').must('entry-corrected', { corrects: story.lastId });
    const once = story.events.at(-2)?.id ?? '';
    expect(story.try('entry-corrected', { corrects: once })?.code).toBe('already-corrected');
  });
});

describe('two people', () => {
  const tavi = actor();
  const contested = () =>
    new Story('drop-in', ['loops-under'])
      .sees('pull-foot-down', ['no-grip'])
      .sees('pull-foot-down', [], 'the rest not', tavi);
  const contests = (story: Story) =>
    assess(story.ticket, modelFor(story)).contested.map(({ finding }) => finding);

  it('who see different things contest the finding, which then counts as unasked', () => {
    const story = contested();
    expect(contests(story)).toEqual(['no-grip']);
    const unasked = belief(new Story('drop-in', ['loops-under']), 'outside-tension-discs').is;
    expect(belief(story, 'outside-tension-discs').is).toBeCloseTo(unasked, 12);
  });

  it('are settled by a third person or by a lead', () => {
    const settled = contested().sees('pull-foot-down', ['no-grip'], 'the rest not', actor());
    expect(contests(settled)).toEqual([]);
    expect(belief(settled, 'outside-tension-discs').is).toBeGreaterThan(0.8);
    expect(contests(contested().sees('pull-foot-down', [], 'the rest not', actor('lead')))).toEqual(
      [],
    );
  });

  it('are told what each answer would mean', () => {
    const story = contested();
    const [effect] = contestEffects(modelFor(story), assess(story.ticket, modelFor(story)));
    const under = (seen: readonly string[]) =>
      belief(
        new Story('drop-in', ['loops-under']).sees('pull-foot-down', seen),
        'outside-tension-discs',
      ).blame;
    expect(effect?.ifYes.cause).toBe('outside-tension-discs');
    expect(effect?.ifYes.blame).toBeCloseTo(under(['no-grip']), 12);
    expect(effect?.ifNo.cause).not.toBe('outside-tension-discs');
    expect(effect?.effect).toBeCloseTo(under(['no-grip']) - under([]), 6);
  });

  it('are shown at most three differences, the weightiest first', () => {
    const story = new Story('drop-in', ['skip', 'loops-under']);
    for (const [check, finding] of [
      ['winder', 'winder-on'],
      ['pull-foot-down', 'no-grip'],
      ['needle-facing', 'needle-wrong-way'],
      ['bobbin-wind', 'bobbin-soft'],
    ] as const) {
      story.sees(check, [finding]).sees(check, [], 'the rest not', tavi);
    }
    const effects = contestEffects(modelFor(story), assess(story.ticket, modelFor(story)));
    expect(effects).toHaveLength(3);
    const sizes = effects.map(({ effect }) => effect);
    expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
  });

  it('do not contest across epochs: in between something was done', () => {
    const story = new Story('drop-in', ['loops-under'])
      .sees('pull-foot-down', ['no-grip'])
      .does('rethreaded');
    expect(contests(story.sees('pull-foot-down', [], 'the rest not', tavi))).toEqual([]);
  });

  it('but do when the action between was taken back', () => {
    const story = new Story('drop-in', ['loops-under'])
      .sees('pull-foot-down', ['no-grip'])
      .does('rethreaded');
    const action = story.lastId;
    story
      .sees('pull-foot-down', [], 'the rest not', tavi)
      .must('entry-corrected', { corrects: action });
    expect(contests(story)).toEqual(['no-grip']);
  });

  it('one person’s second answer is a correction, not a contest', () => {
    const story = new Story('drop-in', ['loops-under'])
      .sees('pull-foot-down', ['no-grip'])
      .sees('pull-foot-down');
    expect(contests(story)).toEqual([]);
    expect(belief(story, 'outside-tension-discs').is).toBeLessThan(0.05);
  });
});

describe('duties on a ticket', () => {
  it('a strike owes the sweep, a needle and its pieces', () => {
    expect(duties(new Story('drop-in', ['needle-break']))).toEqual({
      'whole-needle': 'owed',
      'strike-sweep': 'owed',
      'strike-needle': 'owed',
      fragments: 'owed',
      'hand-before-power': 'owed',
    });
  });

  it('the sweep is cleared by looking everywhere, found or not', () => {
    const story = new Story('drop-in', ['needle-strike']).opens('case-out').sees('hook-lint');
    story
      .sees('foot-surface')
      .sees('plate-surface', ['plate-nicked'])
      .sees('case-surface')
      .sees('case-seat')
      .sees('hook-surface');
    expect(duties(story)['strike-sweep']).toBe('cleared');
    expect(duties(story)['strike-needle']).toBe('owed');
  });

  it('a dressed burr owes the proof of that surface', () => {
    const story = new Story('drop-in', ['shred'])
      .opens('plate-off')
      .sees('plate-surface', ['plate-nicked'])
      .does('plate-dressed');
    expect(duties(story)['burr-proof']).toBe('owed');
    expect(duties(story.sees('plate-surface'))['burr-proof']).toBe('cleared');
  });

  it('a look in two halves counts as one when both are of the same state', () => {
    const story = new Story('drop-in', ['nest'])
      .sees('wheel-feel', [], 'the rest not')
      .opens('case-out');
    expect(duties(story)['nest-cleared']).toBe('owed');
    expect(duties(story.sees('race-scraps'))['nest-cleared']).toBe('cleared');
  });

  it('a power fault owes a decision by name', () => {
    const story = new Story('drop-in', ['no-run']);
    expect(duties(story).electrical).toBe('owed');
    expect(duties(story.does('electrical-referred')).electrical).toBe('cleared');
  });

  it('the one-change plan owes a sewing after each repair', () => {
    const story = new Story('drop-in', ['skip'])
      .must('plan-chosen', { plan: 'one-at-a-time' })
      .does('rethreaded');
    expect(duties(story)['one-change']).toBe('owed');
    expect(duties(story.sees('found-sew'))['one-change']).toBe('cleared');
  });

  it('an embroidery head is proven by a good design', () => {
    const story = new Story('round-shank', ['shred']).does('oiled');
    expect(duties(story)['sew-out']).toBe('owed');
    expect(duties(story.sees('known-design'))['sew-out']).toBe('owed');
    expect(duties(story.sees('known-design', ['known-design-good']))['sew-out']).toBe('cleared');
  });
});

describe('more positive findings than one exact pass takes', () => {
  it('keep the ticket readable and say how many were left out', () => {
    const story = new Story('drop-in', [
      'skip',
      'nest',
      'loops-under',
      'jam',
      'erratic',
      'top-break',
    ]);
    for (let round = 0; round < 5; round += 1) {
      story.sees('found-sew', ['found-bad', 'found-skips', 'found-top-under']).does('rethreaded');
    }
    const { leftOut, beliefs } = assess(story.ticket, modelFor(story));
    expect(leftOut).toBe(9);
    expect(beliefs).toHaveLength(modelFor(story).network.causes.length);
  });

  it('leave out what the customer reported only when nothing else is left', () => {
    const everything = [...(modelFor(new Story()).checks.get('complaint')?.findings ?? [])].map(
      ({ id }) => id,
    );
    const { leftOut, evidence } = assess(
      new Story('drop-in', everything).ticket,
      modelFor(new Story()),
    );
    expect(leftOut).toBeGreaterThan(0);
    expect(evidence.readings).toHaveLength(everything.length - leftOut);
  });
});

describe('when the tables move on', () => {
  const FIRST = knowledgeVersionOf(firstEdition as unknown as KnowledgeSource);
  const by = actor();
  const commandOf = <Type extends EventType>(type: Type, command: CommandPayload<Type>) =>
    ({
      id: testId(),
      type,
      command,
      epoch: 0,
      observedAt: '2026-03-02T10:00:00.000Z',
      device: 'bench 1',
    }) as unknown as TicketCommand;
  const recorded = (ticket: Ticket, one: TicketCommand, version = SHIPPED): Ticket => {
    const verdict = decide(ticket, one, by, version);
    if (!verdict.ok) throw new Error(verdict.refusal.code);
    const receivedAt = '2026-03-02T10:00:01.000Z';
    return applyTicketEvent(ticket, { ...verdict.event, receivedAt } as TicketEvent);
  };
  const intake = commandOf('intake-taken', {
    family: 'drop-in',
    label: 'Teal zigzag',
    tag: 27,
    shelf: 'A',
    words: '',
    customer: null,
  });

  it('a ticket stays with the version that it was taken in under', () => {
    expect(recorded(newTicket(testId()), intake, FIRST).knowledge).toBe(FIRST.knowledge.hash);
    expect(recorded(newTicket(testId()), intake).knowledge).toBe(SHIPPED.knowledge.hash);
  });

  it('until an entry of its own moves it', () => {
    const old = recorded(newTicket(testId()), intake, FIRST);
    const moved = recorded(old, commandOf('knowledge-adopted', {}));
    expect(moved.knowledge).toBe(SHIPPED.knowledge.hash);
    expect(moved.entries.at(-1)?.body).toEqual({
      from: FIRST.knowledge.hash,
      to: SHIPPED.knowledge.hash,
      engine: 'persistent-triggers/1',
    });
    const again = decide(moved, commandOf('knowledge-adopted', {}), by, SHIPPED);
    expect(!again.ok && again.refusal.code).toBe('already-so');
  });

  it('reads an entry that moved one before there was a second reckoning', () => {
    const old = recorded(newTicket(testId()), intake, FIRST);
    const moved = recorded(old, commandOf('knowledge-adopted', {}));
    const entry = moved.entries.at(-1);
    const before = { ...entry, body: { from: FIRST.knowledge.hash, to: SHIPPED.knowledge.hash } };
    expect(ticketEvent.safeParse(before).success).toBe(true);
  });

  it('and never once it is closed; what was seen is accepted under any version', () => {
    const old = recorded(newTicket(testId()), intake, FIRST);
    const closed: Ticket = { ...old, status: 'closed' };
    const verdict = decide(closed, commandOf('knowledge-adopted', {}), by, SHIPPED);
    expect(!verdict.ok && verdict.refusal.code).toBe('ticket-closed');
    const seen = commandOf('findings-recorded', {
      check: 'winder',
      answers: { 'winder-on': 'no' },
    });
    expect(decide(old, seen, by, FIRST).ok).toBe(true);
    expect(decide(old, seen, by, SHIPPED).ok).toBe(true);
  });
});
