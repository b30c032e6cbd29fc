import {
  type AnswerOf,
  type ApiRequest,
  type EndpointName,
  type ParamsOf,
  pathTo,
  type RequestBodyOf,
} from '@nodo/api';
import { createApi } from '@reduxjs/toolkit/query/react';
import { type Call, type Given, requestFor } from './call.ts';
import { keepLive, type Reading } from './keepLive.ts';
import type { LiveStream } from './liveStream.ts';
import type { OfflineCache } from './offlineCache.ts';
import type { Ports } from './ports.ts';
import type { CheckedTabs } from './tabs.ts';
import { appendInOrder, placeOnRack } from './tickets.ts';

export interface ApiParts {
  readonly call: Call;
  readonly stream: LiveStream;
  readonly cache: OfflineCache;
  readonly tabs: CheckedTabs;
  readonly wait: Ports['wait'];
}

const PEOPLE: ApiRequest<'listPeople'> = { name: 'listPeople' };
const RACK: ApiRequest<'listTickets'> = { name: 'listTickets' };
const TABLES: ApiRequest<'readTables'> = { name: 'readTables' };
const ticketRequest = (ticket: string): ApiRequest<'readTicket'> => ({
  name: 'readTicket',
  params: { ticket },
});

export const READ_AGAIN = { forceRefetch: true, subscribe: false } as const;

/** What the server knows, kept live for exactly as long as somebody looks at it. */
export function createNodoApi({ call, stream, cache, tabs, wait }: ApiParts) {
  const keptTrue = keepLive({ stream, cache, wait });

  const screenOf = (state: unknown): string | undefined =>
    api.endpoints.session.select()(state as never).data?.screen.id;

  const api = createApi({
    reducerPath: 'api',
    baseQuery: async (request: ApiRequest, { forced }) =>
      await cache.through(request, await call(request), forced === true),
    keepUnusedDataFor: 30,
    tagTypes: ['accounts', 'screens', 'links', 'notices', 'backups', 'feeds', 'tokens'],
    endpoints: (build) => {
      /** Something that changes who stands at this screen, or what they or the shop are called. */
      const sessionChange = <Given>(
        query: (
          given: Given,
        ) => ApiRequest<
          'signIn' | 'changePerson' | 'lockScreen' | 'setPin' | 'nameMyself' | 'nameShop'
        >,
      ) =>
        build.mutation<AnswerOf<'signIn'>, Given>({
          query,
          onQueryStarted: async (_given, { dispatch, queryFulfilled }): Promise<void> => {
            const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
            if (!data) return;
            cache.put(pathTo('whoAmI'), data);
            void dispatch(api.util.upsertQueryData('session', undefined, data));
            tabs.post({ kind: 'session' });
          },
        });

      const sends = <Name extends EndpointName>(
        name: Name,
        named: readonly (keyof ParamsOf<Name> & string)[] = [],
        invalidatesTags: readonly ('accounts' | 'screens' | 'links')[] = [],
      ) =>
        build.mutation<AnswerOf<Name>, Given<Name>>({
          query: requestFor(name, named),
          invalidatesTags,
        });

      return {
        session: build.query<AnswerOf<'whoAmI'>, void>({
          query: () => ({ name: 'whoAmI' }),
        }),
        signIn: sessionChange<RequestBodyOf<'signIn'>>((body) => ({
          name: 'signIn',
          body,
        })),
        changePerson: sessionChange<RequestBodyOf<'changePerson'>>((body) => ({
          name: 'changePerson',
          body,
        })),
        nameScreen: build.mutation<object, string>({
          query: (device) => ({ name: 'nameScreen', body: { device } }),
          invalidatesTags: ['screens'],
        }),
        lockScreen: sessionChange<void>(() => ({ name: 'lockScreen', body: {} })),
        setPin: sessionChange<RequestBodyOf<'setPin'>>((body) => ({
          name: 'setPin',
          body,
        })),
        nameMyself: sessionChange<RequestBodyOf<'nameMyself'>>((body) => ({
          name: 'nameMyself',
          body,
        })),
        nameShop: sessionChange<RequestBodyOf<'nameShop'>>((body) => ({
          name: 'nameShop',
          body,
        })),
        signOut: build.mutation<object, void>({
          query: () => ({ name: 'signOut' }),
          onQueryStarted: async (_none, { queryFulfilled }) => {
            await queryFulfilled.then(
              () => {
                cache.clear();
                tabs.post({ kind: 'session' });
              },
              () => undefined,
            );
          },
        }),
        changePassword: sends('changePassword'),
        redeemCode: sends('redeemCode'),
        people: build.query<AnswerOf<'listPeople'>, void>({
          query: () => PEOPLE,
          onCacheEntryAdded: (_none, life): Promise<void> =>
            keptTrue(
              PEOPLE,
              life,
              (): Reading => life.dispatch(api.endpoints.people.initiate(undefined, READ_AGAIN)),
              () => true,
            ),
        }),
        accounts: build.query<AnswerOf<'listAccounts'>, void>({
          query: () => ({ name: 'listAccounts' }),
          providesTags: ['accounts'],
        }),
        invitePerson: sends('invitePerson', [], ['accounts']),
        changeAccount: sends('changeAccount', ['person'], ['accounts', 'screens']),
        resetAccount: build.mutation<AnswerOf<'resetAccount'>, string>({
          query: (person) => ({ name: 'resetAccount', params: { person }, body: {} }),
          invalidatesTags: ['accounts', 'screens'],
        }),
        screens: build.query<AnswerOf<'listScreens'>, void>({
          query: () => ({ name: 'listScreens' }),
          providesTags: ['screens'],
          keepUnusedDataFor: 0,
        }),
        reach: build.query<AnswerOf<'readReach'>, void>({
          query: () => ({ name: 'readReach' }),
        }),
        endScreen: sends('endScreen', ['screen'], ['screens']),
        audit: build.infiniteQuery<AnswerOf<'readAudit'>, string | undefined, string | undefined>({
          query: ({ queryArg: person, pageParam: before }) => ({
            name: 'readAudit',
            params: { before, person },
          }),
          infiniteQueryOptions: {
            initialPageParam: undefined,
            getNextPageParam: ({ next }) => next ?? undefined,
          },
          keepUnusedDataFor: 0,
        }),
        links: build.query<AnswerOf<'listLinks'>, string>({
          query: (ticket) => ({ name: 'listLinks', params: { ticket } }),
          providesTags: ['links'],
        }),
        makeLink: sends('makeLink', ['ticket'], ['links']),
        revokeLink: sends('revokeLink', ['ticket', 'link'], ['links']),
        shared: build.query<AnswerOf<'readShared'>, string>({
          query: (token) => ({ name: 'readShared', params: { token } }),
        }),
        /** Presence on the other screens. It is never read; the stream pushes it. */
        presence: build.query<Extract<AnswerOf<'live'>, { kind: 'presence' }>['who'], void>({
          queryFn: () => ({ data: [] }),
          onCacheEntryAdded: async (_none, { getState, updateCachedData, cacheEntryRemoved }) => {
            const stop = stream.listen((frame) => {
              if (frame.kind !== 'presence') return;
              const own = screenOf(getState());
              const others = frame.who.filter(({ screen }) => screen !== own);
              // Told at each step of one's own, too: nothing is painted anew for that.
              updateCachedData((before) =>
                JSON.stringify(before) === JSON.stringify(others) ? undefined : others,
              );
            });
            await cacheEntryRemoved;
            stop();
          },
        }),
        rack: build.query<AnswerOf<'listTickets'>, void>({
          query: () => RACK,
          onCacheEntryAdded: (_none, life): Promise<void> =>
            keptTrue(
              RACK,
              life,
              (): Reading => life.dispatch(api.endpoints.rack.initiate(undefined, READ_AGAIN)),
              (frame) => {
                if (frame.kind === 'events') {
                  life.updateCachedData((rack) => placeOnRack(rack, frame.rack));
                }
                // Lines may read otherwise under other tables.
                return frame.kind !== 'tables' && frame.kind !== 'cards';
              },
            ),
        }),
        ticket: build.query<AnswerOf<'readTicket'>, string>({
          query: ticketRequest,
          onCacheEntryAdded: (id, life): Promise<void> =>
            keptTrue(
              ticketRequest(id),
              life,
              (): Reading => life.dispatch(api.endpoints.ticket.initiate(id, READ_AGAIN)),
              (frame) => {
                // Its customer may be called otherwise now.
                if (frame.kind === 'cards') return false;
                if (frame.kind !== 'events' || frame.ticket !== id) return true;
                const seen = { gap: false };
                life.updateCachedData((file) => {
                  seen.gap = !appendInOrder(file, frame.events);
                });
                return !seen.gap;
              },
            ),
        }),
        tables: build.query<AnswerOf<'readTables'>, void>({
          query: () => TABLES,
          onCacheEntryAdded: (_none, life): Promise<void> =>
            keptTrue(
              TABLES,
              life,
              (): Reading => life.dispatch(api.endpoints.tables.initiate(undefined, READ_AGAIN)),
              ({ kind }) => kind !== 'tables',
            ),
        }),
        candidates: build.query<AnswerOf<'listCandidates'>, void>({
          query: () => ({ name: 'listCandidates' }),
          keepUnusedDataFor: 0,
        }),
        changeTables: build.mutation<
          AnswerOf<'recordTableEvent'>,
          RequestBodyOf<'recordTableEvent'>
        >({
          query: (body) => ({ name: 'recordTableEvent', body }),
          onQueryStarted: async (_draft, { dispatch, queryFulfilled }) => {
            const stored = await queryFulfilled.then(
              () => true,
              () => false,
            );
            // Shown here at once; the stream notifies the other screens.
            if (stored) void dispatch(api.endpoints.tables.initiate(undefined, READ_AGAIN));
          },
        }),
        takeIn: sends('takeIn'),
      };
    },
  });
  return api;
}

export type NodoApi = ReturnType<typeof createNodoApi>;
