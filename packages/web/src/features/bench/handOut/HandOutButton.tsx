import { lazy, Suspense, useState } from 'react';
import { m } from '../../../messages/index.ts';
import { Button } from '../../../ui/Button.tsx';

const HandOut = lazy(() => import('./HandOut.tsx'));

/** Begins the hand-out of a machine that is closed. */
export function HandOutButton() {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button look="main" onClick={() => setOpen(true)}>
        {m.handOut.open}
      </Button>
      {isOpen && (
        <Suspense>
          <HandOut onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
