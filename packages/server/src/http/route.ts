import type { Endpoint } from '@nodo/api';
import { type Refusal, refuse } from '@nodo/kernel';
import type { Express, Request, RequestHandler, Response } from 'express';
import type { z } from 'zod';
import type { Caller, Identity, People } from '../auth/people.ts';
import { bearerOf } from './bearer.ts';
import { sendRefusal } from './send.ts';

type AnyEndpoint = Endpoint<z.ZodType, z.ZodType, z.ZodType>;

declare module 'express-session' {
  interface SessionData {
    identity: Identity;
  }
}

export interface Call<Params, Body> {
  readonly params: Params;
  readonly body: Body;
  readonly session: Caller;
  readonly request: Request;
  readonly response: Response;
}

export type Result<Answer> =
  | { readonly ok: true; readonly answer: Answer }
  | { readonly ok: false; readonly refusal: Refusal }
  /** The handler answers by itself (streams). */
  | 'answered';

/**
 * Puts an endpoint on its path: who may call it, whether the call is well formed, then the
 * handler. Open endpoints get no session.
 */
export function route<Params extends z.ZodType, Body extends z.ZodType, Answer extends z.ZodType>(
  app: Express,
  people: People,
  endpoint: Endpoint<Params, Body, Answer>,
  handler: (call: Call<z.output<Params>, z.output<Body>>) => Promise<Result<z.output<Answer>>>,
  ...before: readonly RequestHandler[]
): void {
  const outcome = async (
    request: Request,
    response: Response,
  ): Promise<Result<z.output<Answer>>> => {
    let session: Caller | undefined;
    if (endpoint.roles !== 'anyone') {
      const called = await callerOf(request, people, endpoint);
      if ('code' in called) return refused(called);
      session = called;
      response.locals.shop = session.shop.id;
      if (session.screen.locked && !endpoint.evenLocked) return refused(refuse('screen-locked'));
      const { role } = session.person;
      if (!endpoint.roles.includes(role)) return refused(refuse('role-may-not', '', { role }));
    }
    const params = endpoint.params.safeParse({ ...request.query, ...request.params });
    if (!params.success) return refused(badInput('params', params.error));
    const body = endpoint.body.safeParse(request.body);
    if (!body.success) return refused(badInput('', body.error));
    return handler({
      params: params.data,
      body: body.data,
      session: session as Caller,
      request,
      response,
    });
  };
  const handle = async (request: Request, response: Response): Promise<void> => {
    const result = await outcome(request, response);
    if (result === 'answered') return;
    if (result.ok) response.json(result.answer);
    else sendRefusal(response, result.refusal);
  };
  const verb = endpoint.method.toLowerCase() as 'get' | 'post' | 'delete';
  app[verb](endpoint.path, ...before, handle);
}

function refused(refusal: Refusal): { readonly ok: false; readonly refusal: Refusal } {
  return { ok: false, refusal };
}

/**
 * Who calls: a program with a person's token, or else whoever the cookie's session names. A token that does not hold is
 * refused, whatever cookie came with it.
 */
async function callerOf(
  request: Request,
  people: People,
  { method, notByToken }: Pick<AnyEndpoint, 'method' | 'notByToken'>,
): Promise<Caller | Refusal> {
  const secret = bearerOf(request);
  if (secret === undefined) {
    const identity = identityOf(request);
    return (identity && (await people.caller(identity))) ?? refuse('not-signed-in');
  }
  const opened = await people.tokens.open(secret);
  const caller = opened && (await people.caller(opened.identity));
  if (!caller) return refuse('token-not-valid');
  const isWithin = opened.scope === 'write' || method === 'GET';
  return isWithin && !notByToken ? caller : refuse('token-may-not');
}

/** What the cookie's session says; of one from before screens were known, nothing. */
export function identityOf({ session }: Request): Identity | undefined {
  return session.identity?.screen === undefined ? undefined : session.identity;
}

function badInput(within: string, error: z.ZodError): Refusal {
  const issues = error.issues.map(({ path, code, message }) => ({
    path: [within, ...path.map(String)].filter(Boolean).join('.'),
    code,
    message,
  }));
  return refuse('bad-input', issues[0]?.path ?? within, { issues });
}
