import type {
  Candidate,
  Customer,
  Draft,
  Person,
  RackEntry,
  Session,
  TableDraft,
  TableEvent,
  TicketFile,
} from '@nodo/contract';
import { ADDRESSES } from '@nodo/contract/addresses';
import { createApi } from '@reduxjs/toolkit/query/react';
import { type CallFault, call } from './call.ts';
import { liveStream } from './liveStream.ts';

type CallArgs = Parameters<typeof call>[0];

/** Puts a changed line into the Rack: machines that were collected leave it. */
function placeOnRack(rack: readonly RackEntry[], entry: RackEntry): RackEntry[] {
  const others = rack.filter(({ ticket }) => ticket !== entry.ticket);
  return entry.status === 'collected' ? others : [...others, entry];
}

/** What the server knows, kept live for exactly as long as somebody looks at it. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: (args: CallArgs) => call(args) as Promise<{ data: unknown } | { error: CallFault }>,
  keepUnusedDataFor: 30,
  endpoints: (build) => ({
    session: build.query<Session | null, void>({ query: () => ({ address: ADDRESSES.whoAmI }) }),
    signIn: build.mutation<Session, { login: string; password: string }>({
      query: (body) => ({ address: ADDRESSES.signIn, body }),
      onQueryStarted: async (_given, { dispatch, queryFulfilled }) => {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (data) void dispatch(api.util.upsertQueryData('session', undefined, data));
      },
    }),
    signOut: build.mutation<object, void>({ query: () => ({ address: ADDRESSES.signOut }) }),
    people: build.query<readonly Person[], void>({
      query: () => ({ address: ADDRESSES.listPeople }),
    }),
    rack: build.query<readonly RackEntry[], void>({
      query: () => ({ address: ADDRESSES.listTickets }),
      onCacheEntryAdded: async (_none, { dispatch, updateCachedData, cacheEntryRemoved }) => {
        const stop = liveStream.listen((frame) => {
          if (frame.kind === 'events') updateCachedData((rack) => placeOnRack(rack, frame.rack));
          else void dispatch(api.endpoints.rack.initiate(undefined, READ_AGAIN));
        });
        await cacheEntryRemoved;
        stop();
      },
    }),
    ticket: build.query<TicketFile, string>({
      query: (ticket) => ({ address: ADDRESSES.readTicket, params: { ticket } }),
      onCacheEntryAdded: async (id, { dispatch, updateCachedData, cacheEntryRemoved }) => {
        const readAgain = () => {
          void dispatch(api.endpoints.ticket.initiate(id, READ_AGAIN));
        };
        const stop = liveStream.listen((frame) => {
          if (frame.kind === 'resync') readAgain();
          if (frame.kind !== 'events' || frame.ticket !== id) return;
          const seen = { gap: false };
          updateCachedData((file) => {
            seen.gap = !appendInOrder(file, frame.events);
          });
          if (seen.gap) readAgain();
        });
        await cacheEntryRemoved;
        stop();
      },
    }),
    tables: build.query<readonly TableEvent[], void>({
      query: () => ({ address: ADDRESSES.readTables }),
      onCacheEntryAdded: async (_none, { dispatch, cacheEntryRemoved }) => {
        const stop = liveStream.listen(({ kind }) => {
          if (kind === 'events') return;
          void dispatch(api.endpoints.tables.initiate(undefined, READ_AGAIN));
        });
        await cacheEntryRemoved;
        stop();
      },
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
  }),
});

const READ_AGAIN = { forceRefetch: true, subscribe: false } as const;

/** Adds what is new; false when something between is missing. */
export function appendInOrder(
  file: { events: TicketFile['events'] },
  events: TicketFile['events'],
): boolean {
  for (const event of events) {
    const next = file.events.length + 1;
    if (event.seq < next) continue;
    if (event.seq > next) return false;
    file.events.push(event);
  }
  return true;
}

export const {
  useSessionQuery,
  useSignInMutation,
  useSignOutMutation,
  usePeopleQuery,
  useRackQuery,
  useTicketQuery,
  useTakeInMutation,
  useTablesQuery,
  useCandidatesQuery,
  useChangeTablesMutation,
} = api;
