import { m, write } from '../../../messages/index.ts';
import { useMoney } from '../../../session/useMoney.ts';
import { useTicket } from '../../../ticket/TicketContext.tsx';

/** What the customer said to the price that was asked last; undefined while they said nothing. */
export function usePriceAnswered(): string | undefined {
  const { asked } = useTicket().ticket.life;
  const money = useMoney();
  if (!asked?.answer) return undefined;
  const { agreed, how, at } = asked.answer;
  return m.life.answered(agreed, money.say(asked.amount), m.life.spoken(how), write.moment(at));
}

/**
 * What may be spent: the answer, the limit, the fee for the look; none where it was not discussed.
 * @param isAskedBeside the question that waits for its answer stands beside it
 */
function usePriceLines(isAskedBeside = false): readonly string[] {
  const { life } = useTicket().ticket;
  const money = useMoney();
  const answered = usePriceAnswered();
  const words = m.life.sheet;
  const { asked, limit, inspectionFee } = life;
  return [
    answered,
    asked && !asked.answer && !isAskedBeside
      ? words.asked(money.say(asked.amount), asked.words)
      : undefined,
    asked?.answer?.words ? `“${asked.answer.words}”` : undefined,
    limit === undefined
      ? undefined
      : limit === null
        ? words.askFirst
        : words.agreed(money.say(limit)),
    inspectionFee === undefined ? undefined : words.inspection(money.say(inspectionFee)),
  ].filter((line) => line !== undefined);
}

/** What may be spent, line by line. */
export function PriceAgreed({ isAskedBeside = false }: { readonly isAskedBeside?: boolean }) {
  return usePriceLines(isAskedBeside).map((line, at) => (
    <p key={line} className={`break-words ${at === 0 ? 'font-semibold' : 'text-quiet'}`}>
      <bdi>{line}</bdi>
    </p>
  ));
}

/** What may be spent, for whoever works on it; nothing where it was not discussed. */
export function PriceNow() {
  const isDiscussed = usePriceLines().length > 0;
  if (!isDiscussed) return null;
  return (
    <section aria-labelledby="price-now" className="mt-6 text-sm">
      <h2 id="price-now" className="font-semibold text-quiet">
        {m.life.sheet.price}
      </h2>
      <PriceAgreed />
    </section>
  );
}
