import type { RegisterEntry } from '@nodo/ticket';
import { describe, expect, it } from 'vitest';
import { testId } from '../../kernel/test/ids.ts';
import { FITTED, SHARP_80 } from '../../ticket/test/needles.ts';
import {
  machineProfile,
  needleKey,
  needleLine,
  newMachineProfile,
  registerOf,
} from '../src/index.ts';

describe('the needle register', () => {
  let minute = 0;
  const entry = (change: Partial<RegisterEntry>): RegisterEntry => {
    minute += 1;
    return {
      ...FITTED,
      id: testId(),
      machine: 'm',
      ticket: null,
      by: testId(),
      when: `2026-03-02T10:${String(minute).padStart(2, '0')}:00.000Z`,
      ...change,
    };
  };

  it('knows which needle is in, whatever the order in which it hears', () => {
    const found = entry({ from: 'found', sewn: 5000 });
    const fresh = entry({ before: 'put-back', beforeSewn: null });
    const { now, opened } = registerOf([fresh, found]);
    expect(now.get(needleKey('m', 1))).toEqual(fresh);
    expect(opened).toMatchObject([{ id: fresh.id, sewn: 5000 }]);
  });

  it('goes by the instant, in whatever zone it is written', () => {
    const early = entry({ when: '2026-03-02T12:30:00.000+02:00' });
    const late = entry({ when: '2026-03-02T11:00:00.000Z' });
    expect(registerOf([late, early]).now.get(needleKey('m', 1))).toEqual(late);
  });

  it('keeps each position of a head and each machine apart', () => {
    const { now } = registerOf([entry({ at: 3 }), entry({ at: 7 }), entry({ machine: 'n' })]);
    expect([...now.keys()].sort()).toEqual(['m 3', 'm 7', 'n 1']);
  });

  it('counts what is used up, and has an opened needle only until it goes in again', () => {
    const first = entry({});
    const back = entry({ before: 'put-back' });
    const again = entry({ machine: 'n', from: 'opened', opened: back.id });
    const end = entry({ before: 'used-up' });
    expect(registerOf([first, back]).opened).toHaveLength(1);
    expect(registerOf([first, back, again, end])).toMatchObject({ opened: [], usedUp: 1 });
    const broke = entry({ before: 'broken' });
    expect(registerOf([first, end, broke])).toMatchObject({ opened: [], usedUp: 2 });
    // Nobody knows which needle that was: it cannot be used up later.
    expect(registerOf([entry({ before: 'put-back' })]).opened).toEqual([]);
  });
});

it('reads a needle in one line', () => {
  expect(needleLine(SHARP_80)).toBe('130/705 H, 80/12, Fine sharp, chrome');
  // A point and a coating that no table has.
  expect(needleLine({ ...SHARP_80, point: 'other', coating: 'other' } as never)).toBe(
    '130/705 H, 80/12',
  );
});

it('reads a machine’s card of before there were heads and scarf sides on it', () => {
  const {
    needles: _needles,
    scarf: _scarf,
    bobbin: _bobbin,
    bobbinTurns: _turns,
    ...before
  } = newMachineProfile('drop-in', 'Old card');
  expect(machineProfile.parse(before)).toMatchObject({
    needles: 1,
    scarf: null,
    bobbin: null,
    bobbinTurns: null,
  });
});
