import { expect, it } from 'vitest';
import { tableEvent } from '../src/events.ts';
import { foldChangeRequests, versionInForce } from '../src/index.ts';
import tablesV1 from './golden/tables-v1.json';

it('golden file tables-v1: the changes of a shop, every kind of change among them', () => {
  const events = tablesV1.events.map((event) => tableEvent.parse(event));
  expect(events).toEqual(tablesV1.events);
  const { proposals, inForce } = foldChangeRequests(events);
  expect(proposals.map(({ state }) => state)).toEqual(tablesV1.expected.states);
  expect(inForce).toEqual(tablesV1.expected.inForce);
  const present = versionInForce(foldChangeRequests(events)).knowledge;
  expect(present.causes.get('needle-low')?.perMille).toBe(60);
  expect(present.causes.has('own-0123456789ab')).toBe(false);
});
