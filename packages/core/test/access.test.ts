import { describe, expect, it } from 'vitest';
import { CoreError, machineMinutes, minutes, openingChain } from '../src/index.ts';

const STATES = [
  { id: 'closed', from: undefined, openMinutes: 0, closeMinutes: 0 },
  { id: 'foot-off', from: 'closed', openMinutes: 0.7, closeMinutes: 1 },
  { id: 'plate-off', from: 'foot-off', openMinutes: 1, closeMinutes: 1.5 },
  { id: 'door', from: 'closed', openMinutes: 0.1, closeMinutes: 0.1 },
];
const open = (...ids: readonly string[]) => new Set(ids);

describe('opening', () => {
  it('names everything on the way, outermost first', () => {
    expect(openingChain(STATES, open(), 'plate-off').map(({ id }) => id)).toEqual([
      'foot-off',
      'plate-off',
    ]);
  });

  it('leaves out what is off already', () => {
    expect(openingChain(STATES, open('foot-off'), 'plate-off').map(({ id }) => id)).toEqual([
      'plate-off',
    ]);
  });

  it('knows that door and plate do not presuppose each other', () => {
    expect(openingChain(STATES, open('door'), 'foot-off').map(({ id }) => id)).toEqual([
      'foot-off',
    ]);
  });

  it('refuses a state that this machine does not have', () => {
    expect(() => openingChain(STATES, open(), 'hood')).toThrow(CoreError);
  });
});

describe('minutes on the machine as it stands', () => {
  const looks = { minutes: 0.5, access: 'plate-off', sews: false };

  it('pays opening and the closing that it newly makes necessary', () => {
    expect(machineMinutes(STATES, open(), looks)).toBeCloseTo(0.5 + 0.7 + 1 + 1 + 1.5, 12);
  });

  it('pays nothing more when it is open', () => {
    expect(machineMinutes(STATES, open('foot-off', 'plate-off'), looks)).toBe(0.5);
  });

  it('pays the closing of everything open before it sews', () => {
    const sews = { minutes: 2, access: 'closed', sews: true };
    expect(machineMinutes(STATES, open('foot-off', 'door'), sews)).toBeCloseTo(3.1, 12);
  });

  it.each([-1, Number.NaN, Number.POSITIVE_INFINITY])('refuses %d as a length of work', (value) => {
    expect(() => minutes(value)).toThrow('not-a-duration');
  });
});
