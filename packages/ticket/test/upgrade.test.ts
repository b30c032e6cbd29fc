import { describe, expect, it } from 'vitest';
import { upgradedBody } from '../src/events/upgrade.ts';
import { EVENT_TYPES, ticketEvent } from '../src/index.ts';
import { Story } from './story.ts';

/** A made-up kind whose body was written otherwise twice before. */
const MEASURED = {
  version: 3,
  upgrades: [
    // Version 2 gave the unit a place of its own.
    (body: object) => ({ ...body, unit: 'mm' }),
    // Version 3 calls the length a value.
    ({ length, ...body }: { length?: number }) => ({ ...body, value: length }),
  ],
};

const stored = (version: number, body: object) => ({ type: 'made-up', version, body });

describe('a stored event of an older version', () => {
  it('is read as the present one, step by step', () => {
    expect(upgradedBody(MEASURED, stored(1, { length: 2.2 }))).toEqual({ unit: 'mm', value: 2.2 });
    expect(upgradedBody(MEASURED, stored(2, { length: 9, unit: 'deg' }))).toEqual({
      unit: 'deg',
      value: 9,
    });
    expect(upgradedBody(MEASURED, stored(3, { value: 4, unit: 'N' }))).toEqual({
      value: 4,
      unit: 'N',
    });
  });

  it('is not guessed at when a newer program wrote it', () => {
    expect(() => upgradedBody(MEASURED, stored(4, {}))).toThrow(
      expect.objectContaining({
        code: 'event-of-newer-version',
        data: { type: 'made-up', stored: 4, version: 3 },
      }),
    );
  });

  it('needs one upgrade for each version', () => {
    expect(() =>
      upgradedBody({ ...MEASURED, upgrades: MEASURED.upgrades.slice(1) }, stored(1, {})),
    ).toThrow(
      expect.objectContaining({
        code: 'upgrade-missing',
        data: { type: 'made-up', version: 3 },
      }),
    );
  });
});

describe('the kinds of events', () => {
  it('read what they write now without a change', () => {
    const { events } = new Story();
    expect(events.map((event) => ticketEvent.parse(event))).toEqual(events);
    expect(EVENT_TYPES.length).toBeGreaterThan(40);
  });

  it('of a newer version are refused by the schema, not thrown at the reader', () => {
    const [event] = new Story().events;
    const newer = { ...event, version: 99, body: { other: 'thing' } };
    expect(ticketEvent.safeParse(newer).success).toBe(false);
  });
});
