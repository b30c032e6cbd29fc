import { type Payment, payment } from '@nodo/ticket';

/** How money is given. */
export type PaidWay = Payment['how'];
export const PAID_WAYS: readonly PaidWay[] = payment.shape.how.options;

/** How it is paid when it is handed out, or that it is not yet. */
export type PaidNow = PaidWay | 'not-yet';
export const PAID_NOW: readonly PaidNow[] = [...PAID_WAYS, 'not-yet'];
