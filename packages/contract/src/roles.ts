import { z } from 'zod';

/** What a person may do in the shop. A learner only practises. */
export const role = z.enum(['counter', 'technician', 'lead', 'learner']);
export type Role = z.infer<typeof role>;

export const EVERY_ROLE: readonly Role[] = role.options;
export const AT_THE_COUNTER: readonly Role[] = ['counter', 'technician', 'lead'];
export const AT_THE_BENCH: readonly Role[] = ['technician', 'lead'];
export const LEADS: readonly Role[] = ['lead'];
