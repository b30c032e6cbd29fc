import { bobbin } from './en/bobbin.ts';
import { needle } from './en/needle.ts';
import { inOwnLanguage } from './index.ts';

const en = { needle, bobbin };

/** What the instruments say: read with them, not with the first page. */
export const instruments = inOwnLanguage<typeof en>({ en });
