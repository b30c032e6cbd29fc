import { MOST_NEEDLES } from '@nodo/ticket';
import { describe, expect, it } from 'vitest';
import type { z } from 'zod';
import { testId } from '../../kernel/test/ids.ts';
import {
  customerProfile,
  machineProfile,
  NEW_SHOP_PROFILE,
  newCustomerProfile,
  newMachineProfile,
  shopProfile,
  USUAL_TIME,
} from '../src/index.ts';

/** Where each change of a good card is refused; nothing where it is taken. */
function refusedAt<Card extends object>(
  schema: z.ZodType<Card>,
  good: Card,
): (change: Record<string, unknown>) => readonly string[] {
  return (change) =>
    schema
      .safeParse({ ...good, ...change })
      .error?.issues.map(({ path, message }) => `${path.join('.')} ${message}`) ?? [];
}

/** For a whole number: the least and the most that are taken, and that one beyond is not. */
function limits(refused: ReturnType<typeof refusedAt>, field: string, least: number, most: number) {
  for (const good of [least, most]) expect(refused({ [field]: good })).toEqual([]);
  for (const bad of [least - 1, most + 1, least + 0.5])
    expect(refused({ [field]: bad })).toHaveLength(1);
}

describe('the card of a shop', () => {
  const refused = refusedAt(shopProfile, NEW_SHOP_PROFILE);

  it('is good as a new shop has it: nine to five on weekdays, a fifth and more for the counter', () => {
    expect(refused({ people: { [testId()]: USUAL_TIME } })).toEqual([]);
    expect(NEW_SHOP_PROFILE).toMatchObject({ closed: [], people: {}, timeZone: 'UTC' });
    expect(USUAL_TIME.off).toEqual([]);
  });

  it('names its currency by three capitals (ISO 4217)', () => {
    expect(refused({ currency: 'CHF' })).toEqual([]);
    for (const currency of ['EU', 'EURO', 'eur', '€', 'XEUR', 'EUR1'])
      expect(refused({ currency })).toHaveLength(1);
  });

  it('has no more days and parts than there are', () => {
    limits(refused, 'taxPerMille', 0, 1000);
    limits(refused, 'usualDays', 1, 90);
    limits(refused, 'uncollectedDays', 1, 365);
    limits(refused, 'stuckDays', 1, 60);
  });

  it('is closed from a day to the same day or a later one, for a reason in a few words', () => {
    const closed = (from: string, until: string, words = '') => ({
      closed: [{ from, until, words }],
    });
    expect(refused(closed('2026-03-02', '2026-03-02'))).toEqual([]);
    expect(refused(closed('2026-03-03', '2026-03-02'))).toEqual(['closed.0 ends-before-it-begins']);
    expect(refused(closed('2026-03-02', '2026-03-02', 'x'.repeat(81)))).toHaveLength(1);
    const day = { from: '2026-03-02', until: '2026-03-02', words: '' };
    expect(refused({ closed: Array(60).fill(day) })).toEqual([]);
    expect(refused({ closed: Array(61).fill(day) })).toHaveLength(1);
  });

  it('has an address from outside that is an origin, or none', () => {
    const at = (publicAddress: string) => refused({ publicAddress });
    expect([at(''), at('https://repairs.example'), at('http://repairs.example:8080')]).toEqual([
      [],
      [],
      [],
    ]);
    for (const bad of ['repairs.example', 'ftp://repairs.example', 'https://repairs.example/x']) {
      expect(at(bad), bad).not.toEqual([]);
    }
  });

  it('knows for each weekday when somebody works, and for which share', () => {
    const at = (change: object) =>
      refused({ people: { [testId()]: { ...USUAL_TIME, ...change } } });
    const week = (shift: [number, number] | null) => ({ week: Array(7).fill(shift) });
    expect(at(week(null))).toEqual([]);
    expect(at(week([0, 1440]))).toEqual([]);
    expect(at(week([-1, 1440]))).toHaveLength(7);
    expect(at(week([0, 1441]))).toHaveLength(7);
    expect(at(week([540, 540]))[0]).toContain('ends-before-it-begins');
    expect(at({ week: Array(6).fill(null) })).toHaveLength(1);
    expect(at({ share: 0 })).toEqual([]);
    expect(at({ share: 100 })).toEqual([]);
    expect(at({ share: 101 })).toHaveLength(1);
    expect(at({ share: -1 })).toHaveLength(1);
    const day = { from: '2026-03-02', until: '2026-03-02', words: '' };
    expect(at({ off: Array(60).fill(day) })).toEqual([]);
    expect(at({ off: Array(61).fill(day) })).toHaveLength(1);
  });
});

describe('the card of a machine', () => {
  const refused = refusedAt(machineProfile, newMachineProfile('drop-in', 'The beige one'));
  const gap = (least: number, most: number, from = 'Manual, page 3') => ({
    service: { 'hook-gap': { least, most, from } },
  });

  it('is good with its kind and its name alone', () => {
    expect(refused({})).toEqual([]);
    expect(newMachineProfile('drop-in', 'The beige one')).toMatchObject({
      model: '',
      serial: '',
      oilPoints: '',
      notes: '',
    });
  });

  it('has a value of its manual only with the page, and the least not above the most', () => {
    expect(refused(gap(0.05, 0.1))).toEqual([]);
    expect(refused(gap(0.1, 0.1))).toEqual([]);
    expect(refused(gap(0.2, 0.1))).toEqual(['service.hook-gap least-above-most']);
    expect(refused(gap(-1000, 10_000))).toEqual([]);
    expect(refused(gap(-1001, 0))).toHaveLength(1);
    expect(refused(gap(-1001, -1001))).toHaveLength(2);
    expect(refused(gap(0, 10_001))).toHaveLength(1);
    expect(refused(gap(10_001, 10_001))).toHaveLength(2);
    expect(refused(gap(0, 1, ''))).toHaveLength(1);
  });

  it('has a head of one needle or more, and its own traits in place of its kind’s', () => {
    limits(refused, 'needles', 1, MOST_NEEDLES);
    expect(refused({ traits: Array(20).fill('rotary-hook') })).toEqual([]);
    expect(refused({ traits: Array(21).fill('rotary-hook') })).toHaveLength(1);
  });

  it('keeps what the manual says of the oil, and no book', () => {
    expect(refused({ oilPoints: 'x'.repeat(1000), notes: 'x'.repeat(2000) })).toEqual([]);
    expect(refused({ oilPoints: 'x'.repeat(1001), notes: 'x'.repeat(2001) })).toHaveLength(2);
    expect(refused({ label: '' })).toHaveLength(1);
  });
});

describe('the card of a customer', () => {
  it('is good with a name; how to be reached is the telephone unless they said otherwise', () => {
    expect(customerProfile.parse(newCustomerProfile('Tove Example', '555 0101'))).toEqual({
      name: 'Tove Example',
      phone: '555 0101',
      other: '',
      reach: 'telephone',
      notes: '',
    });
    // A card of before other ways and notes were on it.
    expect(customerProfile.parse({ name: 'Tove Example', phone: '' })).toEqual(
      newCustomerProfile('Tove Example', ''),
    );
    expect(customerProfile.safeParse({ name: '', phone: '' }).success).toBe(false);
  });
});
