import type { ComponentProps } from 'react';
import { NumberField } from '../ui/Field.tsx';
import { useMoney } from './useMoney.ts';

/** An amount in the shop's currency, whose sign stands in the box. */
export function AmountField(props: Omit<ComponentProps<typeof NumberField>, 'unit' | 'whole'>) {
  return <NumberField unit={useMoney().sign} {...props} />;
}
