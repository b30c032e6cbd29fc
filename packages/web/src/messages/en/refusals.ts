import type { Refusal, RefusalCode } from '@nodo/kernel';

/** What happened, what was kept, what to do; one for every code of the contract. */
export const refusals: Readonly<Record<RefusalCode, (refusal: Refusal) => string>> = {
  'bad-input': () => 'Something here is not filled in as it must be. Nothing was stored.',
  'not-signed-in': () =>
    'You are not signed in any more. Your entries are kept; sign in to send them.',
  'wrong-sign-in': () => 'Name or password is not right.',
  'too-many-attempts': ({ data }) =>
    `Too many tries. Wait ${waitWords(Number(data.seconds))}, then try again.`,
  'screen-locked': () => 'This screen is locked. Say who is at it; what you entered is kept.',
  'wrong-pin': () => 'That is not the PIN.',
  'no-pin-here': () => 'No PIN is good here any more. Use the password.',
  'code-not-valid': () => 'Name and code do not fit, or the code is used or too old.',
  'password-easy': () =>
    'That password is among those that are tried first. Take three or four words that do not belong together.',
  'demo-password': () =>
    'Everybody knows the demo’s passwords, so they are not taken over the network. Set one of your own on the shop’s computer first.',
  'login-taken': () => 'Somebody signs in with that name already. Choose another.',
  'last-lead': () => 'The shop would be without a lead. Make somebody else a lead first.',
  'no-such-person': () => 'There is no such person in this shop.',
  'no-such-screen': () => 'Nobody is signed in on that screen any more.',
  'no-such-link': () => 'This link does not hold: it was withdrawn, or its time is over.',
  'not-at-this-screen': () =>
    'Whoever made this entry is not signed in on this screen. It is kept until they are.',
  'foreign-origin': () => 'This request did not come from Nodo’s own pages and was refused.',
  'foreign-host': () =>
    'Nodo is not reached by this name. Use the address that it says when it starts.',
  'role-may-not': () => 'Your role may not do this. Ask a technician or the lead.',
  'no-such-route': () => 'The server does not know this request. Load the page again.',
  'no-such-ticket': () => 'There is no such ticket in this shop.',
  'no-such-photo': () => 'There is no such photo with this ticket.',
  'no-such-backup': () => 'There is no such backup any more. Take another one.',
  'no-backups-here': () => 'Backups of this database are made where it runs.',
  'backup-failed': ({ data }) =>
    data.why === 'no-passphrase'
      ? 'Set a passphrase for the backups first.'
      : 'That did not work; nothing was changed. Try again.',
  'import-faulty': () => 'Some rows cannot be taken over, so none was. Put them right in the file.',
  'token-not-valid': () => 'This access does not hold: it was withdrawn, or its time is over.',
  'token-may-not': () => 'A program with this access may not do that.',
  'not-ready': () => 'The server is starting or has lost its database. Try again in a moment.',
  'no-such-token': () => 'You have given no such access.',
  'not-a-photo': () => 'This is no picture that can be kept. Choose another.',
  'not-taken-in': () => 'This machine has not been taken in yet.',
  'already-taken-in': () => 'This ticket exists already.',
  'in-the-shop': () => 'The machine is in the shop: that is work for the bench.',
  'not-in-the-shop': () => 'The machine is not in the shop yet. Take it in first.',
  'tag-taken': ({ data }) => `Tag ${Number(data.tag)} is on another machine. Take another number.`,
  'unknown-family': () => 'This kind of machine is not in the tables.',
  'not-on-this-machine': () => 'This machine does not have that.',
  'findings-exclude-each-other': () => 'These answers exclude each other. Choose one.',
  'finding-of-another-check': () => 'That answer belongs to another check.',
  'nothing-answered': () => 'Choose an answer first.',
  'epoch-not-reached': () => 'This screen is ahead of the ticket. It is read again now.',
  'gate-unmet': ({ data }) =>
    String(data.unmet).includes('power-off-confirmed')
      ? 'Off and unplugged first: say so where the machine’s state stands, then this.'
      : 'Something must be done before this step. It is shown at the step.',
  'reason-missing': () => 'This counts only with a reason. Say why.',
  'duty-not-owed': () => 'That is not to do on this ticket any more.',
  'symptoms-owed': () =>
    'A reported symptom is not settled. Sew it long enough, or say how it ends, with a reason.',
  'symptom-not-owed': () => 'That symptom is settled already on this ticket.',
  'duties-owed': () => 'Something is still to do. Do it, or set it aside with a reason.',
  'ticket-closed': () => 'This ticket is closed. Reopen it to go on.',
  'ticket-open': () => 'This ticket is still open.',
  'not-informed': () => 'The customer was never informed that it can be collected.',
  'already-collected': () => 'The customer has this machine already.',
  'nothing-asked': () => 'Nobody asked a price that could be answered.',
  'not-declined': () => 'The customer has not said no to a price.',
  'not-awaited': () => 'That part is not waited for any more.',
  'no-such-thread': () => 'That is no sewing thread: look at unit and number again.',
  'no-such-piece': () => 'A piece cannot be longer than the needle. Measure it again.',
  'no-such-turn': () =>
    'That is no turn of a screw. Tell it in minutes of a clock, up to two turns.',
  'no-such-mark': () => 'That mark is not on this ticket any more. Look at the map again.',
  'not-to-be-dressed': () =>
    'That mark is not one to dress: a depression is left, what is pierced is replaced.',
  'pieces-missing': () =>
    'The pieces do not make a whole needle yet. Add them first, or say why the rest is missing.',
  'no-such-needle': () => 'That opened needle is not there any more: somebody took it.',
  'not-one-customer': () => 'One bill is for machines of one customer.',
  'prices-differ': () =>
    'Their prices do not go on one bill: other currency, or with and without tax. Make a bill for each.',
  'no-such-sale': () => 'This sale is not known here.',
  'no-bill': () => 'Work out the price first.',
  'bill-stands': () =>
    'A bill was handed over already. It is corrected by a credit, then a new bill.',
  'nothing-to-credit': () => 'There is no bill to correct by a credit.',
  'given-back-since': () =>
    'Money went back to the customer since. Undo that first, then this payment.',
  'more-than-paid': () => 'That is more than the customer paid. Give back less.',
  'over-the-limit': () => 'That is more than the customer agreed to. Ask them first.',
  'no-such-customer': () => 'There is no such customer in this shop.',
  'no-such-machine': () => 'There is no such machine in this shop.',
  'card-moved': () =>
    'Somebody else changed this meanwhile. Yours is kept here: look at theirs, then save again.',
  erased: () => 'This person was erased. Nothing more is saved about them.',
  'nothing-to-correct': () => 'That entry cannot be undone.',
  'already-corrected': () => 'That entry was undone already.',
  'already-so': () => 'It is so already.',
  'not-in-the-tables': () => 'The tables do not have that any more. Read them again.',
  'tables-unsound': ({ data }) => {
    const [first] = data.faults as readonly { path: string; detail: string }[];
    return `The tables would no longer hold together: ${first?.path ?? ''}: ${first?.detail ?? ''}.`;
  },
  'tables-moved': () =>
    'Somebody changed the tables meanwhile. Look at the effect again, then accept.',
  'no-such-proposal': () => 'There is no such proposal in this shop.',
  'proposal-decided': () => 'This proposal was decided already.',
  'id-used-otherwise': () => 'This entry was stored in another form. Load the page again.',
  'server-fault': () => 'The server had a fault. What you entered is kept and tried again.',
};

function waitWords(seconds: number): string {
  if (!(seconds > 1)) return 'a second';
  return seconds < 90 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`;
}
