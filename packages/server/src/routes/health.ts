import { ENDPOINTS } from '@nodo/api';
import { refuse } from '@nodo/kernel';
import type { Express } from 'express';
import type { People } from '../auth/people.ts';
import { route } from '../http/route.ts';

/** @param isReady whether the process reaches its database and hears what others write */
export function healthRoutes(app: Express, people: People, isReady: () => Promise<boolean>): void {
  route(app, people, ENDPOINTS.readHealth, () =>
    Promise.resolve({ ok: true, answer: { alive: true } }),
  );

  route(app, people, ENDPOINTS.readReadiness, async () => {
    if (!(await isReady())) return { ok: false, refusal: refuse('not-ready') };
    return { ok: true, answer: { ready: true } };
  });
}
