import type { ReactNode } from 'react';
import { later } from '../../messages/later.ts';
import { Button } from '../../ui/Button.tsx';
import { Key } from '../../ui/Key.tsx';
import { useStepKeys } from '../../ui/useKeys.ts';

/** Always one tap away from a step: cannot tell, not now, and what else the view offers. */
export function WaysOut({
  cannotTell,
  onCannotTell,
  onNotNow,
  children,
}: {
  /** How the view asks why something cannot be answered. */
  readonly cannotTell?: ReactNode;
  /** Where nobody is asked why; undefined for a step that asks nothing. */
  readonly onCannotTell?: (() => void) | undefined;
  /** Undefined for a step that cannot be put off. */
  readonly onNotNow: (() => void) | undefined;
  readonly children: ReactNode;
}) {
  useStepKeys({
    ...(onCannotTell ? { 0: onCannotTell } : {}),
    ...(onNotNow ? { n: onNotNow } : {}),
  });
  return (
    <>
      {cannotTell}
      {onCannotTell && (
        <Button look="quiet" onClick={onCannotTell}>
          <Key>0</Key> {later.bench.step.cannotTell}
        </Button>
      )}
      {onNotNow && (
        <Button look="quiet" onClick={onNotNow}>
          <Key>n</Key> {later.bench.step.notNow}
        </Button>
      )}
      {children}
    </>
  );
}
