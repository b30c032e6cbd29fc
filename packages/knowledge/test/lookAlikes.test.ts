import { describe, expect, it } from 'vitest';
import { KNOWLEDGE, lookAlikes, modelOf } from '../src/index.ts';

const model = modelOf('drop-in');
if (!model) throw new Error('no such family');

describe('what looks like a cause', () => {
  it('is in order, never itself, and shares a part of what the cause shows', () => {
    for (const cause of model.causes.keys()) {
      const alike = lookAlikes(model, cause, 5);
      const shares = alike.map(({ shared }) => shared);
      expect(shares.toSorted((a, b) => b - a)).toEqual(shares);
      for (const one of alike) {
        expect(one.cause).not.toBe(cause);
        expect(one.shared).toBeGreaterThanOrEqual(0.2);
        expect(one.shared).toBeLessThanOrEqual(1);
      }
    }
  });

  it('is told apart by what the one shows and the other does not, or hardly', () => {
    const shows = (cause: string, finding: string | undefined) =>
      Object.values(KNOWLEDGE.causes.get(cause)?.shows ?? {}).some((ids) =>
        ids.some((id) => id === finding),
      );
    const pairs = [...model.causes.keys()].flatMap((cause) =>
      lookAlikes(model, cause, 5).map((one) => ({ ...one, of: cause })),
    );
    expect(pairs.length).toBeGreaterThan(40);
    for (const { of, cause, ours, theirs } of pairs) {
      expect(ours === undefined || shows(of, ours), `${of} ${ours}`).toBe(true);
      expect(theirs === undefined || shows(cause, theirs), `${cause} ${theirs}`).toBe(true);
      expect(theirs === undefined || ours !== theirs).toBe(true);
    }
    // Almost all can be told apart by something.
    const alike = pairs.filter(({ ours, theirs }) => ours === undefined && theirs === undefined);
    expect(alike.length / pairs.length).toBeLessThan(0.1);
  });

  // Trade fact: a thread beside the discs and one that missed the take-up both bunch up underneath; the pull that does
  // not rise with the presser down points to the discs.
  it('holds the take-up beside the discs', () => {
    const [likest] = lookAlikes(model, 'outside-tension-discs', 1);
    expect(likest?.cause).toBe('takeup-missed');
  });

  it('is nothing for a cause that the machine cannot have', () => {
    expect(lookAlikes(model, 'no-such-cause', 5)).toEqual([]);
  });
});
