import { ENDPOINTS } from '@nodo/api';
import type { Express } from 'express';
import type { People } from '../auth/people.ts';
import type { Backups } from '../backup/backups.ts';
import { route } from '../http/route.ts';
import type { Notices } from '../notices/notices.ts';
import { lowSpace } from '../notices/space.ts';

/** @param room bytes left on the disk with the shop's data */
export function noticeRoutes(
  app: Express,
  people: People,
  notices: Notices,
  backups: Backups | undefined,
  room: () => Promise<number>,
  now: () => Date,
): void {
  route(app, people, ENDPOINTS.listNotices, async ({ session }) => ({
    ok: true,
    answer: [
      ...lowSpace(await room(), now()),
      ...((await backups?.notices(session.shop.id)) ?? []),
      ...(await notices.list(session.shop.id)),
    ],
  }));

  route(app, people, ENDPOINTS.putNoticeAway, async ({ params, session: { shop, person } }) => {
    await notices.putAway(shop.id, params.notice, person.id, now());
    return { ok: true, answer: {} };
  });
}
