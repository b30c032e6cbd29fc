import { lazy, Suspense, useState } from 'react';
import { m } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { Button } from '../../ui/Button.tsx';

const PinSheet = lazy(() => import('./PinSheet.tsx'));

const DISMISSED_UNDER = 'nodo.pinDismissed';

/** On a telephone or tablet: offers a PIN to whoever has none, before the screen locks for the first time. */
export function AskPin() {
  const { person, screen } = useSession();
  const [isDismissed, setDismissed] = useState(
    () => localStorage.getItem(DISMISSED_UNDER) === person.id,
  );
  const [isOpen, setOpen] = useState(false);
  const hasPin = screen.people.some(({ id, hasPin }) => id === person.id && hasPin);
  const isHeld = window.matchMedia('(pointer: coarse)').matches;
  if (hasPin || isDismissed || !isHeld || screen.locked) return null;
  const words = m.shell.person;
  return (
    <section
      aria-label={words.setPin}
      className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule gutter py-2"
    >
      <p className="min-w-60 flex-1 leading-snug">{words.askPin}</p>
      <Button onClick={() => setOpen(true)}>{words.setPin}</Button>
      <Button
        look="quiet"
        onClick={() => {
          localStorage.setItem(DISMISSED_UNDER, person.id);
          setDismissed(true);
        }}
      >
        {m.shell.notices.putAway}
      </Button>
      {isOpen && (
        <Suspense>
          <PinSheet onDone={() => setOpen(false)} />
        </Suspense>
      )}
    </section>
  );
}
