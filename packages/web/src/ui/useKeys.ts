import { useEffect, useRef } from 'react';

type Actions = Readonly<Record<string, () => unknown>>;

/** A sheet, an open list or menu: it has the keys for itself. */
const SHEET = '[role="dialog"], [role="menu"], [data-radix-select-viewport]';
/** Answered already, and the next is on its way. */
const HELD_STEP = '[inert] #step-title';

/** So long keys answer nothing after the screen changed by itself. */
const LOOK_MS = 1_000;
let heldUntil = 0;

/** Something changed that nobody at this screen did: a key that was on its way answers nothing. */
export function holdStepKeys(): void {
  heldUntil = performance.now() + LOOK_MS;
}

/** Keys that answer the step on the screen; none does once it was answered, or just after it changed by itself. */
export function useStepKeys(actions: Actions): void {
  useKeys(actions, `${SHEET}, ${HELD_STEP}`, areHeld);
}

function areHeld(): boolean {
  return performance.now() < heldUntil;
}

/**
 * Single keys that act unless somebody is typing or a sheet lies over the view.
 * @param outOfReach they do not act while this is on the page.
 * @param isHeld nor while this holds; must keep its identity.
 */
export function useKeys(actions: Actions, outOfReach = SHEET, isHeld = never): void {
  const latest = useRef(actions);
  useEffect(() => {
    latest.current = actions;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      // A sheet that it closed has answered it already.
      if (event.defaultPrevented) return;
      if (isTyping(event.target) || document.querySelector(outOfReach)) return;
      if (event.key === 'Enter' && ownsEnter(event.target)) return;
      const action = latest.current[event.key];
      if (!action || isHeld()) return;
      event.preventDefault();
      action();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [outOfReach, isHeld]);
}

function never(): boolean {
  return false;
}

/** A focused control answers to Enter by itself; an answer that is ticked by the space bar does not. */
function ownsEnter(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.matches('button, a, summary') &&
    !target.matches('[data-answer][aria-pressed]')
  );
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLInputElement ||
    target instanceof HTMLTextAreaElement ||
    (target instanceof HTMLElement && target.matches('[role="combobox"]'))
  );
}
