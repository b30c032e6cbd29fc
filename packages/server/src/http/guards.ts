import { refuse } from '@nodo/kernel';
import type { NextFunction, Request, Response } from 'express';
import { sendRefusal } from './send.ts';

/**
 * What changes something must come from our own pages. Browsers name the origin of every
 * such request; one that names none is not a browser of ours.
 */
export function sameOrigin(request: Request, response: Response, next: NextFunction): void {
  if (request.method === 'GET' || request.method === 'HEAD') {
    next();
    return;
  }
  const own = `${request.protocol}://${request.get('host') ?? ''}`;
  if (request.get('origin') === own) next();
  else sendRefusal(response, refuse('foreign-origin'));
}
