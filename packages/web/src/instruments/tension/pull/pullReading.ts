import type { DialPulls, DialPullsVerdict } from '@nodo/core';
import type { CheckId, FindingId } from '@nodo/knowledge';
import type { Measure } from '@nodo/ticket';
import { readNumber } from '../../../messages/typed.ts';

/** What is pulled, in the order of the hand: presser up, then up through the dial, then down. */
export const ROWS = [
  { id: 'free', presser: 'up' },
  { id: 'up-2', presser: 'down', dial: 2, going: 'up' },
  { id: 'up-4', presser: 'down', dial: 4, going: 'up' },
  { id: 'up-6', presser: 'down', dial: 6, going: 'up' },
  { id: 'down-4', presser: 'down', dial: 4, going: 'down' },
  { id: 'down-2', presser: 'down', dial: 2, going: 'down' },
] as const;
export type Row = (typeof ROWS)[number];
export type RowId = Row['id'];

/** As they are typed; by feel the number of the step. */
export type TypedPulls = Readonly<Partial<Record<RowId, string>>>;

const MOST = 2000;

/** @returns undefined where nothing was typed, `wrong` where it is no pull */
export function pullTyped(text: string | undefined): number | 'wrong' | undefined {
  if (text === undefined || text.trim() === '') return undefined;
  const value = readNumber(text);
  return value === undefined || value < 0 || value > MOST ? 'wrong' : value;
}

/** The pulls as far as they can be read. */
export function pullsTyped(typed: TypedPulls): DialPulls {
  const at = (id: RowId) => {
    const value = pullTyped(typed[id]);
    return value === 'wrong' ? undefined : value;
  };
  return {
    free: at('free'),
    pulls: ROWS.flatMap((row) => {
      const pull = at(row.id);
      return row.presser === 'up' || pull === undefined
        ? []
        : [{ dial: row.dial, going: row.going, pull }];
    }),
  };
}

/** What the pulls answer, check by check. */
export function looksOfPulls({
  drags,
  grips,
  rises,
}: DialPullsVerdict): readonly { readonly check: CheckId; readonly seen: FindingId | undefined }[] {
  const look = (check: CheckId, is: boolean | undefined, finding: FindingId) =>
    is === undefined ? [] : [{ check, seen: is ? finding : undefined }];
  return [
    ...look('pull-foot-up', drags, 'drags-up'),
    ...look('pull-foot-down', grips === undefined ? undefined : !grips, 'no-grip'),
    ...look('dial-sweep', rises === undefined ? undefined : !rises, 'no-rise'),
  ];
}

/** Pulls by gauge as measures of the ticket. */
export function measuresOfPulls(
  { free, pulls }: DialPulls,
  when: Measure['when'],
): readonly Measure[] {
  const measure = (value: number, pulled: Measure['pulled']): Measure => ({
    quantity: 'top-tension',
    value: Math.round(value * 10) / 10,
    when,
    pulled,
  });
  return [
    ...(free === undefined ? [] : [measure(free, { presser: 'up' })]),
    ...pulls.map(({ dial, going, pull }) => measure(pull, { presser: 'down', dial, going })),
  ];
}
