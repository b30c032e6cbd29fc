import { DIAL } from '@nodo/core';
import { readNumber } from '../../messages/typed.ts';

/** What somebody typed as a number of the tension's dial; undefined when it is none. */
export function readDial(typed: string): number | undefined {
  const dial = readNumber(typed);
  return dial !== undefined && dial >= DIAL.least && dial <= DIAL.most ? dial : undefined;
}
