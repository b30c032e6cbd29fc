import type { Refusal } from '@nodo/contract';
import { type Address, fillAddress } from '@nodo/contract/addresses';

/** Why a call came to nothing: refused by the server, or never answered. */
export type CallFault =
  | { readonly kind: 'refused'; readonly refusal: Refusal }
  /** No answer, or one that a proxy or a dying server made up: try again later. */
  | { readonly kind: 'unreachable' };

interface CallArgs {
  readonly address: Address;
  readonly params?: Readonly<Record<string, string>>;
  /** Sent as JSON; a picture as it is. */
  readonly body?: unknown;
}

const ANSWER_WITHIN_MS = 12_000;

/** Calls one route of the contract. */
export async function call({
  address,
  params,
  body,
}: CallArgs): Promise<{ data: unknown } | { error: CallFault }> {
  let response: Response;
  try {
    response = await fetch(fillAddress(address, params), {
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
}

function sent(body: unknown): RequestInit {
  return body instanceof Blob
    ? { headers: { 'content-type': body.type }, body }
    : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };
}

function isRefusal(answer: unknown): answer is Refusal {
  return typeof answer === 'object' && answer !== null && 'code' in answer && 'path' in answer;
}
