import { EVERY_ROLE, refusal } from '@nodo/kernel';
import { presentEvent, ticketEvent } from '@nodo/ticket';
import { z } from 'zod';
import { SESSION_COOKIE } from './addresses.ts';
import type { Endpoint } from './endpoint.ts';
import { ENDPOINTS } from './endpoints.ts';

type AnyEndpoint = Endpoint<z.ZodType, z.ZodType, z.ZodType>;
type Json = Record<string, unknown>;

/** Every route as other programs know it (OpenAPI 3.1), made from the same objects that the server answers by. */
export function openApi(): Json & { readonly openapi: string } {
  const paths: Record<string, Json> = {};
  for (const [name, endpoint] of Object.entries(ENDPOINTS)) {
    const path = endpoint.path.replace(/:([a-z]+)/gi, '{$1}');
    paths[path] = {
      ...paths[path],
      [endpoint.method.toLowerCase()]: operation(name, endpoint),
    };
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Nodo',
      version: '1',
      license: { name: 'MIT', identifier: 'MIT' },
      description:
        'What a shop keeps, for programs. A program calls in the name of a person, with a token that the person made for it, and may do what the person may within the scope of the token. What is refused is answered with a code, the field, and data.',
    },
    servers: [{ url: '/' }],
    paths,
    components: {
      schemas: { Refusal: schemaOf(refusal, 'output') },
      securitySchemes: {
        token: { type: 'http', scheme: 'bearer', description: 'A person’s token for a program.' },
        cookie: {
          type: 'apiKey',
          in: 'cookie',
          name: SESSION_COOKIE,
          description: 'A signed-in screen.',
        },
      },
    },
  };
}

function operation(name: string, endpoint: AnyEndpoint): Json {
  const { method, roles, notByToken, answer, sends, body, takes } = endpoint;
  const refused = (description: string) => ({
    description,
    content: { 'application/json': { schema: { $ref: '#/components/schemas/Refusal' } } },
  });
  return {
    operationId: name,
    summary: inWords(name),
    description: [
      roles === 'anyone' ? 'For whoever calls.' : `For ${rolesInWords(roles)}.`,
      ...(notByToken ? ['Only at a screen: no token opens it.'] : []),
      ...(method !== 'GET' && !notByToken && roles !== 'anyone' ? ['Wants the scope write.'] : []),
    ].join(' '),
    security: securityOf(endpoint),
    ...parametersOf(endpoint),
    ...(takesBody(body) && {
      requestBody: {
        required: true,
        content: {
          [takes ?? 'application/json']: takes
            ? { schema: { type: 'string', contentMediaType: takes } }
            : { schema: schemaOf(body, 'input') },
        },
      },
    }),
    responses: {
      200: {
        description: 'Done.',
        content: sends
          ? { [sends]: {} }
          : { 'application/json': { schema: schemaOf(answer, 'output') } },
      },
      '4XX': refused('Refused; nothing was changed.'),
      503: refused('The server fails; nothing was changed.'),
    },
  };
}

function securityOf({ roles, notByToken }: AnyEndpoint): Json[] {
  if (roles === 'anyone') return [];
  return notByToken ? [{ cookie: [] }] : [{ token: [] }, { cookie: [] }];
}

/** What the path names, and what stands behind its question mark. */
function parametersOf({ path, params }: AnyEndpoint): Json {
  const { properties = {}, required = [] } = schemaOf(params, 'input') as {
    properties?: Record<string, Json>;
    required?: string[];
  };
  const parameters = Object.entries(properties).map(([name, schema]) => {
    const isInPath = path.includes(`:${name}`);
    return {
      name,
      in: isInPath ? 'path' : 'query',
      required: isInPath || required.includes(name),
      schema,
    };
  });
  return parameters.length > 0 ? { parameters } : {};
}

function takesBody(body: z.ZodType): boolean {
  return !(body instanceof z.ZodUndefined);
}

/**
 * The JSON Schema of what goes in or comes out. Entries are read in every form they ever had, and handed out in the
 * present one.
 */
function schemaOf(schema: z.ZodType, io: 'input' | 'output'): Json {
  const { $schema: _draft, ...rest } = z.toJSONSchema(schema, {
    io,
    unrepresentable: 'any',
    override: ({ zodSchema, jsonSchema }) => {
      if ((zodSchema as unknown) !== ticketEvent) return;
      const { $schema: _event, ...event } = z.toJSONSchema(presentEvent, {
        unrepresentable: 'any',
      });
      Object.assign(jsonSchema, event);
    },
  }) as Json;
  return rest;
}

/** "readTicket" as "Read ticket". */
function inWords(name: string): string {
  const words = name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
}

function rolesInWords(roles: readonly string[]): string {
  return roles.length === EVERY_ROLE.length ? 'everybody who is signed in' : roles.join(', ');
}
