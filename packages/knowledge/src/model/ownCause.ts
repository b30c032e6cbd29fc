import type { ActionSource, CauseSource, CheckSource } from '../schema/schema.ts';
import type { FamilyCheck, FamilyModel } from './familyModel.ts';
import { networkOf } from './familyModel.ts';

/** A cause that the tables do not have, found on one machine and named there. */
export interface OwnCause {
  /** A table id of its own: begins with `own-`. */
  readonly id: string;
  readonly name: string;
  /** What puts it right, in the words of who found it. */
  readonly remedy: string;
  /** Findings of the tables that it explains. */
  readonly explains: readonly string[];
}

/** Typical of what is not in the tables: rare. Ours, no source. */
const PER_MILLE = 5;
/** Looked at again, and what puts it right. Ours, no source. */
const MINUTES = 5;

/** The finding that *is* an own cause; its check has one finding only. */
export function ownFinding(cause: string): string {
  return `${cause}-seen`;
}

/** The check that looks for it again. */
export function ownCheck(cause: string): string {
  return `${cause}-look`;
}

/** The action that puts it right. */
function ownRepair(cause: string): string {
  return `${cause}-repair`;
}

/**
 * The tables of one family and, beside them, what was found on this machine alone: each own
 * cause shows what it explains (usually), is found by a check of its own, and is repaired by its
 * own repair.
 */
export function withOwnCauses(model: FamilyModel, found: readonly OwnCause[]): FamilyModel {
  // Since then the tables may have taken it in.
  const own = found.filter(({ id }) => !model.causes.has(id));
  if (own.length === 0) return model;
  const causes = new Map([
    ...model.causes,
    ...own.map((cause) => [cause.id, causeOf(cause)] as const),
  ]);
  const looks = own.map(lookAt);
  const findings = new Map([
    ...model.findings,
    ...looks.flatMap(({ findings }) => findings.map((finding) => [finding.id, finding] as const)),
  ]);
  return {
    ...model,
    causes,
    findings,
    checks: new Map([...model.checks, ...looks.map((check) => [check.id, check] as const)]),
    actions: new Map([
      ...model.actions,
      ...own.map((cause) => [ownRepair(cause.id), repairOf(cause)] as const),
    ]),
    network: networkOf(causes, findings, model.sewing),
  };
}

/** What an own cause would be in the tables: the cause, its look, its repair. */
export function ownTables(own: OwnCause): {
  readonly cause: CauseSource;
  readonly check: CheckSource;
  readonly repair: ActionSource;
} {
  const { findings, ...check } = lookAt(own);
  return {
    cause: causeOf(own),
    check: { ...check, findings: findings.map(({ check: _, ...finding }) => finding) },
    repair: repairOf(own),
  };
}

function causeOf({ id, name, remedy, explains }: OwnCause): CauseSource {
  return {
    id,
    name,
    remedy,
    perMille: PER_MILLE,
    side: 'fault',
    fixMinutes: MINUTES,
    byPhone: false,
    shows: { sure: [ownFinding(id)], usual: explains },
  };
}

function lookAt({ id, name }: OwnCause): FamilyCheck {
  const check = ownCheck(id);
  return {
    id: check,
    title: name,
    minutes: MINUTES,
    access: 'closed',
    notWhile: [],
    where: 'bench',
    place: 'talk',
    how: 'Look again where it was found.',
    normal: 'Not there',
    needs: 'looks',
    findings: [{ id: ownFinding(id), answer: name, leak: 0.0005, defines: id, check }],
  };
}

function repairOf({ id, remedy }: OwnCause): ActionSource {
  return {
    id: ownRepair(id),
    title: remedy,
    todo: remedy,
    treats: [id],
    repair: true,
    minutes: MINUTES,
  };
}
