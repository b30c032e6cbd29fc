const due = (amount: string) => `${amount} to pay`;

/** The customer takes the machine. */
export const handOut = {
  open: 'Hand out',
  title: (tag: number, label: string) => `Hand out ${tag}, ${label}`,
  close: 'Close',
  giveBack: 'Give back what came with it',
  missing: (things: string) => `Not ticked: ${things}`,
  due,
  nothingDue: (total: string) => `${total}, paid`,
  noPrice: 'No price was worked out.',
  takePrice: (amount: string, minutes: string) => `Charge ${amount} for ${minutes} minutes`,
  paid: 'Paid',
  oneBill: 'On the same bill',
  billedAlready: (machine: string, number: number) => `${machine}: bill ${number} handed over`,
  bill: 'Bill',
  withBill: 'with bill',
  withoutBill: 'without bill',
  whyNoBill: 'Why without a bill',
  later: 'A bill can still be made afterwards.',
  lacks: {
    paid: 'Choose how it is paid.',
    why: 'Say why it goes without a bill.',
    bill: 'Looking for its bill.',
  },
  sign: 'Let the customer sign',
  done: 'Handed over',
  sending: 'Handing over',
  undo: 'Undo the hand-out',
  took: (amount: string, how: string, at: string) => `${amount} paid, ${how}, ${at}`,
  gaveBack: (amount: string, how: string, at: string) => `${amount} given back, ${how}, ${at}`,
  undoPayment: (payment: string) => `Undo: ${payment}`,
  'payment-taken': {
    legend: due,
    save: 'Enter the payment',
  },
  'payment-returned': {
    legend: (amount: string) => `${amount} paid above the price`,
    save: 'Gave it back',
  },
  otherPrice: 'Change the price',
  savePrice: 'Save the price',
} as const;
