import { ENDPOINTS, openApi } from '@nodo/api';
import { refuse } from '@nodo/kernel';
import type { Express } from 'express';
import type { Auth } from '../auth/auth.ts';
import { identityOf, route } from '../http/route.ts';

/** Secrets that a person gives to programs; each sees and ends their own. */
export function tokenRoutes(app: Express, { people, audit, delays }: Auth): void {
  const { tokens } = people;
  route(app, people, ENDPOINTS.listTokens, async ({ session: { shop, person } }) => ({
    ok: true,
    answer: await tokens.list(shop.id, person.id),
  }));

  route(app, people, ENDPOINTS.makeToken, async ({ body, request, session: { shop, person } }) => {
    const address = request.ip ?? '';
    const wait = await delays.begin(person.id, address);
    if (wait > 0) return { ok: false, refusal: refuse('too-many-attempts', '', { seconds: wait }) };
    const identity = identityOf(request);
    if (!identity || !(await people.isPassword(identity, body.password))) {
      return { ok: false, refusal: refuse('wrong-sign-in', 'password') };
    }
    await delays.passed(person.id, address);
    const made = await tokens.make(shop.id, person.id, body);
    await audit.note({ shop: shop.id, person: person.id, what: 'token-made' });
    return { ok: true, answer: made };
  });

  // Made when it is asked for first: it takes some tenths of a second.
  let document: ReturnType<typeof openApi> | undefined;
  route(app, people, ENDPOINTS.readOpenApi, async () => {
    document ??= openApi();
    return { ok: true, answer: document };
  });

  route(app, people, ENDPOINTS.revokeToken, async ({ params, session: { shop, person } }) => {
    if (!(await tokens.revoke(shop.id, person.id, params.token))) {
      return { ok: false, refusal: refuse('no-such-token', 'params.token') };
    }
    await audit.note({ shop: shop.id, person: person.id, what: 'token-revoked' });
    return { ok: true, answer: {} };
  });
}
