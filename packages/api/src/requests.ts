import type { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import type { ENDPOINTS } from './endpoints.ts';

type Endpoints = typeof ENDPOINTS;
export type EndpointName = keyof Endpoints;

/** The same with nothing in it that the receiver may change. */
type Frozen<Value> = Value extends Uint8Array
  ? Value
  : Value extends readonly (infer Item)[]
    ? readonly Frozen<Item>[]
    : Value extends object
      ? { readonly [Key in keyof Value]: Frozen<Value[Key]> }
      : Value;

/** What an endpoint's path and query name. */
export type ParamsOf<Name extends EndpointName> = Frozen<z.input<Endpoints[Name]['params']>>;
export type RequestBodyOf<Name extends EndpointName> = Frozen<z.input<Endpoints[Name]['body']>>;
export type AnswerOf<Name extends EndpointName> = z.output<Endpoints[Name]['answer']>;

/** The keys that cannot be left out of a value; none for a value without any. */
type NeededKeys<Value> = string extends keyof Value
  ? never
  : { [Key in keyof Value]-?: undefined extends Value[Key] ? never : Key }[keyof Value];

/** `Key` where the endpoint needs it, optional where it can go without, absent where it takes none. */
type Part<Key extends string, Value> = [Value] extends [undefined]
  ? { readonly [Absent in Key]?: undefined }
  : [NeededKeys<Value>] extends [never]
    ? { readonly [Optional in Key]?: Value | undefined }
    : { readonly [Needed in Key]: Value };

/** One call of an endpoint, as its schemas want it. */
export type ApiRequest<Name extends EndpointName = EndpointName> = {
  [One in Name]: { readonly name: One } & Part<'params', ParamsOf<One>> &
    Part<'body', RequestBodyOf<One>>;
}[Name];

/** The path of an endpoint with its parameters filled in; what the path does not name follows `?`. */
export function pathTo<Name extends EndpointName>(
  name: Name,
  ...[params]: [NeededKeys<ParamsOf<Name>>] extends [never]
    ? [params?: ParamsOf<Name>]
    : [params: ParamsOf<Name>]
): string {
  const left = new Map(
    Object.entries(params ?? {}).flatMap(([key, value]): [string, string][] =>
      value === undefined ? [] : [[key, value]],
    ),
  );
  const path = ADDRESSES[name].path.replace(/:([a-z]+)/gi, (_, key: string) => {
    const value = left.get(key) ?? '';
    left.delete(key);
    return encodeURIComponent(value);
  });
  const query = [...left].map(([key, value]) => `${key}=${encodeURIComponent(value)}`).join('&');
  return query === '' ? path : `${path}?${query}`;
}
