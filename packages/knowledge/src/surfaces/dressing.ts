import type { ActionId, CheckId, FindingId } from '../ids.ts';
import type { MarkEnd, MarkKind, StruckPart } from './surfaces.ts';

/** Nothing coarser touches a surface that thread runs over; common practice. */
export const COARSEST_GRIT = 400;

/** Grits a dressing may end with, the usual one first in mind: 600 or finer; common practice. */
export const LAST_GRITS = [600, 800, 1000, 2000] as const;

/**
 * What is to be done about a mark; common practice: what stands up is dressed, what lies deep is
 * harmless, what is pierced is replaced.
 */
export function verdictOn(kind: MarkKind): 'leave' | 'dress' | 'replace' {
  switch (kind) {
    case 'depression':
      return 'leave';
    case 'raised':
    case 'scratch':
      return 'dress';
    case 'pierced':
      return 'replace';
  }
}

/** Mark by mark as it is; once one is to be replaced, so is the part, and dressing it saves nothing. */
export function verdictOnPart(kinds: readonly MarkKind[]): 'leave' | 'dress' | 'replace' {
  const verdicts = new Set(kinds.map(verdictOn));
  if (verdicts.has('replace')) return 'replace';
  return verdicts.has('dress') ? 'dress' : 'leave';
}

export const DRESSING_TOOLS = ['hand', 'rotary'] as const;
export type DressingTool = (typeof DRESSING_TOOLS)[number];

/** A rotary tool runs on metal only: plastic melts and its shape is gone. Common practice. */
export function dressingToolsFor(
  part: StruckPart,
  isPlasticCase: boolean,
): readonly DressingTool[] {
  return part === 'case' && isPlasticCase
    ? DRESSING_TOOLS.filter((tool) => tool !== 'rotary')
    : DRESSING_TOOLS;
}

/** One step of dressing; its words are found by its id. */
export interface DressingStep {
  readonly id: 'file' | 'point' | 'abrasive' | 'polish' | 'wipe';
  /** Of the abrasive; 0 for what has none. */
  readonly grit: number;
  /** It throws grains: eye protection stands at it. */
  readonly eyes: boolean;
}

/**
 * How a mark is dressed, in order. By hand first; what stands up is filed flush, then finer and finer, then
 * polished. A scratch has nothing to file: it begins with the finer abrasive. A hook is never filed: its
 * shape is its timing. Common practice.
 * @param last the finest abrasive before polishing, one of {@link LAST_GRITS}.
 */
export function dressingSteps(
  kind: Extract<MarkKind, 'raised' | 'scratch'>,
  part: StruckPart,
  tool: DressingTool,
  last: number = LAST_GRITS[0],
): readonly DressingStep[] {
  const isTurning = tool === 'rotary';
  const isFiled = kind === 'raised' && part !== 'hook';
  const grits = [
    ...(kind === 'raised' ? [COARSEST_GRIT] : []),
    ...LAST_GRITS.filter((grit) => grit <= last),
  ];
  return [
    ...(isFiled ? [step(isTurning ? 'point' : 'file', isTurning)] : []),
    // Abrasive is led by hand also after a rotary tool: it follows the shape.
    ...grits.map((grit) => ({ ...step('abrasive', false), grit })),
    step('polish', isTurning),
    step('wipe', false),
  ];
}

function step(id: DressingStep['id'], eyes: boolean): DressingStep {
  return { id, grit: 0, eyes };
}

/** The action that ends marks on a part. */
export const ACTION_FOR: Readonly<Record<StruckPart, Readonly<Record<MarkEnd, ActionId>>>> = {
  foot: { dressed: 'foot-dressed', replaced: 'foot-dressed' },
  plate: { dressed: 'plate-dressed', replaced: 'plate-dressed' },
  case: { dressed: 'case-dressed', replaced: 'case-replaced' },
  hook: { dressed: 'hook-dressed', replaced: 'hook-replaced' },
};

/** What is looked at again afterwards, by part. */
export const LOOK_AGAIN: Readonly<Record<StruckPart, readonly CheckId[]>> = {
  foot: ['foot-surface'],
  plate: ['plate-surface', 'hand-turn'],
  case: ['case-surface', 'case-seat', 'case-gap', 'case-pull', 'hand-turn'],
  hook: ['hook-surface', 'hook-gap', 'timing', 'hand-turn'],
};

/** What a mark of a kind is a finding of, by part; nothing where it is harmless. */
export function findingOf(
  kind: MarkKind,
  part: StruckPart,
  isPlastic: boolean,
): FindingId | undefined {
  if (verdictOn(kind) === 'leave') return undefined;
  switch (part) {
    case 'foot':
      return 'foot-marked';
    case 'plate':
      return 'plate-nicked';
    case 'case':
      return kind === 'pierced' && isPlastic ? 'case-pierced' : 'case-raised';
    case 'hook':
      return 'hook-catches';
  }
}
