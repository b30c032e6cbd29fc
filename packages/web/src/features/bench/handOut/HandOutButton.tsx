import { lazy, Suspense, useState } from 'react';
import { later } from '../../../messages/later.ts';
import { Button } from '../../../ui/Button.tsx';

const HandOut = lazy(() => import('./HandOut.tsx'));

/** Begins the hand-out of a machine that is closed. */
export function HandOutButton() {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button look="main" onClick={() => setOpen(true)}>
        {later.handOut.open}
      </Button>
      {isOpen && (
        <Suspense>
          <HandOut onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
