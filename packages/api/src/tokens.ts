import { EVERY_ROLE, humanText, instant, uuid } from '@nodo/kernel';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

/** What a program may do with a token: look, or look and write; never more than its person. */
export const TOKEN_SCOPES = ['read', 'write'] as const;
export type TokenScope = (typeof TOKEN_SCOPES)[number];

const accessToken = z.object({
  id: uuid,
  /** What it is for. */
  name: z.string(),
  scope: z.enum(TOKEN_SCOPES),
  madeAt: instant,
  until: instant,
  /** To the minute; null as long as no program has used it. */
  usedAt: instant.nullable(),
  /** Over or taken back: nothing opens by it. */
  isOver: z.boolean(),
});
export type AccessToken = z.infer<typeof accessToken>;

/** One's own, the latest first. */
export const listTokens = defineEndpoint({
  ...ADDRESSES.listTokens,
  roles: EVERY_ROLE,
  notByToken: true,
  answer: z.array(accessToken),
});

/** The secret is answered once and kept as its hash only. */
export const makeToken = defineEndpoint({
  ...ADDRESSES.makeToken,
  roles: EVERY_ROLE,
  notByToken: true,
  body: z.object({
    password: z.string().max(200),
    name: humanText(60),
    scope: z.enum(TOKEN_SCOPES),
    days: z.number().int().min(1).max(365),
  }),
  answer: z.object({ token: accessToken, secret: z.string() }),
});

export const revokeToken = defineEndpoint({
  ...ADDRESSES.revokeToken,
  roles: EVERY_ROLE,
  notByToken: true,
  params: z.object({ token: uuid }),
  answer: z.object({}),
});

/** What programs can call, as a document that other tools read (OpenAPI 3.1). */
export const readOpenApi = defineEndpoint({
  ...ADDRESSES.readOpenApi,
  roles: EVERY_ROLE,
  answer: z.looseObject({ openapi: z.string() }),
});
