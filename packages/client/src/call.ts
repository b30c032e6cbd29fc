import { type Address, fillAddress } from '@nodo/api';
import type { Refusal } from '@nodo/kernel';
import type { Ports } from './ports.ts';

/** Why a call came to nothing: refused by the server, or never answered. */
export type CallFault =
  | { readonly kind: 'refused'; readonly refusal: Refusal }
  /** No answer, or one that a proxy or a dying server made up: try again later. */
  | { readonly kind: 'unreachable' };

export interface CallArgs {
  readonly address: Address;
  readonly params?: Readonly<Record<string, string>>;
  /** Behind the question mark. */
  readonly query?: Readonly<Record<string, string | undefined>>;
  /** Sent as JSON; a picture as it is. */
  readonly body?: unknown;
}

export type Answer = { readonly data: unknown } | { readonly error: CallFault };
export type Call = (args: CallArgs) => Promise<Answer>;

const ANSWER_WITHIN_MS = 12_000;

/** How to call the routes of the contract. */
export function caller(fetch: Ports['fetch']): Call {
  return async ({ address, body, ...where }) => {
    try {
      const response = await fetch(pathOf({ address, ...where }), {
        method: address.method,
        signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
        ...(body === undefined ? {} : sent(body)),
      });
      const answer: unknown = await response.json();
      if (response.ok) return { data: answer };
      if (response.status < 500 && isRefusal(answer)) {
        return { error: { kind: 'refused', refusal: answer } };
      }
    } catch {
      // Falls through: no network, no server, or no JSON.
    }
    return { error: { kind: 'unreachable' } };
  };
}

export function pathOf({ address, params, query }: Omit<CallArgs, 'body'>): string {
  const asked = Object.entries(query ?? {}).flatMap(([key, value]) =>
    value === undefined ? [] : [[key, value]],
  );
  const behind = new URLSearchParams(asked).toString();
  return fillAddress(address, params) + (behind === '' ? '' : `?${behind}`);
}

function sent(body: unknown): RequestInit {
  return body instanceof Blob
    ? { headers: { 'content-type': body.type }, body }
    : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };
}

function isRefusal(answer: unknown): answer is Refusal {
  return typeof answer === 'object' && answer !== null && 'code' in answer && 'path' in answer;
}
