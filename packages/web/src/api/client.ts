import { createClient } from '@nodo/client';
import { type TypedUseSelectorHook, useSelector } from 'react-redux';
import { browserPorts } from './browserPorts.ts';

/** This tab's client. */
const client = createClient(browserPorts());
export const { store, stream, call } = client;

type RootState = ReturnType<typeof store.getState>;
type AppDispatch = typeof store.dispatch;
export const useAppDispatch = (): AppDispatch => store.dispatch;
export const useAppSelector: TypedUseSelectorHook<RootState> = useSelector;

export const {
  useAccountsQuery,
  useAuditInfiniteQuery,
  useCandidatesQuery,
  useChangeAccountMutation,
  useChangePasswordMutation,
  useChangePersonMutation,
  useChangeTablesMutation,
  useEndScreenMutation,
  useInvitePersonMutation,
  useLinksQuery,
  useLockScreenMutation,
  useMakeLinkMutation,
  useNameScreenMutation,
  usePeopleQuery,
  usePresenceQuery,
  useRackQuery,
  useReachQuery,
  useRedeemCodeMutation,
  useResetAccountMutation,
  useRevokeLinkMutation,
  useScreensQuery,
  useSessionQuery,
  useSetPinMutation,
  useSharedQuery,
  useSignInMutation,
  useSignOutMutation,
  useTablesQuery,
  useTakeInMutation,
  useTicketQuery,
} = client.api;
