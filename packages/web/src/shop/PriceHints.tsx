import { NEW_SHOP_PROFILE, type PriceLine, pricesLike } from '@nodo/shop';
import { useShopQuery } from '../api/client.ts';
import { m } from '../messages/index.ts';
import { useMoney } from '../session/useMoney.ts';
import { Button } from '../ui/Button.tsx';

/** The lines of the shop's price list that a few letters mean, to be taken at one tap. */
export function PriceHints({
  typed,
  onPick,
}: {
  readonly typed: string;
  readonly onPick: (line: PriceLine) => void;
}) {
  const { priceList } = useShopQuery().data?.card ?? NEW_SHOP_PROFILE;
  const money = useMoney();
  const like = pricesLike(priceList, typed);
  if (like.length === 0) return null;
  return (
    <ul className="flex flex-wrap gap-2" aria-label={m.life.sheet.fromPriceList}>
      {like.map((line) => (
        <li key={line.words}>
          <Button className="text-sm" onClick={() => onPick(line)}>
            <bdi>{line.words}</bdi>
            <span className="font-mono">{money.say(line.each)}</span>
          </Button>
        </li>
      ))}
    </ul>
  );
}
