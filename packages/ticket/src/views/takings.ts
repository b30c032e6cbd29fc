import { PAYMENT_WAYS, type Payment, type PaymentWay } from '../state/values.ts';

/** What was taken less what was given back, by the way of paying; every way is named. */
export function takingsOf(payments: readonly Payment[]): Readonly<Record<PaymentWay, number>> {
  return Object.fromEntries(
    PAYMENT_WAYS.map((way) => [
      way,
      payments.filter(({ how }) => how === way).reduce((sum, { amount }) => sum + amount, 0),
    ]),
  ) as Record<PaymentWay, number>;
}
