import { ENDPOINTS } from '@nodo/api';
import type { Express } from 'express';
import type { People } from '../auth/people.ts';
import { mayKnowNames } from '../http/names.ts';
import { identityOf, route } from '../http/route.ts';
import { asText, type LiveHub } from '../live/hub.ts';
import type { PresenceTracker } from '../live/presence.ts';

/** Who takes in so little that this much waits for it is let go: it reads again when it is back. */
const MOST_WAITING_BYTES = 1_000_000;
const RETRY_MS = 1_000;

/** The stream of the whole shop, one per screen, and what each screen looks at. */
export function liveRoutes(
  app: Express,
  people: People,
  hub: LiveHub,
  presence: PresenceTracker,
): void {
  route(app, people, ENDPOINTS.live, async ({ session, request, response }) => {
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    });
    response.write(`retry: ${RETRY_MS}\n\n`);
    const end = () => response.end();
    const lookAgain = async (): Promise<void> => {
      const identity = identityOf(request);
      const caller = identity && (await people.caller(identity));
      const isAsBefore = caller?.person.role === session.person.role;
      if (!isAsBefore || caller.screen.locked) end();
    };
    const send = (text: string) => {
      response.write(text);
      if (response.writableLength > MOST_WAITING_BYTES) response.destroy();
    };
    send(asText({ kind: 'presence', who: presence.in(session.shop.id) }));
    const stop = hub.follow(session.shop.id, {
      nameless: !mayKnowNames(session.person.role),
      send,
      end,
      // Whether it may follow cannot be asked now: it is asked again at the next call.
      lookAgain: () => void lookAgain().catch(() => undefined),
    });
    request.on('close', stop);
    return 'answered';
  });

  route(app, people, ENDPOINTS.lookAt, async ({ session, body }) => {
    const { ticket, check } = body;
    await presence.tell({
      shop: session.shop.id,
      screen: session.screen.id,
      person: session.person.id,
      ticket,
      check,
    });
    return { ok: true, answer: {} };
  });
}
