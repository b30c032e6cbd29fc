import { refuse } from '@nodo/kernel';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import { bearerOf } from './bearer.ts';
import { sendRefusal } from './send.ts';

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

/**
 * Whether a request calls us by one of our own names. A foreign page that has its own name answered
 * with our address (DNS rebinding) would otherwise be one of our own pages to the browser.
 * @param names by which we are reached besides the loopback's
 */
export function ownHost(names: readonly string[]): RequestHandler {
  const own = new Set([...LOOPBACK, ...names.map((name) => name.toLowerCase())]);
  return (request, response, next) => {
    if (own.has(hostOf(request))) next();
    else sendRefusal(response, refuse('foreign-host'));
  };
}

/** Whether a request calls us by this computer's own name, which plain http is served under as well. */
export function isLoopback(request: Request): boolean {
  return LOOPBACK.includes(hostOf(request));
}

/** By what name a request calls us, in small letters, without the port. */
function hostOf(request: Request): string {
  return (request.get('host') ?? '').toLowerCase().replace(/:\d+$/, '');
}

/**
 * What changes something must come from our own pages. Browsers name the origin of every
 * such request; one that names none is not a browser of ours.
 */
export function sameOrigin(request: Request, response: Response, next: NextFunction): void {
  // What a browser sends by itself is a cookie; whoever sends a token has it.
  const isByToken = bearerOf(request) !== undefined;
  if (request.method === 'GET' || request.method === 'HEAD' || isByToken) {
    next();
    return;
  }
  const own = `${request.protocol}://${request.get('host') ?? ''}`;
  if (request.get('origin') === own) next();
  else sendRefusal(response, refuse('foreign-origin'));
}
