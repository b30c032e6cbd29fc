import { ENDPOINTS, SESSION_COOKIE, type Session } from '@nodo/api';
import { type Refusal, refuse } from '@nodo/kernel';
import type { Express, Request } from 'express';
import type { Auth } from '../auth/auth.ts';
import { isEasy } from '../auth/easyPasswords.ts';
import type { Identity } from '../auth/people.ts';
import { plainLogin } from '../auth/secrets.ts';
import { identityOf, type Result, route } from '../http/route.ts';

/** Signing in and out, who stands at the screen, one's own password and PIN. */
export function sessionRoutes(app: Express, auth: Auth): void {
  const { people, accounts, audit, delays } = auth;

  const sessionAfter = async (identity: Identity): Promise<Result<Session>> => {
    const session = await people.session(identity);
    return session ? { ok: true, answer: session } : refused(refuse('not-signed-in'));
  };
  /** Of a caller who got past the guard. */
  const identified = (request: Request): Identity => {
    const identity = identityOf(request);
    if (!identity) throw new Error('A caller without a sign-in got past the guard');
    return identity;
  };
  const tooMany = (seconds: number) => refused(refuse('too-many-attempts', '', { seconds }));

  route(app, people, ENDPOINTS.signIn, async ({ body, request }) => {
    const address = request.ip ?? '';
    const login = plainLogin(body.login);
    const wait = await delays.begin(login, address);
    if (wait > 0) return tooMany(wait);
    const { fits, shop, person } = await people.signIn(login, body.password);
    if (!fits || shop === undefined || person === undefined) {
      if (shop !== undefined && person !== undefined) {
        await audit.note({ shop, person, what: 'sign-in-refused' });
      } else await audit.noteUnknown();
      return refused(refuse('wrong-sign-in'));
    }
    // On this very computer the demo's own passwords are good.
    if (request.secure && auth.isForbidden(person, body.password)) {
      return refused(refuse('demo-password'));
    }
    await delays.passed(login, address);
    const device = body.device ?? '';
    const agent = (request.get('user-agent') ?? '').slice(0, 200);
    const identity = await people.openScreen({ shop, person }, identityOf(request), device, agent);
    // A new session id, so that one planted before the sign-in is worth nothing.
    await renew(request);
    request.session.identity = identity;
    await audit.note({ shop, person, what: 'signed-in' });
    return sessionAfter(identity);
  });

  route(app, people, ENDPOINTS.whoAmI, async ({ request }) => {
    const identity = identityOf(request);
    return { ok: true, answer: (identity && (await people.session(identity))) ?? null };
  });

  route(app, people, ENDPOINTS.signOut, async ({ request, response, session }) => {
    const shop = session.shop.id;
    await people.endScreen(shop, session.screen.id);
    await audit.note({ shop, person: session.person.id, what: 'signed-out' });
    await destroy(request);
    response.clearCookie(SESSION_COOKIE);
    return { ok: true, answer: {} };
  });

  route(app, people, ENDPOINTS.changePerson, async ({ body, request, session }) => {
    const identity = identified(request);
    const shop = session.shop.id;
    const outcome = await people.changePerson(identity, body.person, body.pin);
    if (outcome !== 'changed') {
      await audit.note({ shop, person: body.person, what: 'pin-refused' });
      return refused(refuse(outcome, 'pin'));
    }
    const changed = { ...identity, person: body.person };
    request.session.identity = changed;
    await audit.note({ shop, person: body.person, what: 'changed-person' });
    return sessionAfter(changed);
  });

  route(app, people, ENDPOINTS.nameScreen, async ({ body, request }) => {
    await people.nameScreen(identified(request), body.device);
    return { ok: true, answer: {} };
  });

  route(app, people, ENDPOINTS.lockScreen, async ({ request, session }) => {
    const identity = identified(request);
    await people.lock(identity);
    await audit.note({
      shop: session.shop.id,
      person: session.person.id,
      what: 'screen-locked',
    });
    return sessionAfter(identity);
  });

  route(app, people, ENDPOINTS.setPin, async ({ body, request, session }) => {
    const refusal = await withPassword(request, session.person.id, (identity) =>
      people.setPin(identity, body.password, body.pin),
    );
    if (refusal) return refused(refusal);
    await audit.note({ shop: session.shop.id, person: session.person.id, what: 'pin-set' });
    return sessionAfter(identified(request));
  });

  route(app, people, ENDPOINTS.nameMyself, async ({ body, request, session }) => {
    await accounts.rename(session.shop.id, session.person.id, body);
    await audit.note({ shop: session.shop.id, person: session.person.id, what: 'person-named' });
    return sessionAfter(identified(request));
  });

  route(app, people, ENDPOINTS.nameShop, async ({ body, request, session }) => {
    await accounts.renameShop(session.shop.id, body.name);
    await audit.note({ shop: session.shop.id, person: session.person.id, what: 'shop-changed' });
    return sessionAfter(identified(request));
  });

  route(app, people, ENDPOINTS.changePassword, async ({ body, request, session }) => {
    const { person, shop } = session;
    if (await isEasy(body.fresh, [person.name, shop.name])) {
      return refused(refuse('password-easy', 'fresh'));
    }
    const refusal = await withPassword(request, person.id, (identity) =>
      people.changePassword(identity, body.password, body.fresh),
    );
    if (refusal) return refused(refusal);
    await audit.note({ shop: shop.id, person: person.id, what: 'password-set' });
    return { ok: true, answer: {} };
  });

  /** What asks for the password again; guessing it is as slow as at the door. */
  const withPassword = async (
    request: Request,
    person: string,
    act: (identity: Identity) => Promise<boolean>,
  ): Promise<Refusal | undefined> => {
    const address = request.ip ?? '';
    const wait = await delays.begin(person, address);
    if (wait > 0) return refuse('too-many-attempts', '', { seconds: wait });
    if (!(await act(identified(request)))) return refuse('wrong-sign-in', 'password');
    await delays.passed(person, address);
    return undefined;
  };

  route(app, people, ENDPOINTS.redeemCode, async ({ body, request }) => {
    const login = plainLogin(body.login);
    // Before anything is counted: it says nothing of the code, which stays good.
    if (await isEasy(body.password, [login])) {
      return refused(refuse('password-easy', 'password'));
    }
    const who = `code of ${login}`;
    const address = request.ip ?? '';
    const wait = await delays.begin(who, address);
    if (wait > 0) return tooMany(wait);
    const redeemed = await accounts.redeem(login, body.code, body.password);
    if (!redeemed) return refused(refuse('code-not-valid', 'code'));
    await delays.passed(who, address);
    await audit.note({ ...redeemed, what: 'password-set' });
    return { ok: true, answer: {} };
  });

  route(app, people, ENDPOINTS.listPeople, async ({ session }) => ({
    ok: true,
    answer: [...(await people.list(session.shop.id))],
  }));
}

function refused(refusal: Refusal): { readonly ok: false; readonly refusal: Refusal } {
  return { ok: false, refusal };
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
