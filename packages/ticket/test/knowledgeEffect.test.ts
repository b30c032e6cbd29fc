import { SHIPPED, versionWith } from '@nodo/knowledge';
import { describe, expect, it } from 'vitest';
import { outlookShift, outlookUnder, type TicketOutlook } from '../src/index.ts';
import { Story } from './story.ts';

describe('a ticket under changed tables', () => {
  it('stands otherwise: the cause is likelier, and what takes too long is no longer next', () => {
    const { ticket } = new Story('drop-in', ['skip']);
    const before = outlookUnder(SHIPPED, ticket, 150);
    const check = before?.check ?? '';
    const changed = versionWith([
      { kind: 'how-often', cause: 'needle-low', perMille: 700 },
      { kind: 'check-minutes', check, minutes: 40 },
    ]);
    const after = outlookUnder(changed, ticket, 150);
    expect(before?.likeliest?.cause).not.toBe('needle-low');
    expect(after?.likeliest?.cause).toBe('needle-low');
    expect([undefined, check]).not.toContain(after?.check);
    // What shows in every seam comes back for sure as long as nothing is done.
    expect([before?.risk, after?.risk]).toEqual([1, 1]);
  });

  it('is worth telling for another cause, chance, comeback or look, and for nothing less', () => {
    const standing: TicketOutlook = {
      likeliest: { cause: 'needle-low', chance: 0.4 },
      risk: 0.5,
      check: 'needle-seat',
    };
    const moved = (change: Partial<TicketOutlook>) =>
      outlookShift(standing, { ...standing, ...change });
    expect(moved({ risk: 0.505 })).toBeUndefined();
    expect(moved({ check: 'needle-facing' })).toBe(0);
    expect(moved({ risk: 0.8 })).toBeCloseTo(0.3, 12);
    expect(moved({ likeliest: { cause: 'needle-low', chance: 0.2 } })).toBeCloseTo(0.2, 12);
    expect(moved({ likeliest: { cause: 'needle-bent', chance: 0.4 } })).toBe(1);
  });
});
