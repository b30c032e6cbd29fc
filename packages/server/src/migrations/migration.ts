/** One step of the schema. Runs once, in a transaction, as the owner. */
export interface Migration {
  readonly name: string;
  readonly statements: readonly string[];
}
