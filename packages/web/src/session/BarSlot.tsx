import { createContext, type ReactNode, useContext } from 'react';
import { createPortal } from 'react-dom';

/** The place in the page's one bar that a view may fill; null while there is none. */
export const BarSlot = createContext<HTMLElement | null>(null);

/** What a view shows in the bar over the page, in the place of the shop's own navigation. */
export function InBar({ children }: { readonly children: ReactNode }) {
  const slot = useContext(BarSlot);
  return slot && createPortal(children, slot);
}
