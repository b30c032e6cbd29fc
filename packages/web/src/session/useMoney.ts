import { currencySign } from '@nodo/kernel';
import { NEW_SHOP_PROFILE } from '@nodo/shop';
import { useMemo } from 'react';
import { useShopQuery } from '../api/client.ts';
import { readMoney, typedMoney, write } from '../messages/index.ts';

/** How the shop writes and reads money. */
export function useMoney(): {
  readonly currency: string;
  readonly sign: string;
  readonly say: (minor: number) => string;
  readonly read: (typed: string) => number | undefined;
  readonly typed: (minor: number) => string;
} {
  const { currency } = useShopQuery().data?.card ?? NEW_SHOP_PROFILE;
  return useMemo(
    () => ({
      currency,
      sign: currencySign(currency),
      say: (minor: number) => write.money(minor, currency),
      read: (typed: string) => readMoney(typed, currency),
      typed: (minor: number) => typedMoney(minor, currency),
    }),
    [currency],
  );
}
