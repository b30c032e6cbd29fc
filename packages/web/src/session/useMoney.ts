import { NEW_SHOP_PROFILE } from '@nodo/shop';
import { useShopQuery } from '../api/client.ts';
import { readMoney, typedMoney, write } from '../messages/index.ts';

/** How the shop writes and reads money. */
export function useMoney(): {
  readonly currency: string;
  readonly say: (minor: number) => string;
  readonly read: (typed: string) => number | undefined;
  readonly typed: (minor: number) => string;
} {
  const { currency } = useShopQuery().data?.card ?? NEW_SHOP_PROFILE;
  return {
    currency,
    say: (minor) => write.money(minor, currency),
    read: (typed) => readMoney(typed, currency),
    typed: (minor) => typedMoney(minor, currency),
  };
}
