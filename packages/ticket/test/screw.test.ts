import { describe, expect, it } from 'vitest';
import { Story } from './story.ts';

const turn = (minutes: number, start = 10) => ({ which: 'own', start, turn: minutes }) as const;

describe('the screw of a case', () => {
  it('keeps where it began and every turn since, each case apart', () => {
    const story = new Story('front-loading')
      .must('screw-turned', turn(5))
      .must('screw-turned', turn(5, 15))
      .must('screw-turned', { which: 'second', start: 40, turn: -5 });
    expect(story.ticket.life.screws).toEqual({
      own: { start: 10, turns: [5, 5] },
      second: { start: 40, turns: [-5] },
    });
  });

  it('forgets a turn that was taken back', () => {
    const story = new Story('front-loading').must('screw-turned', turn(5));
    story.must('screw-turned', turn(15, 15)).must('entry-corrected', { corrects: story.lastId });
    expect(story.ticket.life.screws.own).toEqual({ start: 10, turns: [5] });
  });

  it('refuses what is no turn, and a machine that is not in the shop', () => {
    const story = new Story('front-loading');
    expect(story.try('screw-turned', turn(0))).toMatchObject({
      code: 'no-such-turn',
      path: 'command.turn',
    });
    const away = new Story('front-loading', ['skip'], 'call');
    expect(away.try('screw-turned', turn(5))?.code).toBe('not-in-the-shop');
  });
});
