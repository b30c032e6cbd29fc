import { describe, expect, it } from 'vitest';
import { DRAWN_PLACES, isDrawnPlace, placeNearest } from '../src/drawing/MachineDrawing.tsx';

describe('a tap on the drawn machine', () => {
  it.each([
    ['the hand wheel', 306, 104, 'hand-wheel'],
    ['the spool', 226, 30, 'spool'],
    ['the check spring, which lies within the path', 97, 172, 'check-spring'],
    ['the feed teeth', 103, 301, 'feed'],
    ['the switch', 290, 322, 'power'],
    ['beside everything, lower right', 330, 360, 'power'],
  ])('means %s', (_, x, y, place) => {
    expect(placeNearest(x, y)).toBe(place);
  });

  it('can only mean a place that is drawn', () => {
    expect(DRAWN_PLACES.length).toBeGreaterThan(15);
    expect(DRAWN_PLACES.every(isDrawnPlace)).toBe(true);
    expect(isDrawnPlace('talk')).toBe(false);
  });
});
