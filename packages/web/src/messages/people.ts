import { people as en } from './en/people.ts';
import { inOwnLanguage } from './index.ts';

/** What the lead's page of people says: read with it, not with the first page. */
export const people = inOwnLanguage<typeof en>({ en });
