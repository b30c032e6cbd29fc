import { describe, expect, it } from 'vitest';
import { assess, type CommandPayload, threadAcross, threadLine } from '../src/index.ts';
import { FITTED, SHARP_80 } from './needles.ts';
import { modelFor, Story } from './story.ts';

const WORK: CommandPayload<'work-told'> = {
  fabric: 'weave',
  layers: 2,
  thickness: 0.3,
  crossing: false,
  threadKind: 'plain',
  fibre: 'polyester',
  thread: { by: 'label', unit: 'Ne', number: 50, plies: 3 },
};

const duty = (story: Story) =>
  assess(story.ticket, modelFor(story)).duties.find((one) => one.duty === 'fragments')?.state;

describe('pieces of a broken needle', () => {
  const pieces = (...lengths: number[]): CommandPayload<'pieces-laid'> => ({
    at: 1,
    whole: 38.5,
    pieces: lengths,
    struck: 'plate',
  });

  it('must make it whole before they are accounted for, and the ticket stays open till then', () => {
    const story = new Story('drop-in', ['needle-break']);
    const account = () => story.try('action-done', { action: 'fragments-accounted' })?.code;
    expect(account()).toBe('pieces-missing');
    story.must('pieces-laid', pieces(20.1, 12.2, 4));
    expect(account()).toBe('pieces-missing');
    expect(story.try('ticket-closed', {})).toMatchObject({ code: 'duties-owed' });
    story.must('pieces-laid', pieces(20.1, 12.2, 4, 2));
    expect(story.ticket.life.pieces).toMatchObject({ missing: 0.2, state: 'whole' });
    expect(account()).toBeUndefined();
    expect(duty(story)).toBe('cleared');
  });

  it('of the needle before do not stand for the next that breaks', () => {
    const story = new Story('drop-in', ['needle-break']).must('pieces-laid', pieces(38.4));
    story.does('fragments-accounted').does('needle-replaced');
    story.sees('complaint', ['needle-break'], 'only these');
    expect(story.try('action-done', { action: 'fragments-accounted' })?.code).toBe(
      'pieces-missing',
    );
  });

  it('are waived only with a reason, by whoever takes it on', () => {
    const story = new Story('drop-in', ['needle-break']);
    expect(story.try('action-done', { action: 'fragments-waived' })?.code).toBe('reason-missing');
    story.must('action-done', { action: 'fragments-waived', note: 'Broke at home, floor swept' });
    expect(duty(story)).toBe('cleared');
  });

  it('are refused when one is longer than the needle', () => {
    expect(new Story().try('pieces-laid', pieces(60))).toMatchObject({
      code: 'no-such-piece',
      path: 'command.pieces',
    });
  });
});

describe('what the customer sews', () => {
  it('is kept with the fineness that came of label, width or weight', () => {
    const told = (thread: CommandPayload<'work-told'>['thread']) =>
      new Story().must('work-told', { ...WORK, thread }).ticket.life.work;
    expect(told(WORK.thread)?.tex).toBeCloseTo(35.43, 2);
    expect(told({ by: 'weight', grams: 0.2, metres: 10 })?.tex).toBe(20);
    const measured = told({ by: 'across', millimetres: 0.196 });
    expect(measured?.tex).toBeCloseTo(25, 0);
    expect(measured && threadAcross(measured)).toBeCloseTo(0.196, 6);
  });

  it('refuses what is no sewing thread, and says where', () => {
    const rope = { by: 'across', millimetres: 4 } as const;
    expect(new Story().try('work-told', { ...WORK, thread: rope })).toMatchObject({
      code: 'no-such-thread',
      path: 'command.thread',
    });
  });

  it('is read in one line', () => {
    const { work } = new Story().must('work-told', WORK).ticket.life;
    expect(work && threadLine(work)).toBe('Ne 50/3, tex 35, polyester, 0.23 mm');
  });
});

it('keeps which needle is in', () => {
  const story = new Story().must('needle-fitted', FITTED);
  expect(story.ticket.life.needles).toMatchObject([{ needle: SHARP_80, by: story.odren.person }]);
  expect(modelFor(story).family.id).toBe('drop-in');
});

it('keeps with a measure which needle it is about and what it was held against', () => {
  const limit = { least: -5, most: 5, standing: 'common-practice' } as const;
  const told = { quantity: 'needle-angle', value: 9, when: 'found', at: 7, limit } as const;
  const { measures } = new Story('round-shank').must('measured', told).ticket.life;
  expect(measures).toMatchObject([told]);
});
