import { refuse } from '@nodo/kernel';
import type { NextFunction, Request, Response } from 'express';
import { sendRefusal } from './send.ts';

/** Nobody else has megabytes read for him; the route itself looks at the role. */
export function forTheSignedIn(request: Request, response: Response, next: NextFunction): void {
  if (request.session.identity) next();
  else sendRefusal(response, refuse('not-signed-in'));
}
