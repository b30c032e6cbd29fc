import type {
  AnswerOf,
  ApiRequest,
  EndpointName,
  LiveFrame,
  ParamsOf,
  RequestBodyOf,
} from '@nodo/api';
import type { Day } from '@nodo/kernel';
import { type ApiParts, type NodoApi, READ_AGAIN } from './api.ts';
import { type Given, requestFor } from './call.ts';
import { keepLive, type Reading } from './keepLive.ts';

const SHOP: ApiRequest<'readShop'> = { name: 'readShop' };
const customerRequest = (customer: string): ApiRequest<'readCustomer'> => ({
  name: 'readCustomer',
  params: { customer },
});
const machineRequest = (machine: string): ApiRequest<'readMachine'> => ({
  name: 'readMachine',
  params: { machine },
});

const needleRequest = (machine: string): ApiRequest<'readNeedles'> => ({
  name: 'readNeedles',
  params: { machine },
});

const billsRequest = (ticket: string): ApiRequest<'readBills'> => ({
  name: 'readBills',
  params: { ticket },
});

/** Any machine's: what is put back there lies opened here. */
function mentionsNeedles({ events }: Extract<LiveFrame, { kind: 'events' }>): boolean {
  return events.some(({ type }) => type === 'needle-fitted' || type === 'entry-corrected');
}

/** Customers, machines, the shop's own card, and finding any of it. */
export function withProfiles(base: NodoApi, parts: Pick<ApiParts, 'stream' | 'cache' | 'wait'>) {
  const keptTrue = keepLive(parts);
  const api = base.injectEndpoints({
    endpoints: (build) => {
      const sends = <Name extends EndpointName>(
        name: Name,
        ...named: readonly (keyof ParamsOf<Name> & string)[]
      ) => build.mutation<AnswerOf<Name>, Given<Name>>({ query: requestFor(name, named) });
      return {
        shop: build.query<AnswerOf<'readShop'>, void>({
          query: () => SHOP,
          onCacheEntryAdded: (_none, life): Promise<void> =>
            keptTrue(
              SHOP,
              life,
              (): Reading => life.dispatch(api.endpoints.shop.initiate(undefined, READ_AGAIN)),
              ({ kind }) => kind !== 'cards',
            ),
        }),
        changeShop: sends('changeShop'),
        notices: build.query<AnswerOf<'listNotices'>, void>({
          query: () => ({ name: 'listNotices' }),
          providesTags: ['notices'],
        }),
        putNoticeAway: build.mutation<AnswerOf<'putNoticeAway'>, string>({
          query: (notice) => ({ name: 'putNoticeAway', params: { notice }, body: {} }),
          invalidatesTags: ['notices'],
        }),
        backups: build.query<AnswerOf<'readBackups'>, void>({
          query: () => ({ name: 'readBackups' }),
          providesTags: ['backups'],
        }),
        makeBackup: build.mutation<AnswerOf<'makeBackup'>, void>({
          query: () => ({ name: 'makeBackup', body: {} }),
          invalidatesTags: ['backups', 'notices'],
        }),
        setBackupPassphrase: build.mutation<
          AnswerOf<'setBackupPassphrase'>,
          RequestBodyOf<'setBackupPassphrase'>
        >({
          query: (body) => ({ name: 'setBackupPassphrase', body }),
          invalidatesTags: ['backups', 'notices'],
        }),
        importRows: build.mutation<AnswerOf<'importRows'>, RequestBodyOf<'importRows'>>({
          query: (body) => ({ name: 'importRows', body }),
        }),
        feeds: build.query<AnswerOf<'listFeeds'>, void>({
          query: () => ({ name: 'listFeeds' }),
          providesTags: ['feeds'],
        }),
        makeFeed: build.mutation<AnswerOf<'makeFeed'>, RequestBodyOf<'makeFeed'>>({
          query: (body) => ({ name: 'makeFeed', body }),
          invalidatesTags: ['feeds'],
        }),
        revokeFeed: build.mutation<AnswerOf<'revokeFeed'>, string>({
          query: (feed) => ({ name: 'revokeFeed', params: { feed } }),
          invalidatesTags: ['feeds'],
        }),
        tokens: build.query<AnswerOf<'listTokens'>, void>({
          query: () => ({ name: 'listTokens' }),
          providesTags: ['tokens'],
        }),
        makeToken: build.mutation<AnswerOf<'makeToken'>, RequestBodyOf<'makeToken'>>({
          query: (body) => ({ name: 'makeToken', body }),
          invalidatesTags: ['tokens', 'screens'],
        }),
        revokeToken: build.mutation<AnswerOf<'revokeToken'>, string>({
          query: (token) => ({ name: 'revokeToken', params: { token } }),
          invalidatesTags: ['tokens', 'screens'],
        }),
        search: build.query<AnswerOf<'search'>, string>({
          query: (find) => ({ name: 'search', params: { find } }),
          keepUnusedDataFor: 0,
        }),
        collected: build.infiniteQuery<AnswerOf<'listCollected'>, void, string | undefined>({
          query: ({ pageParam: before }) => ({
            name: 'listCollected',
            params: { before },
          }),
          infiniteQueryOptions: {
            initialPageParam: undefined,
            getNextPageParam: ({ next }) => next ?? undefined,
          },
          keepUnusedDataFor: 0,
        }),
        daySheet: build.query<AnswerOf<'readDaySheet'>, Day>({
          query: (day) => ({ name: 'readDaySheet', params: { day } }),
          keepUnusedDataFor: 0,
        }),
        customer: build.query<AnswerOf<'readCustomer'>, string>({
          query: customerRequest,
          onCacheEntryAdded: (id, life): Promise<void> =>
            keptTrue(
              customerRequest(id),
              life,
              (): Reading => life.dispatch(api.endpoints.customer.initiate(id, READ_AGAIN)),
              ({ kind }) => kind !== 'cards' && kind !== 'events',
            ),
        }),
        needles: build.query<AnswerOf<'readNeedles'>, string>({
          query: needleRequest,
          onCacheEntryAdded: (id, life): Promise<void> =>
            keptTrue(
              needleRequest(id),
              life,
              (): Reading => life.dispatch(api.endpoints.needles.initiate(id, READ_AGAIN)),
              (frame) =>
                frame.kind !== 'cards' && !(frame.kind === 'events' && mentionsNeedles(frame)),
            ),
        }),
        bills: build.query<AnswerOf<'readBills'>, string>({
          query: billsRequest,
          onCacheEntryAdded: (id, life): Promise<void> =>
            keptTrue(
              billsRequest(id),
              life,
              (): Reading => life.dispatch(api.endpoints.bills.initiate(id, READ_AGAIN)),
              ({ kind }) => kind !== 'cards',
            ),
        }),
        countTill: sends('countTill', 'day'),
        makeSale: sends('makeSale'),
        issueBill: sends('issueBill', 'ticket'),
        registerNeedle: sends('registerNeedle', 'machine'),
        changeCustomer: sends('changeCustomer', 'customer'),
        mergeCustomer: sends('mergeCustomer', 'customer'),
        eraseCustomer: sends('eraseCustomer', 'customer'),
        machine: build.query<AnswerOf<'readMachine'>, string>({
          query: machineRequest,
          onCacheEntryAdded: (id, life): Promise<void> =>
            keptTrue(
              machineRequest(id),
              life,
              (): Reading => life.dispatch(api.endpoints.machine.initiate(id, READ_AGAIN)),
              (frame) =>
                frame.kind !== 'cards' && !(frame.kind === 'events' && frame.rack.machine === id),
            ),
        }),
        changeMachine: sends('changeMachine', 'machine'),
      };
    },
  });
  return api;
}

export type FullApi = ReturnType<typeof withProfiles>;
