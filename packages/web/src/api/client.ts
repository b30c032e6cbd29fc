import { createClient } from '@nodo/client';
import { type TypedUseSelectorHook, useSelector } from 'react-redux';
import { browserPorts } from './browserPorts.ts';

/** This tab's client. */
export const client = createClient(browserPorts());
export const { store, stream, call } = client;

type RootState = ReturnType<typeof store.getState>;
type AppDispatch = typeof store.dispatch;
export const useAppDispatch = (): AppDispatch => store.dispatch;
export const useAppSelector: TypedUseSelectorHook<RootState> = useSelector;

export const {
  useAccountsQuery,
  useAuditInfiniteQuery,
  useBackupsQuery,
  useBillsQuery,
  useCandidatesQuery,
  useChangeAccountMutation,
  useChangeCustomerMutation,
  useChangeMachineMutation,
  useChangePasswordMutation,
  useChangePersonMutation,
  useChangeShopMutation,
  useChangeTablesMutation,
  useCollectedInfiniteQuery,
  useCountTillMutation,
  useMakeBackupMutation,
  useMakeSaleMutation,
  useDaySheetQuery,
  useCustomerQuery,
  useEndScreenMutation,
  useEraseCustomerMutation,
  useFeedsQuery,
  useImportRowsMutation,
  useInvitePersonMutation,
  useIssueBillMutation,
  useLinksQuery,
  useLockScreenMutation,
  useMachineQuery,
  useMakeFeedMutation,
  useMakeLinkMutation,
  useMakeTokenMutation,
  useMergeCustomerMutation,
  useNeedlesQuery,
  useNoticesQuery,
  useNameMyselfMutation,
  useNameScreenMutation,
  useNameShopMutation,
  usePeopleQuery,
  usePresenceQuery,
  usePutNoticeAwayMutation,
  useRackQuery,
  useReachQuery,
  useRedeemCodeMutation,
  useRegisterNeedleMutation,
  useResetAccountMutation,
  useRevokeFeedMutation,
  useRevokeLinkMutation,
  useRevokeTokenMutation,
  useScreensQuery,
  useSearchQuery,
  useSessionQuery,
  useSetBackupPassphraseMutation,
  useSetPinMutation,
  useSharedQuery,
  useShopQuery,
  useSignInMutation,
  useSignOutMutation,
  useTablesQuery,
  useTakeInMutation,
  useTicketQuery,
  useTokensQuery,
} = client.api;
