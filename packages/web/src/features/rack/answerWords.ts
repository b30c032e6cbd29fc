import type { RackEntry } from '@nodo/ticket';
import { m, write } from '../../messages/index.ts';
import { useMoney } from '../../session/useMoney.ts';

/** What the customer said to a price, in words. */
export function useAnswerWords(): (answer: NonNullable<RackEntry['answer']>) => string {
  const { say } = useMoney();
  return ({ agreed, amount, how, at }) =>
    m.life.answered(agreed, say(amount), m.life.spoken(how), write.moment(at));
}
