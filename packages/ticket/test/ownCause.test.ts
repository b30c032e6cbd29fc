import { describe, expect, it } from 'vitest';
import { actor } from '../../kernel/test/ids.ts';
import { assess, resumeOf, summaryOf } from '../src/index.ts';
import { modelFor, Story } from './story.ts';

const WASHER = {
  name: 'Felt washer lost',
  remedy: 'Washer put back',
  explains: ['top-break'],
} as const;

function found(): Story {
  const story = new Story('drop-in', ['top-break']);
  return story.must('own-cause-found', { ...WASHER, explains: [...WASHER.explains] });
}

const ownId = (story: Story): string => story.ticket.ownCauses[0]?.id ?? '';
const assessed = (story: Story) => assess(story.ticket, modelFor(story));
const belief = (story: Story) =>
  assessed(story).beliefs.find(({ cause }) => cause === ownId(story));

describe('a cause that the tables do not have', () => {
  it('is nearly sure once found, and explains the complaint that others were suspected of', () => {
    const story = new Story('drop-in', ['top-break']);
    const suspect = assessed(story).beliefs[0];
    story.must('own-cause-found', { ...WASHER, explains: ['top-break'] });
    expect(belief(story)?.is).toBeGreaterThan(0.95);
    const now = assessed(story).beliefs.find(({ cause }) => cause === suspect?.cause);
    expect(now?.is).toBeLessThan((suspect?.is ?? 0) * 0.8);
  });

  it('that explains nothing leaves the suspects alone', () => {
    const story = new Story('drop-in', ['top-break']);
    const suspect = assessed(story).beliefs[0];
    story.must('own-cause-found', { ...WASHER, explains: [] });
    const now = assessed(story).beliefs.find(({ cause }) => cause === suspect?.cause);
    expect(now?.is).toBeCloseTo(suspect?.is ?? 0, 9);
  });

  it('is put right by its own repair, which begins an epoch and owes its proof', () => {
    const story = found();
    story.does(`${ownId(story)}-repair`);
    expect(story.ticket.epoch).toBe(1);
    expect(belief(story)?.is).toBeLessThan(0.06);
    const owed = assessed(story).duties.filter(({ state }) => state === 'owed');
    expect(owed.length).toBeGreaterThan(0);
    expect(story.try('ticket-closed', {})?.code).toBe('duties-owed');
  });

  it('stands on the Rack by its name', () => {
    const story = found();
    expect(summaryOf(story.ticket, modelFor(story))?.likely?.name).toBe('Felt washer lost');
  });

  it('leaves the reckoning when its entry is taken back', () => {
    const story = found();
    story.must('entry-corrected', { corrects: story.lastId });
    expect(story.ticket.ownCauses).toEqual([]);
    expect(modelFor(story).causes.has('own')).toBe(false);
  });

  it('explains only what this machine can show, and is named by those at the bench', () => {
    const story = new Story('drop-in', ['skip']);
    expect(story.try('own-cause-found', { ...WASHER, explains: ['no-such'] })).toMatchObject({
      code: 'not-on-this-machine',
      path: 'command.explains.0',
    });
    expect(story.try('own-cause-found', { ...WASHER, explains: [] }, actor('counter'))?.code).toBe(
      'role-may-not',
    );
  });
});

describe('taking a ticket over', () => {
  it('tells what was reported, looked at, done and is owed', () => {
    const story = new Story('drop-in', ['skip', 'nest'])
      .sees('needle-facing', ['needle-wrong-way'])
      .does('needle-set');
    const resume = resumeOf(story.ticket, assessed(story));
    expect(resume).toMatchObject({ reported: ['skip', 'nest'], looks: 1, done: ['needle-set'] });
    expect(resume.owed.length).toBeGreaterThan(0);
  });

  it('tells what its owner did before it came in, and not as work of the shop', () => {
    const story = new Story('drop-in', ['skip'], 'call').sees('needle-facing', [
      'needle-wrong-way',
    ]);
    story.must('customer-did', { cause: 'needle-backward' });
    expect(resumeOf(story.ticket, assessed(story))).toMatchObject({
      done: [],
      byCustomer: ['needle-backward'],
    });
  });

  it('leaves out what was taken back', () => {
    const story = new Story('drop-in', ['skip']).does('needle-set');
    story.must('entry-corrected', { corrects: story.lastId });
    expect(resumeOf(story.ticket, assessed(story)).done).toEqual([]);
  });
});
