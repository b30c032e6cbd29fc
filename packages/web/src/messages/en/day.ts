/** What a day came to. */
export const day = {
  title: (day: string) => `Day sheet, ${day}`,
  day: 'Day',
  print: 'Print',
  failed: 'The day could not be read',
  takings: 'Takings',
  sum: 'Together',
  payment: (clock: string, amount: string, how: string, label: string, name: string) =>
    `${clock}  ${amount} (${how}) for ${label}, taken by ${name}`,
  gaveBack: (clock: string, amount: string, how: string, label: string, name: string) =>
    `${clock}  ${amount} (${how}) given back for ${label}, by ${name}`,
  till: {
    title: 'Till',
    cash: 'Cash counted',
    taken: (amount: string) => `${amount} taken in cash`,
    note: 'Note',
    save: 'Save count',
    counted: (clock: string, counted: string, taken: string, name: string) =>
      `${clock}  ${counted} counted, ${taken} taken in cash, by ${name}`,
  },
  sales: 'Sold without a ticket',
  sold: (clock: string, amount: string, how: string, what: string) =>
    `${clock}  ${amount} (${how}): ${what}`,
  sell: {
    what: 'What is sold',
    add: 'Add',
    paid: (total: string) => `${total}, paid`,
    save: 'Sold',
    receipt: 'Print receipt',
  },
  takenIn: 'Taken in',
  handedOut: 'Handed out',
  noPrice: 'no price',
  unpaid: (amount: string) => `${amount} not paid`,
  withoutBill: (why: string) => `without bill: ${why}`,
  clocks: 'Clocks still running',
  untold: 'Ready, and not informed yet',
  tomorrow: 'Promised for tomorrow',
  none: 'None.',
} as const;
