import type {
  Account,
  AuditLine,
  Candidate,
  Customer,
  CustomerLink,
  Draft,
  ForCustomer,
  Looker,
  Person,
  RackEntry,
  Role,
  Screen,
  Session,
  TableDraft,
  TableEvent,
  TicketFile,
} from '@nodo/contract';
import { ADDRESSES } from '@nodo/contract/addresses';
import { createApi } from '@reduxjs/toolkit/query/react';
import type { Call, CallArgs } from './call.ts';
import { follow, type Reading } from './follow.ts';
import type { Keeper } from './keeper.ts';
import type { LiveStream } from './liveStream.ts';
import type { Ports, Tabs } from './ports.ts';
import { appendInOrder, placeOnRack } from './tickets.ts';

interface ApiParts {
  readonly call: Call;
  readonly stream: LiveStream;
  readonly keeper: Keeper;
  readonly tabs: Tabs;
  readonly wait: Ports['wait'];
}

interface HandedCode {
  readonly account: Account;
  readonly code: string;
  readonly until: string;
}
interface AuditPage {
  readonly lines: readonly AuditLine[];
  readonly next: string | null;
}

const READ_AGAIN = { forceRefetch: true, subscribe: false } as const;

/** What the server knows, kept live for exactly as long as somebody looks at it. */
export function createNodoApi({ call, stream, keeper, tabs, wait }: ApiParts) {
  const line = { stream, wait };
  const api = createApi({
    reducerPath: 'api',
    baseQuery: async (args: CallArgs, { forced }) =>
      await keeper.through(args, await call(args), forced === true),
    keepUnusedDataFor: 30,
    tagTypes: ['accounts', 'screens', 'links'],
    endpoints: (build) => {
      /** Something that changes who stands at this screen. */
      const sessionChange = <Given>(query: (given: Given) => CallArgs) =>
        build.mutation<Session, Given>({
          query,
          onQueryStarted: async (_given, { dispatch, queryFulfilled }): Promise<void> => {
            const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
            if (!data) return;
            keeper.put(ADDRESSES.whoAmI.path, data);
            void dispatch(api.util.upsertQueryData('session', undefined, data));
            tabs.post({ kind: 'session' });
          },
        });

      return {
        session: build.query<Session | null, void>({
          query: () => ({ address: ADDRESSES.whoAmI }),
        }),
        signIn: sessionChange<{ login: string; password: string; device: string }>((body) => ({
          address: ADDRESSES.signIn,
          body,
        })),
        changePerson: sessionChange<{ person: string; pin: string }>((body) => ({
          address: ADDRESSES.changePerson,
          body,
        })),
        lockScreen: sessionChange<void>(() => ({ address: ADDRESSES.lockScreen, body: {} })),
        setPin: sessionChange<{ password: string; pin: string }>((body) => ({
          address: ADDRESSES.setPin,
          body,
        })),
        signOut: build.mutation<object, void>({
          query: () => ({ address: ADDRESSES.signOut }),
          onQueryStarted: async (_none, { queryFulfilled }) => {
            await queryFulfilled.then(
              () => {
                keeper.clear();
                tabs.post({ kind: 'session' });
              },
              () => undefined,
            );
          },
        }),
        changePassword: build.mutation<object, { password: string; fresh: string }>({
          query: (body) => ({ address: ADDRESSES.changePassword, body }),
        }),
        redeemCode: build.mutation<object, { login: string; code: string; password: string }>({
          query: (body) => ({ address: ADDRESSES.redeemCode, body }),
        }),
        people: build.query<readonly Person[], void>({
          query: () => ({ address: ADDRESSES.listPeople }),
          onCacheEntryAdded: async (
            _none,
            { dispatch, cacheDataLoaded, cacheEntryRemoved },
          ): Promise<void> =>
            follow(
              line,
              {
                readAgain: (): Reading =>
                  dispatch(api.endpoints.people.initiate(undefined, READ_AGAIN)),
                isCopy: () => keeper.isCopy({ address: ADDRESSES.listPeople }),
                apply: () => true,
              },
              { cacheDataLoaded, cacheEntryRemoved },
            ),
        }),
        accounts: build.query<readonly Account[], void>({
          query: () => ({ address: ADDRESSES.listAccounts }),
          providesTags: ['accounts'],
        }),
        invitePerson: build.mutation<
          HandedCode,
          { login: string; name: string; initials: string; role: Role }
        >({
          query: (body) => ({ address: ADDRESSES.invitePerson, body }),
          invalidatesTags: ['accounts'],
        }),
        changeAccount: build.mutation<
          Account,
          { person: string; change: { role?: Role; locked?: boolean } }
        >({
          query: ({ person, change }) => ({
            address: ADDRESSES.changeAccount,
            params: { person },
            body: change,
          }),
          invalidatesTags: ['accounts', 'screens'],
        }),
        resetAccount: build.mutation<HandedCode, string>({
          query: (person) => ({ address: ADDRESSES.resetAccount, params: { person }, body: {} }),
          invalidatesTags: ['accounts', 'screens'],
        }),
        screens: build.query<readonly Screen[], void>({
          query: () => ({ address: ADDRESSES.listScreens }),
          providesTags: ['screens'],
          keepUnusedDataFor: 0,
        }),
        endScreen: build.mutation<object, string>({
          query: (screen) => ({ address: ADDRESSES.endScreen, params: { screen } }),
          invalidatesTags: ['screens'],
        }),
        audit: build.infiniteQuery<AuditPage, string | undefined, string | undefined>({
          query: ({ queryArg: person, pageParam: before }) => ({
            address: ADDRESSES.readAudit,
            query: { before, person },
          }),
          infiniteQueryOptions: {
            initialPageParam: undefined,
            getNextPageParam: ({ next }) => next ?? undefined,
          },
          keepUnusedDataFor: 0,
        }),
        links: build.query<readonly CustomerLink[], string>({
          query: (ticket) => ({ address: ADDRESSES.listLinks, params: { ticket } }),
          providesTags: ['links'],
        }),
        makeLink: build.mutation<
          { link: CustomerLink; token: string },
          { ticket: string; days: number }
        >({
          query: ({ ticket, days }) => ({
            address: ADDRESSES.makeLink,
            params: { ticket },
            body: { days },
          }),
          invalidatesTags: ['links'],
        }),
        revokeLink: build.mutation<object, { ticket: string; link: string }>({
          query: (params) => ({ address: ADDRESSES.revokeLink, params }),
          invalidatesTags: ['links'],
        }),
        shared: build.query<ForCustomer, string>({
          query: (token) => ({ address: ADDRESSES.readShared, params: { token } }),
        }),
        lookAt: build.mutation<object, { ticket: string | null; check: string | null }>({
          query: (body) => ({ address: ADDRESSES.lookAt, body }),
        }),
        /** Who looks at what; nothing of it is read, the stream tells it. */
        presence: build.query<readonly Looker[], void>({
          queryFn: () => ({ data: [] }),
          onCacheEntryAdded: async (_none, { updateCachedData, cacheEntryRemoved }) => {
            const stop = stream.listen((frame) => {
              if (frame.kind === 'presence') updateCachedData(() => frame.who);
            });
            await cacheEntryRemoved;
            stop();
          },
        }),
        rack: build.query<readonly RackEntry[], void>({
          query: () => ({ address: ADDRESSES.listTickets }),
          onCacheEntryAdded: async (
            _none,
            { dispatch, updateCachedData, cacheDataLoaded, cacheEntryRemoved },
          ): Promise<void> =>
            follow(
              line,
              {
                readAgain: (): Reading =>
                  dispatch(api.endpoints.rack.initiate(undefined, READ_AGAIN)),
                isCopy: () => keeper.isCopy({ address: ADDRESSES.listTickets }),
                apply: (frame) => {
                  if (frame.kind === 'events') {
                    updateCachedData((rack) => placeOnRack(rack, frame.rack));
                  }
                  // Lines may read otherwise under other tables.
                  return frame.kind !== 'tables';
                },
              },
              { cacheDataLoaded, cacheEntryRemoved },
            ),
        }),
        ticket: build.query<TicketFile, string>({
          query: (ticket) => ({ address: ADDRESSES.readTicket, params: { ticket } }),
          onCacheEntryAdded: async (
            id,
            { dispatch, updateCachedData, cacheDataLoaded, cacheEntryRemoved },
          ): Promise<void> =>
            follow(
              line,
              {
                readAgain: (): Reading => dispatch(api.endpoints.ticket.initiate(id, READ_AGAIN)),
                isCopy: () =>
                  keeper.isCopy({ address: ADDRESSES.readTicket, params: { ticket: id } }),
                apply: (frame) => {
                  if (frame.kind !== 'events' || frame.ticket !== id) return true;
                  const seen = { gap: false };
                  updateCachedData((file) => {
                    seen.gap = !appendInOrder(file, frame.events);
                  });
                  return !seen.gap;
                },
              },
              { cacheDataLoaded, cacheEntryRemoved },
            ),
        }),
        tables: build.query<readonly TableEvent[], void>({
          query: () => ({ address: ADDRESSES.readTables }),
          onCacheEntryAdded: async (
            _none,
            { dispatch, cacheDataLoaded, cacheEntryRemoved },
          ): Promise<void> =>
            follow(
              line,
              {
                readAgain: (): Reading =>
                  dispatch(api.endpoints.tables.initiate(undefined, READ_AGAIN)),
                isCopy: () => keeper.isCopy({ address: ADDRESSES.readTables }),
                apply: ({ kind }) => kind !== 'tables',
              },
              { cacheDataLoaded, cacheEntryRemoved },
            ),
        }),
        candidates: build.query<readonly Candidate[], void>({
          query: () => ({ address: ADDRESSES.listCandidates }),
          keepUnusedDataFor: 0,
        }),
        changeTables: build.mutation<TableEvent, TableDraft>({
          query: (body) => ({ address: ADDRESSES.recordTableEvent, body }),
          onQueryStarted: async (_draft, { dispatch, queryFulfilled }) => {
            const stored = await queryFulfilled.then(
              () => true,
              () => false,
            );
            // Shown here at once; the stream tells the other screens.
            if (stored) void dispatch(api.endpoints.tables.initiate(undefined, READ_AGAIN));
          },
        }),
        takeIn: build.mutation<
          TicketFile,
          { ticket: string; customer: Customer | null; drafts: readonly Draft[] }
        >({ query: (body) => ({ address: ADDRESSES.takeIn, body }) }),
      };
    },
  });
  return api;
}

export type NodoApi = ReturnType<typeof createNodoApi>;
