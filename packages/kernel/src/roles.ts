/** What a person may do in the shop. A learner only practises. */
export const EVERY_ROLE = ['counter', 'technician', 'lead', 'learner'] as const;
export type Role = (typeof EVERY_ROLE)[number];

export const AT_THE_COUNTER: readonly Role[] = ['counter', 'technician', 'lead'];
export const AT_THE_BENCH: readonly Role[] = ['technician', 'lead'];
export const LEADS: readonly Role[] = ['lead'];

/** Who does something, and in which role. */
export interface Actor {
  readonly person: string;
  readonly role: Role;
}
