import type { CustomerFile, Hit, LiveFrame, MachineFile, NeedleFile, ShopSheet } from '@nodo/api';
import { ADDRESSES } from '@nodo/api';
import type { CustomerCard, MachineCard } from '@nodo/shop';
import type { NeedleIn, RackEntry } from '@nodo/ticket';
import { type ApiParts, type NodoApi, READ_AGAIN } from './api.ts';
import type { CallArgs } from './call.ts';
import { keepTrue, type Reading } from './follow.ts';

/** A page of what was fetched. */
interface CollectedPage {
  readonly entries: readonly RackEntry[];
  readonly next: string | null;
}

const SHOP: CallArgs = { address: ADDRESSES.readShop };
const customerArgs = (customer: string): CallArgs => ({
  address: ADDRESSES.readCustomer,
  params: { customer },
});
const machineArgs = (machine: string): CallArgs => ({
  address: ADDRESSES.readMachine,
  params: { machine },
});

const needleArgs = (machine: string): CallArgs => ({
  address: ADDRESSES.readNeedles,
  params: { machine },
});

/** Any machine's: what is put back there lies opened here. */
function tellsOfNeedles({ events }: Extract<LiveFrame, { kind: 'events' }>): boolean {
  return events.some(({ type }) => type === 'needle-fitted' || type === 'entry-corrected');
}

/** Customers, machines, the shop's own card, and finding any of it. */
export function withCards(base: NodoApi, parts: Pick<ApiParts, 'stream' | 'keeper' | 'wait'>) {
  const keptTrue = keepTrue(parts);
  const api = base.injectEndpoints({
    endpoints: (build) => ({
      shop: build.query<ShopSheet, void>({
        query: () => SHOP,
        onCacheEntryAdded: (_none, life): Promise<void> =>
          keptTrue(
            SHOP,
            life,
            (): Reading => life.dispatch(api.endpoints.shop.initiate(undefined, READ_AGAIN)),
            ({ kind }) => kind !== 'cards',
          ),
      }),
      changeShop: build.mutation<ShopSheet, ShopSheet>({
        query: (body) => ({ address: ADDRESSES.changeShop, body }),
      }),
      search: build.query<readonly Hit[], string>({
        query: (find) => ({ address: ADDRESSES.search, query: { find } }),
        keepUnusedDataFor: 0,
      }),
      collected: build.infiniteQuery<CollectedPage, void, string | undefined>({
        query: ({ pageParam: before }) => ({
          address: ADDRESSES.listCollected,
          query: { before },
        }),
        infiniteQueryOptions: {
          initialPageParam: undefined,
          getNextPageParam: ({ next }) => next ?? undefined,
        },
        keepUnusedDataFor: 0,
      }),
      customer: build.query<CustomerFile, string>({
        query: customerArgs,
        onCacheEntryAdded: (id, life): Promise<void> =>
          keptTrue(
            customerArgs(id),
            life,
            (): Reading => life.dispatch(api.endpoints.customer.initiate(id, READ_AGAIN)),
            ({ kind }) => kind !== 'cards' && kind !== 'events',
          ),
      }),
      needles: build.query<NeedleFile, string>({
        query: needleArgs,
        onCacheEntryAdded: (id, life): Promise<void> =>
          keptTrue(
            needleArgs(id),
            life,
            (): Reading => life.dispatch(api.endpoints.needles.initiate(id, READ_AGAIN)),
            (frame) =>
              frame.kind !== 'cards' && !(frame.kind === 'events' && tellsOfNeedles(frame)),
          ),
      }),
      registerNeedle: build.mutation<
        NeedleFile,
        NeedleIn & { readonly machine: string; readonly id: string; readonly when: string }
      >({
        query: ({ machine, ...body }) => ({
          address: ADDRESSES.registerNeedle,
          params: { machine },
          body,
        }),
      }),
      changeCustomer: build.mutation<
        CustomerFile,
        { customer: string; revision: number; card: CustomerCard }
      >({
        query: ({ customer, ...body }) => ({
          address: ADDRESSES.changeCustomer,
          params: { customer },
          body,
        }),
      }),
      mergeCustomer: build.mutation<CustomerFile, { customer: string; into: string | null }>({
        query: ({ customer, into }) => ({
          address: ADDRESSES.mergeCustomer,
          params: { customer },
          body: { into },
        }),
      }),
      eraseCustomer: build.mutation<CustomerFile, string>({
        query: (customer) => ({ address: ADDRESSES.eraseCustomer, params: { customer } }),
      }),
      machine: build.query<MachineFile, string>({
        query: machineArgs,
        onCacheEntryAdded: (id, life): Promise<void> =>
          keptTrue(
            machineArgs(id),
            life,
            (): Reading => life.dispatch(api.endpoints.machine.initiate(id, READ_AGAIN)),
            (frame) =>
              frame.kind !== 'cards' && !(frame.kind === 'events' && frame.rack.machine === id),
          ),
      }),
      changeMachine: build.mutation<
        MachineFile,
        { machine: string; revision: number; card: MachineCard; customer: string | null }
      >({
        query: ({ machine, ...body }) => ({
          address: ADDRESSES.changeMachine,
          params: { machine },
          body,
        }),
      }),
    }),
  });
  return api;
}

export type FullApi = ReturnType<typeof withCards>;
