import { randomBytes } from 'node:crypto';
import type { RequestHandler, Response } from 'express';
import helmet from 'helmet';
import { isLoopback } from './guards.ts';

/** What the page's own style elements must carry on this response. */
export function nonceOf(response: Response): string {
  return String(response.locals.nonce);
}

/** The camera is ours (photos, codes); nothing else of a device is anybody's. */
const POLICY = [
  'camera=(self)',
  ...['microphone', 'geolocation', 'payment', 'usb', 'serial', 'midi'].map((name) => `${name}=()`),
].join(', ');
/** As OWASP ASVS 4.0.3 wants it (14.4.5): half a year. */
const HSTS_S = 182 * 86_400;

/**
 * Security headers. Scripts are our own files only; a style written into the page must carry the
 * nonce of its response, which a foreign one cannot know.
 */
export function headers(): readonly RequestHandler[] {
  return [
    (request, response, next) => {
      response.locals.nonce = randomBytes(16).toString('base64');
      response.set('permissions-policy', POLICY);
      // Holds for every port of a name: plain http on this very computer must stay reachable.
      if (request.secure && !isLoopback(request)) {
        response.set('strict-transport-security', `max-age=${HSTS_S}`);
      }
      next();
    },
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          styleSrc: ["'self'", (_request, response) => `'nonce-${nonceOf(response as Response)}'`],
          fontSrc: ["'self'"],
          // blob: a picture that was taken here and is not on the server yet.
          imgSrc: ["'self'", 'data:', 'blob:'],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          frameAncestors: ["'none'"],
          // Plain http on this computer: telling a browser to use https would lock it out.
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: false,
    }),
  ];
}
