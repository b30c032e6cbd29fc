import { refuse } from '@nodo/kernel';
import type { RequestHandler } from 'express';
import type { People } from '../auth/people.ts';
import { bearerOf } from './bearer.ts';
import { sendRefusal } from './send.ts';

/** Nobody else has megabytes read for him; the route itself looks at the role. */
export function forTheSignedIn({ tokens }: Pick<People, 'tokens'>): RequestHandler {
  return async (request, response, next) => {
    const secret = bearerOf(request);
    const isKnown =
      secret === undefined
        ? request.session.identity !== undefined
        : (await tokens.open(secret)) !== undefined;
    if (isKnown) next();
    else sendRefusal(response, refuse(secret === undefined ? 'not-signed-in' : 'token-not-valid'));
  };
}
