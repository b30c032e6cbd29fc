import { m } from '../messages/index.ts';
import { messagesStand } from './messagesStand.ts';

const LOOK_FOR_NEWER_MS = 30 * 60_000;

/** Lets the application's own files be kept, and says when a newer version is there. */
export async function keepApplication(): Promise<void> {
  // Only where the page is served as safe (https or this very computer).
  if (!('serviceWorker' in navigator) || import.meta.env.DEV) return;
  const registration = await navigator.serviceWorker.register('/sw.js');
  const offer = async (waiting: ServiceWorker) => {
    await messagesStand;
    const { toast } = await import('sonner');
    toast(m.shell.update.ready, {
      duration: Number.POSITIVE_INFINITY,
      action: {
        label: m.shell.update.load,
        onClick: () => {
          navigator.serviceWorker.addEventListener('controllerchange', () => {
            window.location.reload();
          });
          waiting.postMessage('take-over');
        },
      },
    });
  };
  if (registration.waiting) void offer(registration.waiting);
  registration.addEventListener('updatefound', () => {
    const fresh = registration.installing;
    fresh?.addEventListener('statechange', () => {
      // The first one has nothing to take over from.
      if (fresh.state === 'installed' && navigator.serviceWorker.controller) void offer(fresh);
    });
  });
  setInterval(() => void registration.update().catch(() => undefined), LOOK_FOR_NEWER_MS);
}
