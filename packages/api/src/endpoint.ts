import type { Role } from '@nodo/kernel';
import { z } from 'zod';

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
  /** Only for a person at a screen: a program with a person's token is refused. */
  readonly notByToken?: true;
  /** The media type of what it answers with, where that is no JSON. */
  readonly sends?: string;
  /** The media type of what it takes, where that is no JSON. */
  readonly takes?: string;
}

const NO_PARAMS = z.object({});
const NO_BODY = z.undefined();

/** A route whose path names nothing, or that takes no body, does not say so. */
export function defineEndpoint<
  Answer extends z.ZodType,
  Params extends z.ZodType = typeof NO_PARAMS,
  Body extends z.ZodType = typeof NO_BODY,
>(
  endpoint: Omit<Endpoint<Params, Body, Answer>, 'params' | 'body'> &
    Partial<Pick<Endpoint<Params, Body, Answer>, 'params' | 'body'>>,
): Endpoint<Params, Body, Answer> {
  // Left out, each has the type of what stands in for it.
  const { params = NO_PARAMS as z.ZodType as Params, body = NO_BODY as z.ZodType as Body } =
    endpoint;
  return { ...endpoint, params, body };
}
