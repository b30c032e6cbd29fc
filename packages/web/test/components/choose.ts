import { fireEvent, screen } from '@testing-library/react';

// The page of the tests lays nothing out and follows no pointer: what a list asks of it is answered so.
Object.assign(globalThis, {
  ResizeObserver: class {
    observe(): void {}
    unobserve(): void {}
    disconnect(): void {}
  },
});
Element.prototype.scrollIntoView = () => undefined;
Element.prototype.hasPointerCapture = () => false;

/** Opens a list by key. @returns what can be chosen */
export function optionsOf(label: string): readonly string[] {
  fireEvent.keyDown(screen.getByLabelText(label), { key: 'Enter' });
  return screen.getAllByRole('option').map(({ textContent }) => textContent);
}

/** Chooses from a list by key. */
export function choose(label: string, option: string): void {
  optionsOf(label);
  fireEvent.keyDown(screen.getByRole('option', { name: option }), { key: 'Enter' });
}

/** Chooses a day of the month that a calendar opens with. */
export function chooseDay(name: string, day: string): void {
  fireEvent.click(screen.getByRole('button', { name: new RegExp(`^${name}: `) }));
  const button = document.querySelector<HTMLElement>(`td[data-day="${day}"] button`);
  if (!button) throw new Error(`${day} is not in the calendar`);
  fireEvent.click(button);
}
