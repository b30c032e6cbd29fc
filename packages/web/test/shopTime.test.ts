import { toDay } from '@nodo/kernel';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { write } from '../src/messages/index.ts';
import { ownZone, setShopZone, shopClock, shopDayOf } from '../src/time/shopTime.ts';

afterEach(() => {
  vi.useRealTimers();
  setShopZone(ownZone());
});

describe('days and clocks on the page', () => {
  it.each([
    ['Pacific/Auckland', '2026-03-03', 30],
    ['Pacific/Honolulu', '2026-03-02', 90],
    ['UTC', '2026-03-02', 690],
  ])('are those of a shop in %s', (zone, day, minute) => {
    vi.useFakeTimers({ now: new Date('2026-03-02T11:30:00.000Z'), toFake: ['Date'] });
    setShopZone(zone);
    expect(shopClock()).toEqual({ day, minute });
    expect(shopDayOf('2026-03-02T11:30:00.000Z')).toBe(day);
  });

  it('say “today” by the shop’s calendar', () => {
    vi.useFakeTimers({ now: new Date('2026-03-02T11:30:00.000Z'), toFake: ['Date'] });
    const anHourAgo = '2026-03-02T10:30:00.000Z';
    setShopZone('Pacific/Auckland');
    expect(write.moment(anHourAgo)).toBe(`${write.day(anHourAgo)} ${write.clock(anHourAgo)}`);
    setShopZone('Pacific/Honolulu');
    expect(write.moment(anHourAgo)).toBe(write.clock(anHourAgo));
  });

  it('write a day as that day, in every zone', () => {
    const day = toDay('2026-03-02');
    const written = ['Pacific/Auckland', 'Pacific/Honolulu', 'UTC'].map((zone) => {
      setShopZone(zone);
      return write.plainDay(day);
    });
    expect(new Set(written).size).toBe(1);
    expect(written[0]).toContain('2');
  });
});
