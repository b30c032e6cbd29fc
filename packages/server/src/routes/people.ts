import { type Audited, ENDPOINTS, type Reach } from '@nodo/api';
import { refuse } from '@nodo/kernel';
import type { Express } from 'express';
import type { Auth } from '../auth/auth.ts';
import type { Caller } from '../auth/people.ts';
import { route } from '../http/route.ts';

/** What a lead looks after: accounts, screens, who saw and did what. */
export function peopleRoutes(
  app: Express,
  { people, accounts, audit }: Auth,
  reach: Reach | null,
): void {
  const note = (session: Caller, what: Audited, toPerson?: string) =>
    audit.note({
      shop: session.shop.id,
      person: session.person.id,
      what,
      ...(toPerson === undefined ? {} : { toPerson }),
    });

  route(app, people, ENDPOINTS.listAccounts, async ({ session }) => ({
    ok: true,
    answer: await accounts.list(session.shop.id),
  }));

  route(app, people, ENDPOINTS.invitePerson, async ({ body, session }) => {
    const handed = await accounts.invite(session.shop.id, body);
    if (!handed) return { ok: false, refusal: refuse('login-taken', 'login') };
    await note(session, 'person-invited', handed.account.id);
    return { ok: true, answer: handed };
  });

  route(app, people, ENDPOINTS.changeAccount, async ({ params, body, session }) => {
    const { role, locked } = body;
    const shop = session.shop.id;
    const changed = await accounts.change(shop, params.person, {
      ...(role === undefined ? {} : { role }),
      ...(locked === undefined ? {} : { locked }),
    });
    if (typeof changed === 'string') {
      const path = changed === 'no-such-person' ? 'params.person' : '';
      return { ok: false, refusal: refuse(changed, path) };
    }
    if (locked) await people.leaveScreens(shop, params.person);
    if (role !== undefined) await note(session, 'role-changed', params.person);
    if (locked !== undefined) {
      await note(session, locked ? 'person-locked' : 'person-unlocked', params.person);
    }
    return { ok: true, answer: changed };
  });

  route(app, people, ENDPOINTS.resetAccount, async ({ params, session }) => {
    const handed = await accounts.reset(session.shop.id, params.person);
    if (!handed) return { ok: false, refusal: refuse('no-such-person', 'params.person') };
    await people.leaveScreens(session.shop.id, params.person);
    await note(session, 'person-reset', params.person);
    return { ok: true, answer: handed };
  });

  route(app, people, ENDPOINTS.readReach, async () => ({ ok: true, answer: reach }));

  route(app, people, ENDPOINTS.listScreens, async ({ session }) => ({
    ok: true,
    answer: await accounts.screens(session.shop.id),
  }));

  route(app, people, ENDPOINTS.endScreen, async ({ params, session }) => {
    if (!(await people.endScreen(session.shop.id, params.screen))) {
      return { ok: false, refusal: refuse('no-such-screen', 'params.screen') };
    }
    await note(session, 'screen-ended');
    return { ok: true, answer: {} };
  });

  route(app, people, ENDPOINTS.readAudit, async ({ params, session }) => {
    const { lines, next } = await audit.read(session.shop.id, params.before, params.person);
    return { ok: true, answer: { lines: [...lines], next } };
  });
}
