import { RISK_LIMIT } from '@nodo/core';
import type {
  AccessSource,
  ActionSource,
  CauseSource,
  CheckSource,
  DutySource,
  Family,
  FindingSource,
  KnowledgeSource,
  Mechanism,
} from '../schema/schema.ts';
import { lookAtCauses } from './causes.ts';
import { lookAtAccess, lookAtChecks } from './checks.ts';
import { lookAtDuties } from './duties.ts';
import { contentHash } from './hash.ts';
import { Inspection } from './inspection.ts';
import type { KnowledgeIssue } from './issues.ts';

export interface Finding extends FindingSource {
  readonly check: string;
}

/** The tables, proven sound and indexed by id. */
export interface Knowledge {
  /** Content hash: what a diagnosis was judged with. */
  readonly hash: string;
  readonly families: ReadonlyMap<string, Family>;
  readonly access: readonly AccessSource[];
  readonly mechanisms: readonly Mechanism[];
  readonly causes: ReadonlyMap<string, CauseSource>;
  readonly checks: ReadonlyMap<string, CheckSource>;
  readonly findings: ReadonlyMap<string, Finding>;
  readonly actions: ReadonlyMap<string, ActionSource>;
  readonly duties: ReadonlyMap<string, DutySource>;
  /** The comeback risk with which a machine is given back. */
  readonly riskLimit: number;
}

export type Compiled =
  | { readonly ok: true; readonly knowledge: Knowledge }
  | { readonly ok: false; readonly faults: readonly KnowledgeIssue[] };

/**
 * A shop that gives machines back with one chance in five of coming back has no limit; one in a hundred
 * is less than the model can tell. Ours, no source.
 */
export const RISK_LIMITS = [0.01, 0.2] as const;

/** Proves the tables sound. Reports every fault at once, never only the first. */
export function compileKnowledge(source: KnowledgeSource): Compiled {
  const inspection = new Inspection(source);
  lookAtCauses(inspection);
  lookAtChecks(inspection);
  lookAtAccess(inspection);
  lookAtDuties(inspection);
  const { riskLimit } = source;
  if (riskLimit !== undefined) inspection.range('riskLimit', riskLimit, ...RISK_LIMITS);
  if (inspection.faults.length > 0) return { ok: false, faults: inspection.faults };
  return { ok: true, knowledge: laidOut(inspection) };
}

/**
 * Lays out a version that was proven sound when it was written. What later versions ask
 * beyond that is not asked of it.
 */
export function storedKnowledge(source: KnowledgeSource): Knowledge {
  return laidOut(new Inspection(source));
}

function laidOut(inspection: Inspection): Knowledge {
  const { source } = inspection;
  let hash: string | undefined;
  return {
    // Reckoned when first asked for: a program that starts for one answer does not need it.
    get hash() {
      hash ??= contentHash(source);
      return hash;
    },
    families: inspection.families,
    access: source.access,
    mechanisms: source.mechanisms,
    causes: inspection.causes,
    checks: inspection.checks,
    findings: inspection.findings,
    actions: inspection.actions,
    duties: inspection.duties,
    riskLimit: source.riskLimit ?? RISK_LIMIT,
  };
}
