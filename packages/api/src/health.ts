import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

/** Whether the process lives; for whoever looks after it. It asks nothing of the database. */
export const readHealth = defineEndpoint({
  ...ADDRESSES.readHealth,
  roles: 'anyone',
  answer: z.object({ alive: z.boolean() }),
});

/** Whether it can serve now: it reaches the database, and hears what others write there. */
export const readReadiness = defineEndpoint({
  ...ADDRESSES.readReadiness,
  roles: 'anyone',
  answer: z.object({ ready: z.boolean() }),
});

/** What this process counts of itself (OpenMetrics); for whoever has the secret of the metrics. */
export const readMetrics = defineEndpoint({
  ...ADDRESSES.readMetrics,
  sends: 'application/openmetrics-text',
  roles: 'anyone',
  answer: z.never(),
});
