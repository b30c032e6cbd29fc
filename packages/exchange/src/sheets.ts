import { type CustomerProfile, MACHINE_FACTS, type MachineProfile } from '@nodo/shop';
import type { Column } from './csv.ts';

export interface CustomerRow {
  readonly id: string;
  readonly card: CustomerProfile;
  /** The one that this one turned out to be a double of. */
  readonly mergedInto: string | null;
}

export interface MachineRow {
  readonly id: string;
  /** Whose it is, if that is known. */
  readonly customer: string | null;
  readonly customerName: string;
  readonly card: MachineProfile;
}

/** Between several values in one cell. */
export const AND = ';';
/** Traits that were said to be none, and not left to the kind of machine. */
export const NONE = 'none';

export const CUSTOMER_COLUMNS: readonly Column<CustomerRow>[] = [
  { name: 'id', of: ({ id }) => id },
  { name: 'name', of: ({ card }) => card.name },
  { name: 'phone', of: ({ card }) => card.phone },
  { name: 'other', of: ({ card }) => card.other },
  { name: 'reach', of: ({ card }) => card.reach },
  { name: 'notes', of: ({ card }) => card.notes },
  { name: 'merged_into', of: ({ mergedInto }) => mergedInto },
];

export const MACHINE_COLUMNS: readonly Column<MachineRow>[] = [
  { name: 'id', of: ({ id }) => id },
  { name: 'customer_id', of: ({ customer }) => customer },
  { name: 'customer_name', of: ({ customerName }) => customerName },
  { name: 'kind', of: ({ card }) => card.family },
  { name: 'name', of: ({ card }) => card.label },
  { name: 'colour', of: ({ card }) => card.colour },
  { name: 'model', of: ({ card }) => card.model },
  { name: 'serial', of: ({ card }) => card.serial },
  { name: 'traits', of: ({ card: { traits } }) => traits && (traits.join(AND) || NONE) },
  { name: 'needles', of: ({ card }) => card.needles },
  { name: 'scarf', of: ({ card }) => card.scarf },
  { name: 'bobbin', of: ({ card }) => card.bobbin },
  { name: 'bobbin_turns', of: ({ card }) => card.bobbinTurns },
  ...MACHINE_FACTS.map((fact) => ({
    name: factColumn(fact),
    of: ({ card }: MachineRow) => card.facts[fact] ?? null,
  })),
  {
    name: 'service_values',
    of: ({ card: { service } }) =>
      Object.keys(service).length > 0 ? JSON.stringify(service) : null,
  },
  { name: 'oil_points', of: ({ card }) => card.oilPoints },
  { name: 'notes', of: ({ card }) => card.notes },
];

/** `needleSystem` stands in the column `needle_system`. */
export function factColumn(fact: string): string {
  return fact.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
}
