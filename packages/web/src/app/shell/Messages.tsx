import { useEffect } from 'react';
import { Toaster } from 'sonner';
import { messagesDoStand } from '../../serviceWorker/messagesStand.ts';

/** Height of the bar of a ticket, and a gap. */
const BELOW_BAR_PX = 68;

/** Short messages over the page, below the bar: nothing pops over the name of the ticket. */
export default function Messages() {
  useEffect(messagesDoStand, []);
  return (
    <Toaster
      position="top-center"
      offset={{ top: BELOW_BAR_PX }}
      mobileOffset={{ top: BELOW_BAR_PX }}
      duration={6000}
      style={{ fontFamily: 'inherit' }}
      toastOptions={{
        actionButtonStyle: {
          minHeight: '2.75rem',
          paddingInline: '1rem',
          background: 'var(--ink)',
          color: 'var(--ground)',
        },
        style: { background: 'var(--paper)', color: 'var(--ink)', borderColor: 'var(--ink)' },
      }}
    />
  );
}
