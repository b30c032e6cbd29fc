import type { ReactNode } from 'react';
import { m } from '../../messages/index.ts';
import { Button } from '../../ui/Button.tsx';
import { Key } from '../../ui/Key.tsx';
import { useStepKeys } from '../../ui/useKeys.ts';

/** Always one tap away from a step: cannot tell, not now, and what else the view offers. */
export function WaysOut({
  onCannotTell,
  onNotNow,
  children,
}: {
  /** Undefined for a step that asks nothing. */
  readonly onCannotTell: (() => void) | undefined;
  /** Undefined for a step that cannot be put off. */
  readonly onNotNow: (() => void) | undefined;
  readonly children: ReactNode;
}) {
  useStepKeys({
    ...(onCannotTell ? { 0: onCannotTell } : {}),
    ...(onNotNow ? { n: onNotNow } : {}),
  });
  return (
    <div className="sticky bottom-0 flex max-lg:mt-4 lg:static flex-wrap items-center gap-x-2 border-t border-rule bg-paper py-1.5">
      {onCannotTell && (
        <Button look="quiet" onClick={onCannotTell}>
          <Key>0</Key> {m.bench.step.cannotTell}
        </Button>
      )}
      {onNotNow && (
        <Button look="quiet" onClick={onNotNow}>
          <Key>n</Key> {m.bench.step.notNow}
        </Button>
      )}
      {children}
    </div>
  );
}
