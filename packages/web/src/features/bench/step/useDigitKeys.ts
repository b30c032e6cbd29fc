import { useEffect, useRef } from 'react';

/**
 * Single keys that act while the step is on the screen, unless somebody is typing or a
 * sheet lies over it.
 */
export function useDigitKeys(actions: Readonly<Record<string, () => unknown>>): void {
  const latest = useRef(actions);
  useEffect(() => {
    latest.current = actions;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      if (isTyping(event.target) || document.querySelector('[role="dialog"]')) return;
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

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLInputElement ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement
  );
}
