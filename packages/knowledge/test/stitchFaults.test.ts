import { leastAdjustments, meetingsOf, mm, SEATED, strengthOf, USUAL_FORMER } from '@nodo/core';
import { describe, expect, it } from 'vitest';
import { type FamilyModel, modelOf, STITCH_FAULTS, signsOf } from '../src/index.ts';

const THREAD = mm(0.25);
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
    for (const { meetings: after } of offers) expect(signsOf(after)).toEqual([]);
    // Nothing at the hook helps a fabric that rises with the needle as much as holding it down.
    if (cause !== 'flagging') expect(offers.length).toBeGreaterThan(0);
  });
});
