import type { DocumentKind } from '@nodo/api';
import { toDay, writeCounted, writeDay } from '@nodo/kernel';
import type { MachineFact, OrderReason } from '@nodo/shop';
import type {
  BodyColour,
  CallReason,
  ContactOutcome,
  Measure,
  NeverCollected,
  Payment,
  Quantity,
  Spoken,
  Stage,
  SwingPlace,
  TicketEvent,
  Unrepaired,
} from '@nodo/ticket';
import { QUANTITIES } from '@nodo/ticket';

const SPOKEN: Readonly<Record<Spoken, string>> = {
  telephone: 'by telephone',
  counter: 'at the counter',
  message: 'by message',
};

const CALL_REASON: Readonly<Record<CallReason, string>> = {
  price: 'price to ask',
  ready: 'ready',
  'part-late': 'part is late',
  promise: 'promise in danger',
  'not-fetched': 'not collected',
};

const CONTACT_OUTCOME: Readonly<Record<ContactOutcome, string>> = {
  reached: 'reached',
  'no-answer': 'no answer',
  'message-left': 'message left',
};

const STANDING: Readonly<Record<Stage, string>> = {
  away: 'not in the shop',
  'taken-in': 'waits its turn',
  'on-the-bench': 'on the bench',
  'ask-customer': 'ask customer',
  'part-awaited': 'waits for a part',
  ready: 'ready',
  collected: 'collected',
};

const QUANTITY: Readonly<Record<Quantity, string>> = {
  'loop-lift': 'Loop lift',
  'bar-height': 'Needle bar height',
  'hook-above-eye': 'Hook point above the eye',
  'hook-gap': 'Hook to scarf gap',
  'needle-stroke': 'Needle stroke, lowest to highest',
  'swing-width': 'Widest zigzag',
  'hook-across': 'Across the hook’s point circle',
  'bobbin-across': 'Bobbin across',
  'bobbin-width': 'Bobbin width',
  'bobbin-hole': 'Bobbin hole',
  'stop-gap': 'Gap at the case stop',
  'needle-angle': 'Needle angle',
  'needle-short': 'Needle below its stop',
  'needle-bend': 'Bend of the needle',
  'needle-stitches': 'Sewn with this needle',
  'thread-fineness': 'Thread fineness',
  'bobbin-tension': 'Bobbin tension',
  'top-tension': 'Top tension',
  'foot-pressure': 'Foot pressure',
  'feed-height': 'Feed height',
};

const UNIT = { mm: 'mm', deg: '°', gf: 'gf', N: 'N', stitches: 'stitches', tex: 'tex' } as const;

const FACT: Readonly<Record<MachineFact, string>> = {
  needleSystem: 'Needle system',
  flatOrScarfFaces: 'Flat or scarf faces',
  threads: 'Threads from',
  bobbinLoading: 'Bobbin goes in',
  hook: 'Hook',
  case: 'Case',
  takeUp: 'Take-up',
};

const TRAIT: Readonly<Record<string, string>> = {
  bobbin: 'sews with a bobbin',
  'drop-in': 'bobbin dropped in from above',
  'front-loading': 'case from the front or side',
  zigzag: 'zigzag',
  'plastic-case': 'plastic bobbin case',
  'magnet-case': 'magnet under the case',
  'round-shank': 'round needle shank',
  trimmer: 'thread trimmer',
  embroidery: 'embroiders',
};

const PAPER: Readonly<Record<DocumentKind, string>> = {
  'tag-a7': 'Tag, A7',
  'tag-label': 'Tag, label',
  receipt: 'Receipt',
  bill: 'Bill',
  credit: 'Credit',
  reminder: 'Reminder to collect it',
  'needle-card': 'Needle card',
};

const REASON: Readonly<Record<OrderReason, string>> = {
  pinned: 'pinned to this bench',
  overdue: 'overdue',
  'due-soon': 'due today or tomorrow',
  'came-back': 'came back, goes first',
  promised: 'by its promised day',
  'in-turn': 'in its turn',
};

/** Entries of what is not the diagnosis. */
type LifeEvent = Extract<
  TicketEvent,
  {
    readonly type:
      | 'limit-agreed'
      | 'inspection-agreed'
      | 'payment-taken'
      | 'payment-returned'
      | 'price-asked'
      | 'price-answered'
      | 'part-awaited'
      | 'part-came'
      | 'part-fitted'
      | 'clock-started'
      | 'clock-stopped'
      | 'labour-booked'
      | 'day-promised'
      | 'set-up-noted'
      | 'measured'
      | 'signed'
      | 'bill-made'
      | 'closing-noted'
      | 'customer-told'
      | 'contact-tried'
      | 'came-back'
      | 'machine-known'
      | 'placed';
  }
>;

const SWING: Readonly<Record<SwingPlace, string>> = {
  left: 'Left swing',
  middle: 'Middle of the swing',
  right: 'Right swing',
};

/** How dial and presser stood at a pull of the top thread. */
function pulledAt(pulled: NonNullable<Measure['pulled']>): string {
  if (pulled.presser === 'up') return 'presser up';
  return `dial ${pulled.dial}, come ${pulled.going} to it`;
}

function measuredLine({ quantity, value, when, at, swing, pulled, limit }: Measure): string {
  const unit = UNIT[QUANTITIES[quantity].unit];
  const needle = at === undefined || at === 1 ? '' : `Needle ${at}: `;
  const which = swing === undefined ? needle : `${needle}${SWING[swing]}: `;
  const { least, most } = limit ?? {};
  const isOff =
    (typeof least === 'number' && value < least) || (typeof most === 'number' && value > most);
  const bounds = [least, most].filter((bound) => typeof bound === 'number').join(' to ');
  const held = limit ? `, ${isOff ? 'outside' : 'within'} ${bounds}` : '';
  const stood = pulled ? `, ${pulledAt(pulled)}` : '';
  return `${which}${QUANTITY[quantity]} ${value} ${unit}${stood}${held}, ${when === 'found' ? 'as found' : 'as set'}`;
}

/** An entry of a ticket's life, told on the Seam. */
function entry(event: LifeEvent, money: (minor: number) => string): string {
  switch (event.type) {
    case 'limit-agreed':
      return event.body.limit === null
        ? 'Nothing to be spent without asking'
        : `Up to ${money(event.body.limit)} without asking`;
    case 'inspection-agreed':
      return `Inspection fee agreed: ${money(event.body.fee)}`;
    case 'payment-taken':
      return `Paid ${money(event.body.amount)} ${PAID[event.body.how]}`;
    case 'payment-returned':
      return `Gave back ${money(event.body.amount)} ${PAID[event.body.how]}`;
    case 'price-asked':
      return `Ask customer: ${money(event.body.amount)} for ${event.body.words}`;
    case 'price-answered':
      return `Customer said ${event.body.agreed ? 'yes' : 'no'} ${SPOKEN[event.body.how]}${
        event.body.words ? `: “${event.body.words}”` : ''
      }`;
    case 'part-awaited':
      return `Ordered: ${event.body.part}`;
    case 'part-came':
      return 'The part arrived';
    case 'part-fitted':
      return `Fitted: ${writeCounted(event.body.count, event.body.words)}`;
    case 'clock-started':
      return 'Clock started';
    case 'clock-stopped':
      return event.body.why === 'interrupted' ? 'Clock paused' : 'Clock stopped';
    case 'labour-booked':
      return `${event.body.minutes} min without the clock: ${event.body.words}`;
    case 'day-promised':
      return event.body.day === null
        ? 'Promise withdrawn'
        : `Promised for ${writeDay(event.body.day, toDay(event.observedAt.slice(0, 10)))}`;
    case 'set-up-noted':
      return 'Set-up as found';
    case 'measured':
      return measuredLine(event.body);
    case 'signed':
      return 'Customer signed';
    case 'closing-noted':
      return 'Closing sheet saved';
    case 'bill-made':
      return `Price: ${money(event.body.total)}`;
    case 'customer-told':
      return `Customer informed, ${SPOKEN[event.body.how]}`;
    case 'contact-tried':
      return `Called, ${CALL_REASON[event.body.about]}: ${CONTACT_OUTCOME[event.body.outcome]}`;
    case 'came-back':
      return 'The machine came back';
    case 'machine-known':
      return `Known as ${event.body.label}`;
    case 'placed':
      return `Stands on shelf ${event.body.shelf}`;
  }
}

const PAID: Readonly<Record<Payment['how'], string>> = {
  cash: 'in cash',
  card: 'by card',
  transfer: 'by transfer',
};

const NEVER: Readonly<Record<NeverCollected, string>> = {
  kept: 'kept by the shop',
  'given-away': 'given away',
  scrapped: 'scrapped',
  sold: 'sold',
};

const UNREPAIRED: Readonly<Record<Unrepaired, string>> = {
  refused: 'refused',
  'not-worth-it': 'not worth it',
  'no-part': 'part not to be had',
};

export const life = {
  unrepaired: (why: Unrepaired) => UNREPAIRED[why],
  neverCollected: (way: NeverCollected) => NEVER[way],
  answered: (agreed: boolean, amount: string, how: string, moment: string) =>
    `${amount} ${agreed ? 'agreed' : 'refused'} ${how}, ${moment}`,
  entry,
  /** Where a ticket stands; "ready" is never said of what goes back as it came. */
  standing: (standing: Stage, unrepaired: Unrepaired | null | undefined) => {
    if (!unrepaired) return STANDING[standing];
    if (standing === 'ready') return `unrepaired (${UNREPAIRED[unrepaired]})`;
    return standing === 'collected' ? 'given back unrepaired' : STANDING[standing];
  },
  colour: (colour: BodyColour): string => colour,
  spoken: (how: Spoken) => SPOKEN[how],
  callReason: (reason: CallReason) => CALL_REASON[reason],
  contactOutcome: (outcome: ContactOutcome) => CONTACT_OUTCOME[outcome],
  quantity: (quantity: Quantity) => QUANTITY[quantity],
  swing: (place: SwingPlace) => SWING[place],
  pulledAt,
  unit: (quantity: Quantity) => UNIT[QUANTITIES[quantity].unit],
  fact: (fact: MachineFact) => FACT[fact],
  trait: (trait: string) => TRAIT[trait] ?? trait,
  paper: (paper: DocumentKind) => PAPER[paper],
  reason: (reason: OrderReason) => REASON[reason],
  clock: {
    start: 'Start the clock',
    resume: 'Go on working',
    running: (time: string) => `${time}, running`,
    worked: (time: string) => `${time} worked`,
    interrupt: 'Pause',
    stop: 'Stop for now',
    elsewhere: (label: string) => `Your clock ran on ${label}. It was paused there.`,
  },
  sheet: {
    open: 'Job sheet',
    title: 'Job sheet: price, parts, promise, papers',
    price: 'Price',
    close: 'Close',
    money: 'Price and bill',
    time: 'Time',
    things: 'Parts',
    asFound: 'As found',
    papers: 'Papers',
    agreed: (amount: string) => `Agreed: up to ${amount}`,
    askFirst: 'Agreed: nothing without asking',
    noLimit: 'No limit was discussed',
    askTitle: 'Ask the customer',
    amount: 'Estimate',
    forWhat: 'For what, in words they can be told',
    ask: 'Ask customer',
    asked: (amount: string, words: string) => `Ask customer: ${amount} for ${words}.`,
    saidYes: 'They said yes',
    saidNo: 'They said no',
    how: 'How they were asked',
    theirWords: 'Their words, if they matter',
    declined: 'They said no to the price.',
    unrepaired: {
      title: 'Give it back unrepaired',
      why: 'Why',
      close: 'Close the ticket unrepaired',
    },
    inspection: (amount: string) => `Inspection fee agreed: ${amount}`,
    arrived: (part: string) => `Arrived: ${part}`,
    fitNow: 'Fitted',
    fromPriceList: 'From the price list',
    eachIfKnown: 'Price of one, if known',
    unrepairedNote:
      'What is still to do stays open and is written on the bill. Pieces of a needle and the mains must be settled all the same.',
    awaitTitle: 'Order a part',
    part: 'Part',
    expected: 'Expected on',
    order: 'Order',
    awaited: (part: string, day: string) => (day ? `${part}, expected ${day}` : part),
    came: 'Arrived',
    fitTitle: 'Part fitted',
    count: 'How many',
    each: 'Price of one',
    fit: 'Save',
    counted: writeCounted,
    fitted: (count: number, words: string, sum: string) => `${writeCounted(count, words)}: ${sum}`,
    bookTitle: 'Work without the clock',
    minutes: 'Minutes',
    what: 'What was done',
    book: 'Save',
    billTitle: 'Price',
    charged: 'Minutes to charge',
    bill: 'Work out the price',
    billed: (total: string, tax: string) => `${total}, incl. ${tax} tax`,
    billedPlus: (total: string, tax: string) => `${total}, plus ${tax} tax`,
    needle: 'Needle',
    thread: 'Thread',
    bobbin: 'Bobbin',
    dial: 'Dial',
    screw: 'Case screw',
    keepSetUp: 'Save',
    measureTitle: 'Measured',
    quantity: 'What',
    value: 'Value',
    found: 'as found',
    set: 'as set',
    measure: 'Save',
    within: (least: string, most: string, from: string) => `${least} to ${most} (${from})`,
    outside: 'outside of it',
    inside: 'within it',
    usual: 'usual, from memory; the machine’s manual stands above it',
    noValue: 'The machine’s record has no value for it.',
    shelf: 'Stands on shelf',
    move: 'Save shelf',
    told: (moment: string) => `Customer informed ${moment}`,
    tell: 'Customer informed',
    tellHow: 'How informed',
    customer: 'Customer',
    machine: 'Machine',
    otherwise: 'The machine’s record differs from this ticket.',
    byCard: 'Use the machine’s record',
    noRights: 'Only the bench and the counter write here.',
  },
  promise: {
    title: 'Promise a day',
    lead: (minutes: string, spread: string) =>
      `Calculated with ${minutes} of work, give or take ${spread}, after what is promised already.`,
    reckoning: 'Calculating',
    nobody: 'Nobody works at the benches. A lead sets the hours under Shop.',
    day: 'Another day',
    sure: (chance: string, name: string) => `${chance} sure, ${name}`,
    promise: (day: string) => `Promise ${day}`,
    promised: (day: string) => `Promised: ${day}`,
    none: 'Nothing is promised.',
    takeBack: 'Withdraw the promise',
    refused: (day: string) => `${day} cannot be promised:`,
    past: 'it is past',
    tooFar: 'it is too far ahead to calculate',
    off: (name: string, words: string) => (words ? `${name} is off (${words})` : `${name} is off`),
    shopClosed: (words: string) => (words ? `the shop is closed (${words})` : 'the shop is closed'),
    noShift: (name: string) => `${name} does not work that day`,
    unsure: (chance: string) => `it would be ${chance} sure only`,
    nothingYet: (why: string) => `Nothing can be promised yet: ${why}.`,
    waitsFor: {
      answer: 'the customer has not answered to the price yet',
      part: 'a part that it waits for is not there by then',
    },
    pushes: (labels: string) => `it would make late: ${labels}`,
    despite: 'Promise it all the same, because',
    anyway: 'Promise it all the same',
    minutes: 'Minutes it may take',
  },
  find: {
    label: 'Find anything: tag, name, number, serial',
    none: 'Nothing fits.',
    searching: 'Looking',
    offLine: 'Searching needs the connection.',
    customer: 'customer',
    scan: 'Scan a tag',
    scanTitle: 'Hold the tag in front of the camera',
    scanClose: 'Close',
    noCamera: 'This screen gives no camera. A scanner that types works in the field above.',
    notOurs: 'That code is no tag of this shop.',
  },
} as const;
