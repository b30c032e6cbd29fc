import type { MECHANISMS } from './mechanisms/index.ts';

type ShippedMechanism = (typeof MECHANISMS)[number];
type ShippedCheck = ShippedMechanism['checks'][number];

/** The ids of the shipped tables, read from the tables: a misspelt one does not compile. */
export type CauseId = ShippedMechanism['causes'][number]['id'];
export type CheckId = ShippedCheck['id'];
export type FindingId = ShippedCheck['findings'][number]['id'];
export type ActionId = ShippedMechanism['actions'][number]['id'];

export interface ShippedIds {
  readonly cause: CauseId;
  readonly check: CheckId;
  readonly finding: FindingId;
  readonly action: ActionId;
}
