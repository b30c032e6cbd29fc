import { describe, expect, it } from 'vitest';
import {
  freeingSteps,
  isUnpluggedFirst,
  KNOWLEDGE,
  modelOf,
  PHONE_WORDS,
  STOP_ON,
  WANTS_FREEING,
} from '../src/index.ts';

const families = [...KNOWLEDGE.families.keys()];

describe('freeing a nest or a jam', () => {
  it.each(families)('%s: unplugged first, cut beneath, unthreaded, turned until free', (family) => {
    const model = modelOf(family);
    if (!model) throw new Error('no model');
    const ids = freeingSteps(model, 'bench').map(({ id }) => id);
    expect(ids[0]).toBe('off');
    expect(ids.includes('open')).toBe(model.checks.has('race-scraps'));
    expect(ids.indexOf('needle-out')).toBeLessThan(ids.indexOf('cut'));
    expect(ids.indexOf('cut')).toBeLessThan(ids.indexOf('clear'));
    expect(ids.at(-1)).toBe('turn');
  });

  it.each(families)('%s: over the telephone nothing is opened and nothing cut', (family) => {
    const model = modelOf(family);
    if (!model) throw new Error('no model');
    const ids = freeingSteps(model, 'phone').map(({ id }) => id);
    expect(ids).toEqual(['off', 'up', 'pull', 'unthread', 'turn']);
  });

  it('names findings, checks and actions that there are', () => {
    for (const finding of [...WANTS_FREEING, ...STOP_ON]) {
      expect(KNOWLEDGE.findings.has(finding), finding).toBe(true);
    }
    for (const check of Object.keys(PHONE_WORDS)) {
      expect(KNOWLEDGE.checks.has(check), check).toBe(true);
    }
  });
});

describe('by telephone', () => {
  it('the plug is out before fingers come near needle or bobbin, and in for what is sewn', () => {
    const checks = [...(modelOf('drop-in')?.checks.values() ?? [])].filter(
      ({ where }) => where === 'phone',
    );
    const unplugged = checks.filter(isUnpluggedFirst).map(({ id }) => id);
    expect(unplugged).toEqual(
      expect.arrayContaining(['needle-facing', 'needle-seat', 'bobbin-tail', 'bobbin-path']),
    );
    for (const { id, needs } of checks) if (needs === 'sews') expect(unplugged).not.toContain(id);
    expect(unplugged).not.toContain('power-look');
  });
});
