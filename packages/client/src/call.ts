import {
  ADDRESSES,
  type AnswerOf,
  type ApiRequest,
  BUILD_HEADER,
  type EndpointName,
  type ParamsOf,
  pathTo,
  type RequestBodyOf,
} from '@nodo/api';
import type { Refusal } from '@nodo/kernel';
import type { Ports } from './ports.ts';

/** Why a call came to nothing: refused by the server, or never answered. */
export type CallError =
  | { readonly kind: 'refused'; readonly refusal: Refusal }
  /** No answer, or one that a proxy or a dying server made up: try again later. */
  | {
      readonly kind: 'unreachable';
      /** Our own server answered that it met a fault. */
      readonly refusal?: Refusal;
    };

export type Answer<Name extends EndpointName = EndpointName> =
  | { readonly data: AnswerOf<Name> }
  | { readonly error: CallError };
/** An answer of whatever endpoint. */
export type Answered = { readonly data: unknown } | { readonly error: CallError };
export type Call = <Name extends EndpointName>(request: ApiRequest<Name>) => Promise<Answer<Name>>;

const ANSWER_WITHIN_MS = 12_000;
/** What a slow computer works at for long: deriving a sealing key, reading thousands of rows. */
const SLOW: ReadonlySet<EndpointName> = new Set([
  'setBackupPassphrase',
  'makeBackup',
  'importRows',
]);
const SLOW_ANSWER_WITHIN_MS = 180_000;

/**
 * How to call the endpoints of the server.
 * @param onBuild called with the build that answered
 */
export function caller(fetch: Ports['fetch'], onBuild: (build: string) => void): Call {
  return async <Name extends EndpointName>(request: ApiRequest<Name>): Promise<Answer<Name>> => {
    try {
      const response = await fetch(pathOf(request), {
        method: ADDRESSES[request.name].method,
        signal: AbortSignal.timeout(
          SLOW.has(request.name) ? SLOW_ANSWER_WITHIN_MS : ANSWER_WITHIN_MS,
        ),
        ...sent(request.body),
      });
      onBuild(response.headers.get(BUILD_HEADER) ?? '');
      const answer: unknown = await response.json();
      if (response.ok) return { data: answer as AnswerOf<Name> };
      if (isRefusal(answer)) {
        const kind = response.status < 500 ? 'refused' : 'unreachable';
        return { error: { kind, refusal: answer } };
      }
    } catch {
      // Falls through: no network, no server, or no JSON.
    }
    return { error: { kind: 'unreachable' } };
  };
}

/** A request without what is sent with it. */
export type Asked = Pick<ApiRequest, 'name' | 'params'>;

/** Where a request goes; two for the same thing have the same path. */
export function pathOf({ name, params }: Asked): string {
  return pathTo(name, params as ParamsOf<typeof name>);
}

/** What a request names and what it sends, in one object. */
export type Given<Name extends EndpointName> = Filled<ParamsOf<Name>> & Filled<RequestBodyOf<Name>>;
type Filled<Part> = string extends keyof Part
  ? unknown
  : [Part] extends [undefined]
    ? unknown
    : Part;

/** @param named what goes into the path; the others are the body. */
export function requestFor<Name extends EndpointName>(
  name: Name,
  named: readonly (keyof ParamsOf<Name> & string)[],
): (given: Given<Name>) => ApiRequest {
  const isNamed = ([key]: readonly [string, unknown]) => named.some((one) => one === key);
  return (given) => {
    const all = Object.entries(given as object);
    const body = all.filter((entry) => !isNamed(entry));
    const request: { name: EndpointName; params: object; body: object | undefined } = {
      name,
      params: Object.fromEntries(all.filter(isNamed)),
      body: body.length > 0 ? Object.fromEntries(body) : undefined,
    };
    return request as ApiRequest;
  };
}

/** Bytes are a picture. */
function sent(body: unknown): RequestInit {
  if (body === undefined) return {};
  return body instanceof Uint8Array
    ? { headers: { 'content-type': 'image/jpeg' }, body: new Uint8Array(body) }
    : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };
}

function isRefusal(answer: unknown): answer is Refusal {
  return typeof answer === 'object' && answer !== null && 'code' in answer && 'path' in answer;
}
