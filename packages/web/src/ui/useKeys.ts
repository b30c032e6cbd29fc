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

/** Somebody who takes keys. */
interface Taker {
  actions: Actions;
  readonly outOfReach: string;
  readonly isHeld: () => boolean;
  /** When it began to take each of its keys. */
  readonly since: Map<string, number>;
}
const takers = new Set<Taker>();
let begun = 0;

/**
 * Single keys that act unless somebody is typing or a sheet lies over the view. Of two that want the same
 * key, the one that came last has it: what was opened over something is closed first.
 * @param outOfReach they do not act while this is on the page.
 * @param isHeld nor while this holds; must keep its identity.
 */
export function useKeys(actions: Actions, outOfReach = SHEET, isHeld = never): void {
  const taker = useRef<Taker>(undefined);
  useEffect(() => {
    const own: Taker = { actions: {}, outOfReach, isHeld, since: new Map() };
    taker.current = own;
    if (takers.size === 0) window.addEventListener('keydown', onKey);
    takers.add(own);
    return () => {
      takers.delete(own);
      if (takers.size === 0) window.removeEventListener('keydown', onKey);
    };
  }, [outOfReach, isHeld]);
  useEffect(() => {
    const own = taker.current;
    if (!own) return;
    own.actions = actions;
    for (const key of own.since.keys()) if (!(key in actions)) own.since.delete(key);
    for (const key of Object.keys(actions)) {
      if (own.since.has(key)) continue;
      begun += 1;
      own.since.set(key, begun);
    }
  });
}

function onKey(event: KeyboardEvent): void {
  if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
  // A sheet that it closed has answered it already.
  if (event.defaultPrevented || isTyping(event.target)) return;
  const { key } = event;
  if (key === 'Enter' && ownsEnter(event.target)) return;
  const [last] = [...takers]
    .filter(({ since, outOfReach, isHeld }) => {
      return since.has(key) && !document.querySelector(outOfReach) && !isHeld();
    })
    .sort((a, b) => (b.since.get(key) ?? 0) - (a.since.get(key) ?? 0));
  if (!last) return;
  event.preventDefault();
  last.actions[key]?.();
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
