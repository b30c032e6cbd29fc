import type { Knowledge } from './compile/compile.ts';
import type { ShippedIds } from './ids.ts';
import { MECHANISMS } from './mechanisms/index.ts';
import type { FamilyModel } from './model/familyModel.ts';
import { type KnowledgeVersion, knowledgeVersionOf, versionsWithChanges } from './model/version.ts';
import type { KnowledgeSource } from './schema/schema.ts';
import { ACCESS } from './tables/access.ts';
import { DUTIES } from './tables/duties.ts';
import { FAMILIES } from './tables/families.ts';

/** The tables as they are written down in this version. */
export const SHIPPED_SOURCE: KnowledgeSource<ShippedIds> = {
  families: FAMILIES,
  access: ACCESS,
  mechanisms: MECHANISMS,
  duties: DUTIES,
};

/** This version at work; the tests prove it sound, so that no program has to when it starts. */
export const SHIPPED: KnowledgeVersion = knowledgeVersionOf(SHIPPED_SOURCE);

/** This version with what a shop changed in it. */
export const versionWith = versionsWithChanges(SHIPPED);

export const KNOWLEDGE: Knowledge = SHIPPED.knowledge;

/** The model of one family in this version. */
export function modelOf(familyId: string): FamilyModel | undefined {
  return SHIPPED.modelOf(familyId);
}
