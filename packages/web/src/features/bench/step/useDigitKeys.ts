import { useEffect, useRef } from 'react';

/**
 * Single keys that act while the step is on the screen, unless somebody is typing, a sheet
 * lies over it, or the step is answered and the next is on its way.
 */
export function useDigitKeys(actions: Readonly<Record<string, () => unknown>>): void {
  const latest = useRef(actions);
  useEffect(() => {
    latest.current = actions;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      if (isTyping(event.target) || document.querySelector(OUT_OF_REACH)) return;
      // A focused button answers to Enter by itself.
      if (event.key === 'Enter' && event.target instanceof HTMLButtonElement) return;
      const action = latest.current[event.key];
      if (!action) return;
      event.preventDefault();
      action();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}

const OUT_OF_REACH = '[role="dialog"], [inert] #step-title';

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLInputElement ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement
  );
}
