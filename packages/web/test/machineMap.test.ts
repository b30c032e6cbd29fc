import { KNOWLEDGE, SHIPPED } from '@nodo/knowledge';
import { describe, expect, it } from 'vitest';
import { BODIES, bodyOf } from '../src/drawing/body/bodies.ts';
import {
  catcherOf,
  drawnPlace,
  MM_PER_UNIT,
  PATH_POINTS,
  placeNearest,
  spotsOf,
} from '../src/drawing/body/body.ts';
import { boxOf } from '../src/drawing/MachineDrawing.tsx';

const FAMILIES = [...KNOWLEDGE.families.values()];
const dropIn = bodyOf('drop-in');

describe('a tap on the drawn machine', () => {
  it.each([
    ['the hand wheel', 322, 140, 'hand-wheel'],
    ['the spool', 205, 80, 'spool'],
    ['the check spring, close to the take-up', 76, 178, 'check-spring'],
    ['the feed teeth', 92, 262, 'feed'],
    ['the socket', 302, 318, 'power'],
    ['beside everything, lower right', 340, 340, 'power'],
  ])('means %s', (_, x, y, place) => {
    expect(placeNearest(dropIn, x, y)).toBe(place);
  });

  it('can only mean a place that the machine has', () => {
    expect(drawnPlace(dropIn, 'bobbin')).toBe('bobbin');
    expect(drawnPlace(bodyOf('overlocker'), 'bobbin')).toBeUndefined();
    expect(drawnPlace(dropIn, 'talk')).toBeUndefined();
    expect(drawnPlace(dropIn, null)).toBeUndefined();
  });
});

describe.each(FAMILIES)('the body of $id', (family) => {
  const body = bodyOf(family.id);

  it('is its own, and catches the loop as its tables say', () => {
    expect(BODIES.has(family.id)).toBe(true);
    expect(body.catcher).toBe(catcherOf(family));
  });

  it('shows every place that its checks lead to', () => {
    const places = [...(SHIPPED.modelOf(family.id)?.checks.values() ?? [])].map(
      ({ place }) => place,
    );
    const missing = places.filter((place) => place !== 'talk' && !spotsOf(body).has(place));
    expect([...new Set(missing)]).toEqual([]);
  });

  it('leads its thread through its own points in their order, all within the picture', () => {
    const [left, top, width, height] = boxOf(body);
    const points = PATH_POINTS.flatMap((point) => body.path[point] ?? []);
    expect(points.length).toBeGreaterThanOrEqual(2 * (PATH_POINTS.length - 1));
    for (const [x, y] of PATH_POINTS.flatMap((point) => {
      const at = body.path[point];
      return at ? [at] : [];
    })) {
      expect(x > left && x < left + width && y > top && y < top + height).toBe(true);
      // The thread passes it: a point of its line lies within a finger's breadth.
      const line = [...body.thread.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, a, b]) => [
        Number(a),
        Number(b),
      ]);
      const away = Math.min(...line.map(([a = 0, b = 0]) => Math.hypot(a - x, b - y)));
      expect(away).toBeLessThan(30);
    }
  });

  it('has its needle over the plate, below the head', () => {
    const [needle = 0] = body.needles;
    expect(body.path.needle?.[0]).toBeCloseTo(needle, -0.5);
    expect(body.plate - (body.path.needle?.[1] ?? 0)).toBe(16);
  });
});

it('the bodies are as wide as machines of their kind are, to one scale', () => {
  // Common sizes of the trade, no source: a household machine 380 to 430 mm with its wheel, a compact one below 270.
  const widthOf = (family: string) => {
    const xs = bodyOf(family)
      .castings.join(' ')
      .matchAll(/[MLQTV ]?(-?[\d.]+) (-?[\d.]+)/g);
    const all = [...xs].map(([, x]) => Number(x));
    return (Math.max(...all) - Math.min(...all)) * MM_PER_UNIT;
  };
  for (const family of ['drop-in', 'front-loading', 'side-needle']) {
    expect(widthOf(family)).toBeGreaterThan(360);
    expect(widthOf(family)).toBeLessThan(430);
  }
  expect(widthOf('mini')).toBeLessThan(270);
  expect(widthOf('overlocker')).toBeLessThan(widthOf('drop-in'));
});

it('no two families are drawn alike', () => {
  const outlines = FAMILIES.map(({ id }) => bodyOf(id).castings.join(' '));
  expect(new Set(outlines).size).toBe(FAMILIES.length);
});
