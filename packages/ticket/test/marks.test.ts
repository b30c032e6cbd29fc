import { hourOf } from '@nodo/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testId } from '../../kernel/test/ids.ts';
import { type Mark, marksLeft, mayRecord, openMarks } from '../src/index.ts';
import { Story } from './story.ts';

const raised = {
  surface: 'case-inside',
  hour: hourOf(1.5),
  out: 0.8,
  kind: 'raised',
  length: 1,
  was: null,
} as const;
const dressed = { how: 'dressed', tool: 'hand', grit: 600 } as const;

describe('marks on what the needle can reach', () => {
  it('lie on the map with what became of them, known by the entry that found them', () => {
    const story = new Story().must('mark-found', raised);
    const first = story.lastId;
    story.must('mark-found', { ...raised, kind: 'pierced', hour: hourOf(11) });
    const second = story.lastId;
    story
      .must('mark-ended', { mark: first, end: dressed })
      .must('mark-ended', { mark: second, end: { how: 'replaced' } });
    expect(story.ticket.life.marks).toEqual([
      { ...raised, id: first, end: dressed, gone: true },
      {
        ...raised,
        kind: 'pierced',
        hour: 11,
        id: second,
        end: { how: 'replaced' },
        gone: true,
      },
    ]);
  });

  it('are open until something is done about them, part by part', () => {
    const story = new Story().must('mark-found', raised).must('mark-found', {
      ...raised,
      surface: 'plate-top',
    });
    const { marks } = story.ticket.life;
    expect(openMarks(marks, 'case')).toHaveLength(1);
    story.must('mark-ended', { mark: marks[0]?.id ?? '', end: dressed });
    expect(openMarks(story.ticket.life.marks, 'case')).toEqual([]);
    expect(openMarks(story.ticket.life.marks, 'plate')).toHaveLength(1);
  });

  it('are gone with the entry that laid them, and open again when their end is taken back', () => {
    const story = new Story().must('mark-found', raised);
    const mark = story.lastId;
    story.must('mark-ended', { mark, end: dressed });
    story.must('entry-corrected', { corrects: story.lastId });
    expect(story.ticket.life.marks).toEqual([{ ...raised, id: mark, end: null, gone: false }]);
    story.must('entry-corrected', { corrects: mark });
    expect(story.ticket.life.marks).toEqual([]);
  });

  it('refuses what cannot be: no such mark, ended twice, a pierce dressed, a case on an overlocker', () => {
    const story = new Story();
    const none = testId();
    expect(story.try('mark-ended', { mark: none, end: dressed })).toMatchObject({
      code: 'no-such-mark',
      path: 'command.mark',
      data: { id: none },
    });
    story.must('mark-found', { ...raised, kind: 'pierced' });
    expect(story.try('mark-ended', { mark: story.lastId, end: dressed })).toMatchObject({
      code: 'not-to-be-dressed',
      path: 'command.end',
    });
    const replaced = { mark: story.lastId, end: { how: 'replaced' } } as const;
    story.must('mark-ended', replaced);
    expect(story.try('mark-ended', replaced)?.code).toBe('already-so');
    expect(new Story('overlocker', []).try('mark-found', raised)).toMatchObject({
      code: 'not-on-this-machine',
      path: 'command.surface',
    });
    const away = new Story('drop-in', ['skip'], 'call');
    expect(away.try('mark-found', raised)?.code).toBe('not-in-the-shop');
  });

  it('go with the part that the bench replaces, and with no other', () => {
    const story = new Story()
      .must('mark-found', raised)
      .must('mark-found', { ...raised, surface: 'hook' })
      .does('case-replaced');
    expect(story.ticket.life.marks.map(({ end }) => end)).toEqual([{ how: 'replaced' }, null]);
    // Dressed or replaced, says the plate's action: so its marks wait to be told of.
    story.must('mark-found', { ...raised, surface: 'plate-top' }).does('plate-dressed');
    expect(story.ticket.life.marks.at(-1)?.end).toBeNull();
  });

  it('are laid by who works at the bench', () => {
    expect(mayRecord('technician', 'mark-found')).toBe(true);
    expect(mayRecord('counter', 'mark-found')).toBe(false);
    expect(mayRecord('learner', 'mark-ended')).toBe(false);
  });
});

describe('marks that visits left on a machine', () => {
  const mark = (change: Partial<Mark> = {}): Mark => ({
    ...raised,
    id: testId(),
    end: null,
    gone: false,
    ...change,
  });
  const visit = (day: number, marks: readonly Mark[], repairs: readonly string[] = []) => ({
    ticket: `ticket of day ${day}`,
    at: `2026-03-0${day}T10:00:00.000Z`,
    marks,
    repairs,
  });
  const idsLeft = (...visits: readonly ReturnType<typeof visit>[]) =>
    marksLeft(visits).map(({ id }) => id);

  it('stay, dressed or left, each with its visit', () => {
    const [left, done] = [mark({ kind: 'depression' }), mark({ end: dressed })];
    expect(marksLeft([visit(2, [done]), visit(1, [left])])).toEqual([
      { ...left, ticket: 'ticket of day 1', at: '2026-03-01T10:00:00.000Z' },
      { ...done, ticket: 'ticket of day 2', at: '2026-03-02T10:00:00.000Z' },
    ]);
  });

  it('are told where they were last seen, not twice', () => {
    const before = mark();
    const again = mark({ was: before.id });
    expect(idsLeft(visit(1, [before]), visit(2, [again]))).toEqual([again.id]);
    expect(marksLeft([visit(1, [before])], { marks: [again], repairs: [] })).toEqual([]);
  });

  it('go with the part: by the mark’s own end, or by what the bench did', () => {
    const onCase = mark();
    const onHook = mark({ surface: 'hook' });
    const pierced = mark({ kind: 'pierced', end: { how: 'replaced' }, gone: true });
    expect(idsLeft(visit(1, [onCase, onHook]), visit(2, [pierced]))).toEqual([onHook.id]);
    // Dressed before its part went all the same: it is gone too.
    const inVain = mark({ end: dressed, gone: true });
    expect(idsLeft(visit(1, [inVain, pierced, onHook]))).toEqual([onHook.id]);
    expect(idsLeft(visit(1, [onCase, onHook]), visit(2, [], ['case-replaced']))).toEqual([
      onHook.id,
    ]);
  });

  it('on the new part are of the new part', () => {
    const onNew = mark();
    expect(idsLeft(visit(1, [mark()]), visit(2, [onNew], ['case-replaced']))).toEqual([onNew.id]);
  });

  it('are each told once, whatever came before, and never when gone', () => {
    const anyMark = fc
      .record({
        surface: fc.constantFrom('foot', 'plate-top', 'case-inside', 'hook'),
        gone: fc.boolean(),
        again: fc.boolean(),
      })
      .map(({ surface, gone, again }) => ({
        mark: mark({ surface, gone }),
        again,
      }));
    const anyVisits = fc.array(fc.array(anyMark, { maxLength: 4 }), { minLength: 1, maxLength: 5 });
    fc.assert(
      fc.property(anyVisits, (told) => {
        let last: string | null = null;
        const visits = told.map((marks, index) =>
          visit(
            index + 1,
            marks.map(({ mark: one, again }) => {
              const seen = { ...one, was: again ? last : null };
              last = one.id;
              return seen;
            }),
          ),
        );
        const left = marksLeft(visits);
        expect(new Set(left.map(({ id }) => id)).size).toBe(left.length);
        expect(left.some(({ gone }) => gone)).toBe(false);
        // Every mark of the last visit that is not gone is among them, as it was told.
        const fresh = visits.at(-1)?.marks.filter(({ gone }) => !gone) ?? [];
        for (const one of fresh) expect(left).toContainEqual(expect.objectContaining(one));
        // Told in any order, by the day they came.
        expect(marksLeft([...visits].reverse())).toEqual(left);
        expect(marksLeft(visits, { marks: [], repairs: [] })).toEqual(left);
      }),
    );
  });
});
