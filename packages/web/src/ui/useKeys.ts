import { useEffect, useRef } from 'react';

type Actions = Readonly<Record<string, () => unknown>>;

const SHEET = '[role="dialog"]';
/** Answered already, and the next is on its way. */
const HELD_STEP = '[inert] #step-title';

/** Keys that answer the step on the screen; none does once it was answered. */
export function useStepKeys(actions: Actions): void {
  useKeys(actions, `${SHEET}, ${HELD_STEP}`);
}

/**
 * Single keys that act unless somebody is typing or a sheet lies over the view.
 * @param outOfReach they do not act while this is on the page.
 */
export function useKeys(actions: Actions, outOfReach = SHEET): void {
  const latest = useRef(actions);
  useEffect(() => {
    latest.current = actions;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      if (isTyping(event.target) || document.querySelector(outOfReach)) return;
      // A focused button answers to Enter by itself.
      if (event.key === 'Enter' && event.target instanceof HTMLButtonElement) return;
      const action = latest.current[event.key];
      if (!action) return;
      event.preventDefault();
      action();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [outOfReach]);
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLInputElement ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement
  );
}
