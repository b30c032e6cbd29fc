import { mayTakeIn } from '@nodo/ticket';
import { ScanLine, Search } from 'lucide-react';
import { type ComponentProps, lazy, Suspense, useState } from 'react';
import { m } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { useKeys } from '../../ui/useKeys.ts';

/** What somebody did at the search before it was there. */
type Begun = ComponentProps<typeof FindBox>['begun'];

const FindBox = lazy(() => import('../../features/find/FindBox.tsx'));

/**
 * The place of the search, light until somebody comes to it: what does the finding is loaded then, and goes on
 * with the letters that were typed meanwhile.
 */
export function FindStarter() {
  const { role } = useSession().person;
  const [begun, setBegun] = useState<Begun>();
  const begin = (text = '', scan = false) => setBegun({ text, scan, isEntered: false });
  const words = m.life.find;
  useKeys(begun ? {} : { '/': () => begin() });
  if (!mayTakeIn(role)) return null;
  const starter = (
    <div className="flex min-w-48 flex-1 items-center md:max-w-sm">
      <div className="relative min-w-0 flex-1">
        <Search aria-hidden size={18} className="absolute top-3.5 left-3 text-quiet" />
        <input
          // biome-ignore lint/a11y/noAutofocus: whoever came here goes on typing while what does the finding is loaded
          autoFocus={begun !== undefined}
          aria-label={words.label}
          placeholder={words.label}
          value={begun?.text ?? ''}
          maxLength={200}
          dir="auto"
          onFocus={() => begun === undefined && begin()}
          onChange={({ target }) => begin(target.value)}
          onKeyDown={({ key }) => {
            if (key === 'Enter' && begun) setBegun({ ...begun, isEntered: true });
          }}
          className="min-h-11 w-full rounded-md border-2 border-edge bg-paper pr-3 pl-9"
        />
      </div>
      <Button
        look="quiet"
        aria-label={words.scan}
        title={words.scan}
        onClick={() => begin('', true)}
      >
        <ScanLine aria-hidden size={20} />
      </Button>
    </div>
  );
  if (!begun) return starter;
  return (
    <Suspense fallback={starter}>
      <FindBox begun={begun} />
    </Suspense>
  );
}
