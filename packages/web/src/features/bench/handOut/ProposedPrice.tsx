import { write } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { useMoney } from '../../../session/useMoney.ts';
import { Button } from '../../../ui/Button.tsx';
import { useClosingSheet } from '../closing/useClosingSheet.ts';

/** What the ticket's own entries come to, where nobody has worked out a price yet: taken at one tap. */
export function ProposedPrice() {
  const { price, save } = useClosingSheet();
  const money = useMoney();
  const words = later.handOut;
  return (
    <div className="flex flex-wrap items-center gap-3">
      <p className="text-lg font-semibold">{words.noPrice}</p>
      {price && (
        <Button onClick={() => void save()}>
          {words.takePrice(money.say(price.total), write.minutes(price.labourMinutes))}
        </Button>
      )}
    </div>
  );
}
