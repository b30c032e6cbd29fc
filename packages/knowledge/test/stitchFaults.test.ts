import {
  clearances,
  forms,
  leastAdjustments,
  meetingsOf,
  mm,
  needleSize,
  SEATED,
  spareOf,
  strengthOf,
  threadInNeedle,
  turnOf,
  USUAL_FORMER,
} from '@nodo/core';
import { describe, expect, it } from 'vitest';
import {
  type FamilyModel,
  KNOWLEDGE,
  modelOf,
  STITCH_FAULTS,
  signsOf,
  stitchPreset,
} from '../src/index.ts';

const THREAD = mm(0.25);
const SHIPPED_FAMILIES = [...KNOWLEDGE.families.keys()];
const SET_RIGHT = { former: USUAL_FORMER, seat: SEATED };
/** A kind of machine that has each of the causes. */
const FAMILIES = ['drop-in', 'round-shank'];
const model = (cause: string): FamilyModel => {
  const found = FAMILIES.map((family) => modelOf(family)).find((one) => one?.causes.has(cause));
  if (!found) throw new Error(`No kind of these has ${cause}`);
  return found;
};

describe('a machine that is set right', () => {
  it('shows nothing', () => {
    expect(signsOf(meetingsOf(USUAL_FORMER, SEATED, THREAD))).toEqual([]);
  });
});

describe.each(
  STITCH_FAULTS.map((fault) => [`${fault.cause} ${fault.way ?? ''}`.trim(), fault] as const),
)('the geometry and the tables on %s', (_, { cause, apply }) => {
  const { former, seat } = apply(SET_RIGHT);
  const meetings = meetingsOf(former, seat, THREAD);

  it('go in one direction: what the geometry makes likely the tables do not deny', () => {
    const signs = signsOf(meetings);
    expect(signs.length).toBeGreaterThan(0);
    const { network } = model(cause);
    const at = network.causeIndex.get(cause) ?? Number.NaN;
    for (const sign of signs) {
      const strengths = sign.map((one) =>
        strengthOf(network, at, network.findingIndex.get(one) ?? Number.NaN),
      );
      expect(Math.max(...strengths), sign.join()).toBeGreaterThan(0);
    }
  });

  it('end when the right thing is set', () => {
    const minutes = { needle: 1, timing: 25, bar: 15, gap: 12 };
    const offers = leastAdjustments({ former, seat }, THREAD, minutes);
    const whole = offers.filter(({ unmet }) => unmet.length === 0);
    for (const { meetings: after } of whole) expect(signsOf(after)).toEqual([]);
    // Nothing at the hook helps a fabric that rises with the needle as much as holding it down.
    if (cause !== 'flagging') expect(whole.length).toBeGreaterThan(0);
  });
});

describe('a thread that is too thick for its needle', () => {
  const thin = threadInNeedle(mm(0.2), needleSize(60));
  const meetings = meetingsOf(USUAL_FORMER, SEATED, THREAD);

  it('frays or breaks, as the tables say of too small an eye', () => {
    expect(threadInNeedle(mm(0.2), needleSize(80))).toMatchObject({
      lies: 'lies',
      hold: 'swivels',
    });
    expect(thin).toMatchObject({ lies: 'stands-out' });
    const signs = signsOf(meetings, { needle: thin, slack: 0 });
    expect(signs).toEqual([['shred', 'top-break']]);
    const { network } = model('needle-eye-small');
    const at = network.causeIndex.get('needle-eye-small') ?? Number.NaN;
    const shown = signs.flat().map((one) => network.findingIndex.get(one) ?? Number.NaN);
    for (const finding of shown) expect(strengthOf(network, at, finding)).toBeGreaterThan(0);
  });

  it('breaks where the turn wants much more than is given', () => {
    const needle = threadInNeedle(mm(0.2), needleSize(80));
    expect(signsOf(meetings, { needle, slack: -5 })).toEqual([['top-break']]);
    expect(signsOf(meetings, { needle, slack: -0.5 })).toEqual([]);
  });
});

describe.each(SHIPPED_FAMILIES)('a usual %s', (family) => {
  const preset = stitchPreset(family);

  it('forms its stitch at every swing, strikes nothing, and never pulls its thread tight', () => {
    if (!modelOf(family)?.family.traits.includes('bobbin')) {
      expect(preset).toBeUndefined();
      return;
    }
    if (!preset) throw new Error(`No preset for ${family}`);
    const { set, around } = preset;
    const zigzag = modelOf(family)?.family.traits.includes('zigzag') === true;
    const meetings = meetingsOf(set.former, SEATED, THREAD);
    expect(meetings).toHaveLength(zigzag ? 3 : 1);
    expect(forms(meetings, spareOf(set.former))).toBe(true);
    const turn = turnOf(set, 720);
    expect(Math.min(...turn.slack)).toBeGreaterThan(-0.1);
    const blade = { diameter: mm(0.8), tip: mm(4.7), swing: set.former.swing, bent: 0, low: 0 };
    for (const room of Object.values(clearances(around, blade))) expect(room).toBeGreaterThan(0);
  });
});
