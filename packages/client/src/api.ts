import type {
  Account,
  AuditPage,
  Candidate,
  Customer,
  CustomerLink,
  HandedCode,
  Looker,
  NewMachine,
  Person,
  Reach,
  Screen,
  Session,
  TicketFile,
} from '@nodo/api';
import { ADDRESSES } from '@nodo/api';
import type { Role } from '@nodo/kernel';
import type { TableDraft, TableEvent } from '@nodo/tables';
import type { Draft, ForCustomer, RackEntry } from '@nodo/ticket';
import { createApi } from '@reduxjs/toolkit/query/react';
import type { Call, CallArgs } from './call.ts';
import { keepTrue, type Reading } from './follow.ts';
import type { Keeper } from './keeper.ts';
import type { LiveStream } from './liveStream.ts';
import type { Ports, Tabs } from './ports.ts';
import { appendInOrder, placeOnRack } from './tickets.ts';

export interface ApiParts {
  readonly call: Call;
  readonly stream: LiveStream;
  readonly keeper: Keeper;
  readonly tabs: Tabs;
  readonly wait: Ports['wait'];
}

const PEOPLE: CallArgs = { address: ADDRESSES.listPeople };
const RACK: CallArgs = { address: ADDRESSES.listTickets };
const TABLES: CallArgs = { address: ADDRESSES.readTables };
const ticketArgs = (ticket: string): CallArgs => ({
  address: ADDRESSES.readTicket,
  params: { ticket },
});

export const READ_AGAIN = { forceRefetch: true, subscribe: false } as const;

/** What the server knows, kept live for exactly as long as somebody looks at it. */
export function createNodoApi({ call, stream, keeper, tabs, wait }: ApiParts) {
  const keptTrue = keepTrue({ stream, keeper, wait });

  const screenOf = (state: unknown): string | undefined =>
    api.endpoints.session.select()(state as never).data?.screen.id;

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
        nameScreen: build.mutation<object, string>({
          query: (device) => ({ address: ADDRESSES.nameScreen, body: { device } }),
          invalidatesTags: ['screens'],
        }),
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
          query: () => PEOPLE,
          onCacheEntryAdded: (_none, life): Promise<void> =>
            keptTrue(
              PEOPLE,
              life,
              (): Reading => life.dispatch(api.endpoints.people.initiate(undefined, READ_AGAIN)),
              () => true,
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
        reach: build.query<Reach | null, void>({
          query: () => ({ address: ADDRESSES.readReach }),
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
        /** Who looks at what on other screens; nothing of it is read, the stream tells it. */
        presence: build.query<readonly Looker[], void>({
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
        rack: build.query<readonly RackEntry[], void>({
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
        ticket: build.query<TicketFile, string>({
          query: ticketArgs,
          onCacheEntryAdded: (id, life): Promise<void> =>
            keptTrue(
              ticketArgs(id),
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
        tables: build.query<readonly TableEvent[], void>({
          query: () => TABLES,
          onCacheEntryAdded: (_none, life): Promise<void> =>
            keptTrue(
              TABLES,
              life,
              (): Reading => life.dispatch(api.endpoints.tables.initiate(undefined, READ_AGAIN)),
              ({ kind }) => kind !== 'tables',
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
          {
            ticket: string;
            customer: Customer | null;
            machine?: NewMachine | null;
            drafts: readonly Draft[];
          }
        >({ query: (body) => ({ address: ADDRESSES.takeIn, body }) }),
      };
    },
  });
  return api;
}

export type NodoApi = ReturnType<typeof createNodoApi>;
