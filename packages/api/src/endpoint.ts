import type { Role } from '@nodo/kernel';
import type { z } from 'zod';

/** One route, as both sides know it; its address is in `addresses.ts`. */
export interface Endpoint<
  Params extends z.ZodType,
  Body extends z.ZodType,
  Answer extends z.ZodType,
> {
  readonly method: 'GET' | 'POST' | 'DELETE';
  readonly path: string;
  /** Who may call it; `anyone` needs no sign-in. */
  readonly roles: readonly Role[] | 'anyone';
  /** What the path names and, of a GET, what stands behind its question mark. */
  readonly params: Params;
  readonly body: Body;
  readonly answer: Answer;
  /** May be called while the screen is locked. */
  readonly evenLocked?: true;
}

export function defineEndpoint<
  Params extends z.ZodType,
  Body extends z.ZodType,
  Answer extends z.ZodType,
>(endpoint: Endpoint<Params, Body, Answer>): Endpoint<Params, Body, Answer> {
  return endpoint;
}
