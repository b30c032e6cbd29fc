import { PAYMENT_WAYS, type PaymentWay } from '@nodo/ticket';

/** How it is paid when it is handed out, or that it is not yet. */
export type PaidNow = PaymentWay | 'not-yet';
export const PAID_NOW: readonly PaidNow[] = [...PAYMENT_WAYS, 'not-yet'];
