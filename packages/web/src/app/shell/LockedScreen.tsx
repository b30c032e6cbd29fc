import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { SignInForm } from '../../features/signIn/SignInForm.tsx';
import { m } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { PersonMark } from '../../ui/PersonMark.tsx';
import { PinForm } from './PinForm.tsx';

/**
 * Over everything, open sheets too, while nobody is at the screen. What was entered stays
 * behind it and cannot be seen (styles.css hides whatever is not part of this overlay).
 */
export default function LockedScreen() {
  const session = useSession();
  const withPin = session.screen.people.filter(({ hasPin }) => hasPin);
  const first = withPin.find(({ id }) => id === session.person.id) ?? withPin[0];
  const [chosen, setChosen] = useState(first);
  const [byPassword, setByPassword] = useState(first === undefined);
  const words = m.shell.locked;
  return (
    <Dialog.Root open>
      <Dialog.Portal>
        <Dialog.Overlay data-lock-overlay className="fixed inset-0 z-60 bg-ground" />
        <Dialog.Content
          data-lock-overlay
          aria-describedby={undefined}
          onEscapeKeyDown={stay}
          onInteractOutside={stay}
          className="fixed top-1/2 left-1/2 z-60 max-h-[96vh] w-[min(28rem,94vw)] -translate-1/2 overflow-y-auto rounded-lg border-2 border-rule bg-paper p-6 text-ink"
        >
          <Dialog.Title className="mb-1 text-2xl font-bold">{words.title}</Dialog.Title>
          <p className="mb-6 text-quiet">{words.lead}</p>
          {byPassword || !chosen ? (
            <SignInForm />
          ) : (
            <>
              <ul className="mb-6 flex flex-wrap gap-2">
                {withPin.map((person) => (
                  <li key={person.id}>
                    <button
                      type="button"
                      aria-pressed={person.id === chosen.id}
                      className="choice min-h-11 rounded-md px-3"
                      onClick={() => setChosen(person)}
                    >
                      <PersonMark person={person} silent />
                      <bdi>{person.name}</bdi>
                    </button>
                  </li>
                ))}
              </ul>
              <PinForm key={chosen.id} person={chosen} submit={m.shell.person.unlock} />
            </>
          )}
          {withPin.length > 0 && (
            <Button look="quiet" className="mt-4" onClick={() => setByPassword(!byPassword)}>
              {byPassword ? words.byPin : words.byPassword}
            </Button>
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function stay(event: Event): void {
  event.preventDefault();
}
