import { type Knowledge, storedKnowledge } from '../compile/compile.ts';
import type { KnowledgeSource } from '../schema/schema.ts';
import { type TableChange, withChanges } from './change.ts';
import { type FamilyModel, familyModel } from './familyModel.ts';

/**
 * The tables cut down to one family, or to one machine that has its own traits instead of its
 * family's. Undefined for a family that the tables do not have.
 */
export type ModelOf = (family: string, traits?: readonly string[]) => FamilyModel | undefined;

/** One version of the tables in use: indexed, the model of each family built once. */
export interface KnowledgeVersion {
  readonly source: KnowledgeSource;
  readonly knowledge: Knowledge;
  readonly modelOf: ModelOf;
}

/** Puts a version that was proven sound to work. */
export function knowledgeVersionOf(source: KnowledgeSource): KnowledgeVersion {
  const knowledge = storedKnowledge(source);
  const models = new Map<string, FamilyModel | undefined>();
  return {
    source,
    knowledge,
    modelOf: (family, traits) => {
      const key = traits ? `${family} ${[...traits].sort().join(' ')}` : family;
      if (!models.has(key)) models.set(key, familyModel(knowledge, family, traits));
      return models.get(key);
    },
  };
}

/** Versions put to work before; a process needs the present one and perhaps a proposed one. */
const KEPT = 8;

/**
 * How to put a version with a shop's changes to work, the same object for the same changes,
 * so that whoever looks can tell by it whether anything moved.
 */
export function versionsWithChanges(
  shipped: KnowledgeVersion,
): (changes: readonly TableChange[]) => KnowledgeVersion {
  const kept = new Map<string, KnowledgeVersion>();
  return (changes) => {
    if (changes.length === 0) return shipped;
    const key = JSON.stringify(changes);
    const version = kept.get(key) ?? knowledgeVersionOf(withChanges(shipped.source, changes));
    kept.delete(key);
    kept.set(key, version);
    const [oldest] = kept.keys();
    if (kept.size > KEPT && oldest !== undefined) kept.delete(oldest);
    return version;
  };
}
