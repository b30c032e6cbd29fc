import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const STYLES = readFileSync(new URL('../src/styles.css', import.meta.url), 'utf8');

/** The tokens of a theme by name; the night bench keeps what it does not set. */
function tokensOf(theme: 'day' | 'night'): ReadonlyMap<string, string> {
  const block = (start: string) => STYLES.slice(STYLES.indexOf(start)).split('}')[0] ?? '';
  const read = (text: string) =>
    [...text.matchAll(/--([\w-]+): (#[0-9a-f]{6});/g)].map(
      ([, name = '', value = '']) => [name, value] as const,
    );
  const day = read(block(':root {'));
  return new Map(theme === 'day' ? day : [...day, ...read(block('[data-theme="night"] {'))]);
}

/** Relative luminance and contrast. Source: WCAG 2.2, definitions of both. */
function contrast(one: string, other: string): number {
  const luminance = (colour: string) => {
    const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
      const part = Number.parseInt(colour.slice(at, at + 2), 16) / 255;
      return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
    });
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  const [low = 0, high = 0] = [luminance(one), luminance(other)].toSorted((a, b) => a - b);
  return (high + 0.05) / (low + 0.05);
}

describe.each(['day', 'night'] as const)('on the %s bench', (theme) => {
  const tokens = tokensOf(theme);
  const against = (name: string, ground: string) =>
    contrast(tokens.get(name) ?? '', tokens.get(ground) ?? '');
  const GROUNDS = ['ground', 'paper', 'sunk'];

  it.each(['ink', 'quiet', 'hazard', 'above', 'below'])('%s is read on every ground', (name) => {
    // WCAG 2.2, 1.4.3: 4.5 to 1.
    for (const ground of GROUNDS) expect(against(name, ground), ground).toBeGreaterThanOrEqual(4.5);
  });

  it('the border of a choice is seen', () => {
    // WCAG 2.2, 1.4.11: 3 to 1.
    for (const ground of GROUNDS) expect(against('edge', ground), ground).toBeGreaterThanOrEqual(3);
  });

  it('cloth and shelf stand out of what they lie on', () => {
    // Ours, no source: a surface, no sign.
    for (const ground of ['ground', 'paper'])
      expect(against('cloth', ground), ground).toBeGreaterThanOrEqual(1.6);
  });
});

it('no file but the tokens names a colour', () => {
  const rest = STYLES.replace(/:root \{[^}]*\}/, '').replace(
    /\[data-theme="night"\] \{[^}]*\}/,
    '',
  );
  expect(rest.match(/#[0-9a-f]{3,8}\b/gi) ?? []).toEqual([]);
});
