import { ENDPOINTS } from '@nodo/contract';
import type { Express } from 'express';
import type { People } from '../auth/people.ts';
import { identityOf, route } from '../http/route.ts';
import { asText, type LiveHub } from '../live/hub.ts';
import type { Presence } from '../live/presence.ts';

const HEARTBEAT_MS = 15_000;
const RETRY_MS = 1_000;

/** The stream of the whole shop, one per screen, and what each screen looks at. */
export function liveRoutes(app: Express, people: People, hub: LiveHub, presence: Presence): void {
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
      if (!caller || caller.screen.locked) end();
    };
    const send = (text: string) => response.write(text);
    send(asText({ kind: 'presence', who: presence.in(session.shop.id) }));
    const stop = hub.follow(session.shop.id, {
      send,
      end,
      // Whether it may follow cannot be asked now: it is asked again at the next call.
      lookAgain: () => void lookAgain().catch(() => undefined),
    });
    const heartbeat = setInterval(() => response.write(': still here\n\n'), HEARTBEAT_MS);
    request.on('close', () => {
      clearInterval(heartbeat);
      stop();
    });
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
