import {
  createContext,
  type ReactNode,
  useContext,
  useLayoutEffect,
  useRef,
  useState,
} from 'react';
import { createPortal } from 'react-dom';

const MainAction = createContext<HTMLElement | null>(null);

/**
 * The one main button of a step, pinned below it with the ways out.
 * Nothing until the place for it stands.
 */
export function PinnedAction({ children }: { readonly children: ReactNode }) {
  const place = useContext(MainAction);
  return place && createPortal(children, place);
}

const SLIDE_IN = [{ transform: 'translateX(0.75rem)' }, {}];
const SLIDE_MS = 160;

/** A step, and pinned below it what is always one tap away. A new step begins at its top. */
export function StepBody({
  children,
  waysOut,
  name,
}: {
  readonly children: ReactNode;
  readonly waysOut: ReactNode;
  /** Which step it is. */
  readonly name: string;
}) {
  const [place, setPlace] = useState<HTMLElement | null>(null);
  const scroller = useRef<HTMLDivElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another step is the reason
  useLayoutEffect(() => {
    scroller.current?.scrollTo({ top: 0 });
    // What is read first moves; nothing that a hand is on its way to.
    const title = scroller.current?.querySelector('#step-title');
    if (!matchMedia('(prefers-reduced-motion: reduce)').matches) {
      title?.animate(SLIDE_IN, { duration: SLIDE_MS, easing: 'ease-out' });
    }
  }, [name]);
  return (
    <MainAction value={place}>
      <div
        ref={scroller}
        className="@container relative min-h-0 flex-1 overflow-y-auto gutter pt-3 pb-3"
      >
        {children}
      </div>
      <div
        data-pinned
        className="flex shrink-0 flex-wrap items-center gap-x-2 gap-y-1 border-t border-rule bg-paper px-3 py-1 sm:px-4 [&:has(>span:only-child:empty)]:hidden"
      >
        {waysOut}
        <span ref={setPlace} className="ml-auto empty:hidden" />
      </div>
    </MainAction>
  );
}
