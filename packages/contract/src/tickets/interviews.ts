/** The checks that are questions to the customer, asked when the machine is taken in. */
export const INTERVIEWS: ReadonlySet<string> = new Set(['complaint', 'context']);
