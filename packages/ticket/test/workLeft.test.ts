import type { CauseBelief, DutyStatus } from '@nodo/core';
import { describe, expect, it } from 'vitest';
import { workLeftOn } from '../src/index.ts';
import { believed, dutyIn, modelFor, Story } from './story.ts';

const story = new Story('drop-in', ['skip']);
const model = modelFor(story);
const minutesOf = (check: string) => model.checks.get(check)?.minutes ?? Number.NaN;
/** What the whole proof sews at the end. */
const PROOF = minutesOf('standard-straight') + minutesOf('standard-zigzag');
/** Putting it together and writing it down. */
const CLOSING = 4;

const meanOf = (
  beliefs: readonly CauseBelief[],
  duties: readonly DutyStatus[] = [],
  on: Story = story,
) => workLeftOn(on.ticket, model, { beliefs, duties }).mean;

describe('the minutes that a ticket still needs', () => {
  it('are closing and the proof where nothing is suspected, and closing alone once it was repaired', () => {
    expect(PROOF).toBeGreaterThan(1);
    expect(meanOf([])).toBeCloseTo(CLOSING + PROOF);
    const repaired = new Story('drop-in', ['skip']).does('power-off-confirmed').does('needle-set');
    expect(meanOf([], [], repaired)).toBeCloseTo(CLOSING);
    // Unplugging is no repair.
    const unplugged = new Story('drop-in', ['skip']).does('power-off-confirmed');
    expect(meanOf([], [], unplugged)).toBeCloseTo(CLOSING + PROOF);
    // Some of what was done repaired it.
    const both = new Story('drop-in', ['skip']).does('needle-set').does('power-off-confirmed');
    expect(meanOf([], [], both)).toBeCloseTo(CLOSING);
  });

  it('take a cause that is nearly sure for found: its repair and its proof, by its chance', () => {
    const cause = 'needle-backward';
    const fix = model.causes.get(cause)?.fixMinutes ?? Number.NaN;
    const sure = 7 / 8;
    expect(meanOf([believed(cause, sure)])).toBeCloseTo(
      CLOSING + (1 - sure) * PROOF + sure * (fix + PROOF),
    );
    // A little less sure, and it is looked for first.
    const look = minutesOf('needle-facing');
    const less = sure - 1e-9;
    expect(meanOf([believed(cause, less)])).toBeCloseTo(
      CLOSING + look + (1 - less) * PROOF + less * (fix + PROOF),
      3,
    );
  });

  it('leave out what is hardly suspected', () => {
    expect(meanOf([believed('needle-backward', 0.019)])).toBeCloseTo(CLOSING + PROOF);
    expect(meanOf([believed('needle-backward', 0.02)])).toBeGreaterThan(CLOSING + PROOF);
  });

  it('count each debt that is owed by what pays it, and none that is paid', () => {
    const ways = (duty: string) => model.duties.get(duty);
    const base = CLOSING + PROOF;
    const sweep = ways('strike-sweep')?.clearedAll ?? [];
    expect(sweep.length).toBeGreaterThan(1);
    const checks = sweep.flatMap((way) => /^check:([\w-]+)/.exec(way)?.[1] ?? []);
    const actions = sweep.flatMap((way) => /^action:([\w-]+)/.exec(way)?.[1] ?? []);
    const sum =
      checks.reduce((all, id) => all + minutesOf(id), 0) +
      actions.reduce((all, id) => all + (model.actions.get(id)?.minutes ?? 0), 0);
    expect(meanOf([], [dutyIn('owed', 'strike-sweep')])).toBeCloseTo(base + sum);
    expect(meanOf([], [dutyIn('cleared', 'strike-sweep')])).toBeCloseTo(base);
    expect(meanOf([], [dutyIn('waived', 'strike-sweep')])).toBeCloseTo(base);
    // Of several ways the first; of an action, its minutes.
    const [first = ''] = ways('fragments')?.clearedAny ?? [];
    const action = model.actions.get(first.replace('action:', ''));
    expect(action?.minutes).toBeGreaterThan(0);
    expect(meanOf([], [dutyIn('owed', 'fragments')])).toBeCloseTo(base + (action?.minutes ?? 0));
    // What no table knows takes the usual time.
    expect(meanOf([], [dutyIn('owed', 'no-such-duty')])).toBeCloseTo(base + 3);
    expect(meanOf([], [dutyIn('owed', 'fragments'), dutyIn('owed', 'no-such-duty')])).toBeCloseTo(
      base + (action?.minutes ?? 0) + 3,
    );
  });

  it('are none once it is closed', () => {
    const closed = { ...story.ticket, status: 'closed' as const };
    expect(workLeftOn(closed, model, { beliefs: [], duties: [] })).toEqual({ mean: 0, spread: 0 });
  });
});
