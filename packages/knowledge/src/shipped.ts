import type { Knowledge } from './compile/compile.ts';
import { MECHANISMS } from './mechanisms/index.ts';
import { changedEditions, type Edition, editionOf } from './model/edition.ts';
import type { FamilyModel } from './model/familyModel.ts';
import type { KnowledgeSource } from './schema/schema.ts';
import { ACCESS } from './tables/access.ts';
import { DUTIES } from './tables/duties.ts';
import { FAMILIES } from './tables/families.ts';

/** The tables as they are written down in this edition. */
export const EDITION: KnowledgeSource = {
  families: FAMILIES,
  access: ACCESS,
  mechanisms: MECHANISMS,
  duties: DUTIES,
};

/** This edition at work; the tests prove it sound, so that no program has to when it starts. */
export const SHIPPED: Edition = editionOf(EDITION);

/** This edition with what a shop changed in it. */
export const editionWith = changedEditions(SHIPPED);

export const KNOWLEDGE: Knowledge = SHIPPED.knowledge;

/** The model of one family in this edition. */
export function modelOf(familyId: string): FamilyModel | undefined {
  return SHIPPED.modelOf(familyId);
}
