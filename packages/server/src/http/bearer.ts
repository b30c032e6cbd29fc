import type { Request } from 'express';

/** The secret of a program that calls in a person's name (RFC 6750); undefined for a browser with its cookie. */
export function bearerOf(request: Request): string | undefined {
  const [, secret] = /^Bearer (.+)$/i.exec(request.get('authorization') ?? '') ?? [];
  return secret;
}
