import { SHIPPED } from '@nodo/knowledge';
import { describe, expect, it } from 'vitest';
import { actor, testId } from '../../kernel/test/ids.ts';
import {
  decide,
  EVENT_TYPES,
  type EventType,
  foldTicket,
  mayRecord,
  newTicket,
  type TicketCommand,
  ticketCommand,
} from '../src/index.ts';
import { Story } from './story.ts';

describe('taking in', () => {
  it('comes first and once', () => {
    const story = new Story();
    expect(
      story.try('intake-taken', {
        family: 'mini',
        label: 'X',
        tag: 1,
        shelf: 'A',
        words: '',
        customer: null,
      })?.code,
    ).toBe('already-taken-in');
    const early = {
      id: testId(),
      type: 'could-not-tell',
      command: { check: 'winder' },
      epoch: 0,
      observedAt: '2026-03-02T10:00:00Z',
      device: 'd',
    } as const;
    const verdict = decide(newTicket(testId()), early, actor(), SHIPPED);
    expect(!verdict.ok && verdict.refusal.code).toBe('not-taken-in');
  });

  it('knows only the families of the tables', () => {
    const take: TicketCommand = {
      id: testId(),
      type: 'intake-taken',
      command: { family: 'loom', label: 'X', tag: 1, shelf: 'A', words: '', customer: null },
      epoch: 0,
      observedAt: '2026-03-02T10:00:00Z',
      device: 'd',
    };
    const verdict = decide(newTicket(testId()), take, actor(), SHIPPED);
    expect(!verdict.ok && verdict.refusal).toMatchObject({
      code: 'unknown-family',
      path: 'command.family',
    });
  });
});

describe('findings', () => {
  it('belong to a check of this machine', () => {
    const story = new Story('overlocker');
    expect(
      story.try('findings-recorded', { check: 'bobbin-wind', answers: { 'bobbin-soft': 'yes' } })
        ?.code,
    ).toBe('not-on-this-machine');
  });

  it('belong to the check they are given for', () => {
    expect(
      new Story().try('findings-recorded', { check: 'winder', answers: { 'clutch-slack': 'yes' } }),
    ).toMatchObject({
      code: 'finding-of-another-check',
      path: 'command.answers.clutch-slack',
    });
  });

  it('are at least one', () => {
    expect(new Story().try('findings-recorded', { check: 'winder', answers: {} })?.code).toBe(
      'nothing-answered',
    );
  });

  it('may not exclude each other', () => {
    expect(
      new Story().try('findings-recorded', {
        check: 'wheel-feel',
        answers: { 'wheel-stiff': 'yes', 'wheel-locked': 'yes' },
      })?.code,
    ).toBe('findings-exclude-each-other');
  });

  it('are not from an epoch that has not begun', () => {
    expect(
      new Story().try(
        'findings-recorded',
        { check: 'winder', answers: { 'winder-on': 'yes' } },
        undefined,
        1,
      )?.code,
    ).toBe('epoch-not-reached');
  });

  it('make the check complete only when all of it was answered', () => {
    const story = new Story().sees('path-look', ['outside-discs'], 'only these');
    expect(story.ticket.looks.at(-1)).toMatchObject({
      check: 'path-look',
      complete: false,
      normal: false,
    });
    story.sees('path-look');
    expect(story.ticket.looks.at(-1)).toMatchObject({ complete: true, normal: true });
  });
});

describe('gates', () => {
  it('open nothing before the machine is unplugged', () => {
    const story = new Story();
    expect(story.try('machine-opened', { state: 'plate-off' })).toMatchObject({
      code: 'gate-unmet',
      data: { unmet: ['action:power-off-confirmed'] },
    });
    story.does('power-off-confirmed').must('machine-opened', { state: 'plate-off' });
    expect([...story.ticket.open]).toEqual(['needle-out', 'foot-off', 'plate-off']);
  });

  it('do not plug in a machine that stands open', () => {
    expect(new Story().opens('foot-off').try('action-done', { action: 'power-on' })?.code).toBe(
      'gate-unmet',
    );
  });

  it('ask for unplugging anew after it was plugged in', () => {
    const story = new Story().opens('foot-off').shuts();
    expect(story.try('machine-opened', { state: 'foot-off' })?.code).toBe('gate-unmet');
  });

  it('keep the timing for last, marks noted', () => {
    const story = new Story().opens('case-out');
    expect(
      story.try('findings-recorded', { check: 'timing', answers: { 'hook-early-late': 'no' } }),
    ).toMatchObject({
      data: {
        unmet: ['check:needle-seat=normal', 'check:needle-straight=normal'],
      },
    });
    story.sees('needle-seat').sees('needle-straight').sees('timing', ['hook-early-late']);
    expect(story.ticket.looks.at(-1)?.check).toBe('timing');
  });

  it('move no adjustment before the way back is written down and the power is off', () => {
    const story = new Story().sees('needle-seat').sees('needle-straight');
    story.sees('timing', ['hook-early-late']);
    expect(story.try('action-done', { action: 'timing-set' })).toMatchObject({
      data: { unmet: ['action:power-off-confirmed', 'action:marks-noted'] },
    });
    story.does('marks-noted').does('timing-set');
    expect(story.ticket.power).toBe('off');
    // What is moved again is written down again.
    expect(story.try('action-done', { action: 'timing-set' })).toMatchObject({
      data: { unmet: ['action:marks-noted'] },
    });
  });

  it('forget a look that an action has overtaken, and no other', () => {
    const story = new Story().opens('case-out').sees('needle-seat').sees('needle-straight');
    story.does('hook-cleaned').sees('timing');
    story.does('needle-replaced');
    expect(
      story.try('findings-recorded', { check: 'timing', answers: { 'hook-early-late': 'no' } }),
    ).toMatchObject({
      data: { unmet: ['check:needle-seat=normal', 'check:needle-straight=normal'] },
    });
  });

  it('want the screw written down before each turn', () => {
    const story = new Story('front-loading');
    expect(story.try('action-done', { action: 'case-screw-turned' })?.code).toBe('gate-unmet');
    story.does('screw-logged').does('case-screw-turned');
    expect(story.try('action-done', { action: 'case-screw-turned' })?.code).toBe('gate-unmet');
  });
});

describe('what counts only with a reason', () => {
  it('is refused without one and kept with it', () => {
    const story = new Story('drop-in', ['needle-break']);
    expect(story.try('action-done', { action: 'fragments-waived' })).toMatchObject({
      code: 'reason-missing',
      path: 'command.note',
    });
    story.must('action-done', { action: 'fragments-waived', note: 'Customer swept the floor' });
    expect(story.events.at(-1)?.body).toMatchObject({ note: 'Customer swept the floor' });
  });
});

describe('opening', () => {
  it('knows what this machine has', () => {
    expect(new Story('drop-in').try('machine-opened', { state: 'door' })?.code).toBe(
      'not-on-this-machine',
    );
  });

  it('says when it is so already, open or closed', () => {
    expect(new Story().opens('foot-off').try('machine-opened', { state: 'foot-off' })?.code).toBe(
      'already-so',
    );
    expect(new Story().try('machine-closed', {})?.code).toBe('already-so');
  });
});

/**
 * What only those may record who work at the machine: it is done with the hands in it, it says
 * what a repair comes to, or it lets something stay undone.
 */
const NOT_FOR_THE_COUNTER: readonly EventType[] = [
  'own-cause-found',
  'action-done',
  'machine-opened',
  'machine-closed',
  'plan-chosen',
  'duty-waived',
  'symptom-settled',
  'ticket-closed',
  'ticket-reopened',
  'job-pinned',
  'part-awaited',
  'clock-started',
  'clock-stopped',
  'labour-booked',
  'measured',
  'needle-fitted',
  'pieces-laid',
  'screw-turned',
  'tension-tried',
  'sample-read',
  'mark-found',
  'mark-ended',
];

describe('rights', () => {
  it('of the counter end at the machine, and a learner records nothing on a customer’s', () => {
    expect(EVENT_TYPES.filter((type) => !mayRecord('counter', type))).toEqual(NOT_FOR_THE_COUNTER);
    expect(EVENT_TYPES.filter((type) => mayRecord('learner', type))).toEqual([]);
    // Who does what is for the lead to say.
    expect(EVENT_TYPES.filter((type) => !mayRecord('technician', type))).toEqual(['job-pinned']);
    expect(EVENT_TYPES.filter((type) => !mayRecord('lead', type))).toEqual([]);
  });

  it('let nobody at the counter waive what is owed', () => {
    const story = new Story('drop-in', ['needle-break']).does('needle-replaced');
    const waiver = { duty: 'strike-sweep', reason: 'The customer is waiting' };
    expect(story.try('duty-waived', waiver, actor('counter'))?.code).toBe('role-may-not');
    expect(story.ticket.waivers).toEqual([]);
    expect(story.try('duty-waived', waiver)).toBeUndefined();
  });

  it.each([
    ['counter', 'action-done', { action: 'rethreaded' }, 'role-may-not'],
    [
      'counter',
      'findings-recorded',
      { check: 'winder', answers: { 'winder-on': 'no' } },
      undefined,
    ],
    [
      'learner',
      'findings-recorded',
      { check: 'winder', answers: { 'winder-on': 'no' } },
      'role-may-not',
    ],
    ['learner', 'observation-noted', { words: 'hm' }, 'role-may-not'],
    ['lead', 'action-done', { action: 'rethreaded' }, undefined],
  ] as const)('%s and %s', (role, type, command, expected) => {
    expect(new Story().try(type, command as never, actor(role))?.code).toBe(expected);
  });
});

describe('closing', () => {
  const mended = () =>
    new Story('drop-in', ['loops-under']).sees('path-look', ['outside-discs']).does('rethreaded');

  it('waits for every debt and names them', () => {
    expect(mended().try('ticket-closed', {})).toMatchObject({
      code: 'duties-owed',
      data: { owed: ['sew-out'] },
    });
  });

  it('waits for the machine to be together', () => {
    const story = mended().sees('standard-straight').sees('standard-zigzag').opens('foot-off');
    expect(story.try('ticket-closed', {})?.code).toBe('gate-unmet');
  });

  it('ties the knot with the proof, and keeps what was known', () => {
    const story = mended().sees('standard-straight').sees('standard-zigzag').closes();
    const { closing, status } = story.ticket;
    expect(status).toBe('closed');
    expect(closing?.snapshot.engine).toBe('persistent-triggers/1');
    expect(closing?.snapshot.risk).toBeGreaterThan(0);
    expect(closing?.snapshot.risk).toBeLessThan(0.25);
    const cause = closing?.snapshot.causes.find((kept) => kept.cause === 'outside-tension-discs');
    expect(cause?.was).toBeGreaterThan(0.95);
    expect(cause?.is).toBeLessThan(0.06);
  });

  it('takes a waiver with a name and a reason in place of a debt', () => {
    const story = mended();
    expect(story.try('duty-waived', { duty: 'run-in', reason: 'not owed' })?.code).toBe(
      'duty-not-owed',
    );
    story.must('duty-waived', { duty: 'sew-out', reason: 'Customer sews it herself' }).closes();
    expect(story.ticket.closing?.snapshot.waived).toEqual(['sew-out']);
    expect(story.ticket.waivers[0]?.by).toEqual(story.odren);
  });

  it('takes nothing more afterwards, but can be undone with a reason', () => {
    const story = mended().sees('standard-straight').sees('standard-zigzag').closes();
    expect(story.try('observation-noted', { words: 'late' })?.code).toBe('ticket-closed');
    story
      .must('ticket-reopened', { reason: 'It came back' })
      .must('observation-noted', { words: 'again' });
    expect(story.ticket.status).toBe('open');
  });

  it('lets the machine go only when closed, and once', () => {
    const story = mended();
    expect(story.try('machine-collected', {})?.code).toBe('ticket-open');
    expect(story.try('ticket-reopened', { reason: 'why not' })?.code).toBe('ticket-open');
    story.sees('standard-straight').sees('standard-zigzag').closes().must('machine-collected', {});
    expect(story.try('machine-collected', {})?.code).toBe('already-so');
  });
});

describe('what a screen sends', () => {
  const good = {
    id: testId(),
    type: 'observation-noted',
    command: { words: 'ok' },
    epoch: 0,
    observedAt: '2026-03-02T10:00:00+01:00',
    device: 'd',
  };
  const pathOf = (given: unknown) =>
    ticketCommand.safeParse(given).error?.issues[0]?.path.join('.');

  it.each([
    ['Arabic, right to left', 'خيط مقطوع'],
    ['an apostrophe and an emoji', 'O’Marr’s 🧵'],
    ['a combining script', 'धागा टूटता है'],
  ])('may be text in %s', (_, words) => {
    expect(ticketCommand.parse({ ...good, command: { words } })).toMatchObject({
      command: { words },
    });
  });

  it.each([
    ['U+0000', 'a\u0000b'],
    ['a lone surrogate', 'a\ud800b'],
    ['nothing but spaces', '   '],
    ['a text too long', 'x'.repeat(501)],
  ])('is refused with its path when it holds %s', (_, words) => {
    expect(pathOf({ ...good, command: { words } })).toBe('command.words');
  });

  it.each([
    ['an unknown type', { ...good, type: 'ticket-burnt' }, 'type'],
    ['an id that is none', { ...good, id: '1' }, 'id'],
    ['an instant without a zone', { ...good, observedAt: '2026-03-02T10:00:00' }, 'observedAt'],
    ['a negative epoch', { ...good, epoch: -1 }, 'epoch'],
  ])('is refused for %s', (_, given, path) => {
    expect(pathOf(given)).toBe(path);
  });
});

describe('a needle that goes back in', () => {
  it('ends the state of the needle out, and leaves the rest open', () => {
    const story = new Story().opens('needle-out').does('needle-replaced');
    expect([...story.ticket.open]).toEqual([]);
    const apart = new Story().opens('plate-off').does('needle-set');
    expect([...apart.ticket.open].sort()).toEqual(['foot-off', 'plate-off']);
    // The same on a ticket that was read anew.
    expect([...foldTicket(apart.ticket.id, apart.events).open].sort()).toEqual([
      'foot-off',
      'plate-off',
    ]);
  });
});
