import { type Payment, payment } from '../state/values.ts';

/** What was taken, by the way of paying; every way is named. */
export function takingsOf(payments: readonly Payment[]): Readonly<Record<Payment['how'], number>> {
  const ways = payment.shape.how.options;
  return Object.fromEntries(
    ways.map((way) => [
      way,
      payments.filter(({ how }) => how === way).reduce((sum, { amount }) => sum + amount, 0),
    ]),
  ) as Record<Payment['how'], number>;
}
