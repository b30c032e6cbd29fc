import { posterior } from '@nodo/core';
import { evidenceOf } from '../model/evidence.ts';
import type { KnowledgeVersion } from '../model/version.ts';
import { answersOfCase, type WorkedCase } from './case.ts';

/** How one worked case comes out under a version of the tables. */
export interface CaseVerdict {
  readonly worked: WorkedCase;
  /** Each of what was wrong, with its place among all causes, from 1, and its chance. */
  readonly was: readonly {
    readonly cause: string;
    readonly place: number;
    readonly chance: number;
  }[];
  /** All that was wrong stands at the top: one fault first, two first and second. */
  readonly first: boolean;
  readonly amongThree: boolean;
}

export interface CasesVerdict {
  readonly verdicts: readonly CaseVerdict[];
  readonly first: number;
  readonly amongThree: number;
}

/**
 * Judges worked cases with a version of the tables.
 * @throws Error naming the case and what its family does not have.
 */
export function judgeCases(version: KnowledgeVersion, cases: readonly WorkedCase[]): CasesVerdict {
  const verdicts = cases.map((worked) => judge(version, worked));
  return {
    verdicts,
    first: verdicts.filter(({ first }) => first).length,
    amongThree: verdicts.filter(({ amongThree }) => amongThree).length,
  };
}

const NEAR_THE_TOP = 3;

function judge(version: KnowledgeVersion, worked: WorkedCase): CaseVerdict {
  const model = version.modelOf(worked.family);
  if (!model) throw new Error(`${worked.id}: no family ${worked.family}`);
  const evidence = evidenceOf(model, answersOfCase(worked, model), []);
  const ranked = [...posterior(model.network, evidence).beliefs].sort((a, b) => b.is - a.is);
  const was = worked.was.map((cause) => {
    const at = ranked.findIndex((belief) => belief.cause === cause);
    return { cause, place: at + 1, chance: ranked[at]?.is ?? 0 };
  });
  const within = (most: number) => was.every(({ place }) => place >= 1 && place <= most);
  return { worked, was, first: within(was.length), amongThree: within(NEAR_THE_TOP) };
}
