import { z } from 'zod';

/** What a person may do in the shop. A learner only practises. */
export const role = z.enum(['counter', 'technician', 'lead', 'learner']);
export type Role = z.infer<typeof role>;
