import type { Accounts } from './accounts.ts';
import type { Audit } from './audit.ts';
import type { SignInDelays } from './delays.ts';
import type { Feeds } from './feeds.ts';
import type { Links } from './links.ts';
import type { People } from './people.ts';

/** All that knows who may do what. */
export interface Auth {
  readonly people: People;
  readonly accounts: Accounts;
  readonly audit: Audit;
  readonly delays: SignInDelays;
  readonly links: Links;
  readonly feeds: Feeds;
  /** Whether everybody knows this password of a person: the demo's are not taken over the network. */
  readonly isForbidden: (person: string, password: string) => boolean;
}
