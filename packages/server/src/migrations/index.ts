import { m0001Tables } from './m0001Tables.ts';
import { m0002RowSecurity } from './m0002RowSecurity.ts';
import { m0003EventsAppendOnly } from './m0003EventsAppendOnly.ts';
import { m0004KnowledgeEditions } from './m0004KnowledgeEditions.ts';
import { m0005Calls } from './m0005Calls.ts';
import { m0006TableChanges } from './m0006TableChanges.ts';
import { m0007People } from './m0007People.ts';
import { m0008HandOver } from './m0008HandOver.ts';
import { m0009Cards } from './m0009Cards.ts';
import { m0010Search } from './m0010Search.ts';
import { m0011Needles } from './m0011Needles.ts';
import { m0012Mend } from './m0012Mend.ts';
import { m0013Bills } from './m0013Bills.ts';
import { m0014Contacts } from './m0014Contacts.ts';
import { m0015Desk } from './m0015Desk.ts';
import { m0016Till } from './m0016Till.ts';
import { m0017JointBills } from './m0017JointBills.ts';
import { m0018Colour } from './m0018Colour.ts';
import { m0019ShopName } from './m0019ShopName.ts';
import { m0020Outside } from './m0020Outside.ts';
import { m0021Several } from './m0021Several.ts';
import type { Migration } from './migration.ts';

/** In order; a landed one is never changed. */
export const MIGRATIONS: readonly Migration[] = [
  m0001Tables,
  m0002RowSecurity,
  m0003EventsAppendOnly,
  m0004KnowledgeEditions,
  m0005Calls,
  m0006TableChanges,
  m0007People,
  m0008HandOver,
  m0009Cards,
  m0010Search,
  m0011Needles,
  m0012Mend,
  m0013Bills,
  m0014Contacts,
  m0015Desk,
  m0016Till,
  m0017JointBills,
  m0018Colour,
  m0019ShopName,
  m0020Outside,
  m0021Several,
];
