import type { Boundary } from './boundary.ts';
import type { TabMessage, Tabs } from './ports.ts';

/** The other tabs of this browser; what they say was checked. */
export interface CheckedTabs extends Omit<Tabs, 'onMessage'> {
  onMessage(listener: (message: TabMessage) => void): void;
}

/** What a tab of another version says, and this one does not understand, is not heard. */
export function checkedTabs(tabs: Tabs, boundary: Boundary): CheckedTabs {
  const listeners = new Set<(message: TabMessage) => void>();
  tabs.onMessage(
    boundary.inOrder((said: unknown, { readTabMessage }) => {
      const message = readTabMessage(said);
      if (message) for (const listener of listeners) listener(message);
    }),
  );
  return {
    post: (message) => tabs.post(message),
    lead: (begin) => tabs.lead(begin),
    onMessage: (listener) => void listeners.add(listener),
  };
}
