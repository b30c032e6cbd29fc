import { ENDPOINTS, refuse } from '@nodo/contract';
import type { Express, Request } from 'express';
import type { People } from '../auth/people.ts';
import { signInLimit } from '../http/guards.ts';
import { route } from '../http/route.ts';

export const SESSION_COOKIE = 'nodo.session';

export function sessionRoutes(app: Express, people: People, signInAttempts?: number): void {
  route(
    app,
    people,
    ENDPOINTS.signIn,
    async ({ body, request }) => {
      const identity = await people.signIn(body.login, body.password);
      const session = identity && (await people.session(identity));
      if (!session) return { ok: false, refusal: refuse('wrong-sign-in') };
      // A new session id, so that one planted before the sign-in is worth nothing.
      await renew(request);
      request.session.identity = identity;
      return { ok: true, answer: session };
    },
    signInLimit(signInAttempts),
  );

  route(app, people, ENDPOINTS.whoAmI, async ({ request }) => {
    const { identity } = request.session;
    return { ok: true, answer: (identity && (await people.session(identity))) ?? null };
  });

  route(app, people, ENDPOINTS.signOut, async ({ request, response }) => {
    await destroy(request);
    response.clearCookie(SESSION_COOKIE);
    return { ok: true, answer: {} };
  });

  route(app, people, ENDPOINTS.listPeople, async ({ session }) => ({
    ok: true,
    answer: [...(await people.list(session.shop.id))],
  }));
}

function renew(request: Request): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.regenerate((fault: unknown) => (fault ? reject(asError(fault)) : resolve()));
  });
}

function destroy(request: Request): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.destroy((fault: unknown) => (fault ? reject(asError(fault)) : resolve()));
  });
}

function asError(fault: unknown): Error {
  return fault instanceof Error ? fault : new Error(String(fault));
}
