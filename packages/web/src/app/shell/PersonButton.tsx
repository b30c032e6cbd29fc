import { lazy, Suspense, useState } from 'react';
import { useSession } from '../../session/SessionContext.tsx';
import { FACE_BUTTON, PersonFace } from './PersonFace.tsx';

const PersonMenu = lazy(() => import('./PersonMenu.tsx'));

/** Who stands at this screen. The menu behind it is loaded when it is first opened. */
export function PersonButton() {
  const session = useSession();
  const [isWanted, setIsWanted] = useState(false);
  const closed = (
    <button
      type="button"
      aria-haspopup="menu"
      className={FACE_BUTTON}
      onClick={() => setIsWanted(true)}
    >
      <PersonFace person={session.person} />
    </button>
  );
  if (!isWanted) return closed;
  return (
    <Suspense fallback={closed}>
      <PersonMenu />
    </Suspense>
  );
}
