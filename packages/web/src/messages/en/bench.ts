import type { ChanceBand, HowOften, WeightBand } from '@nodo/core';
import type { Hazard, Provenance } from '@nodo/knowledge';

const chanceWords: Readonly<Record<ChanceBand, string>> = {
  'nearly-sure': 'nearly sure',
  likely: 'likely',
  even: 'about even',
  possible: 'possible',
  unlikely: 'unlikely',
  hardly: 'hardly',
};

const hazards: Readonly<Record<Hazard, string>> = {
  needle: 'Mind the needle: hand wheel only towards you, foot off the pedal.',
  unplug:
    'Off and unplugged first: a foot on the pedal drives the needle through a finger. Tweezers or a holder, no fingertip under the needle.',
  eyes: 'Eye protection on: pieces and grains fly. Hand wheel only towards you, unplugged.',
  blade: 'Blades: keep the fingers away from the edge.',
  electric: 'Mains: look only. Motor, pedal and lead are for a qualified person, to local rules.',
  light: 'Do not look into the light.',
};

const standings: Readonly<Record<Provenance, string>> = {
  published: 'From a published source.',
  'common-practice':
    'Common practice in the trade, no published source. The service manual stands above it.',
  typical: 'A typical value from memory. Check your service data.',
  derived: 'Worked out here from stated physics.',
  tuned: 'Set by hand on worked cases, first edition. It will learn from your own tickets later.',
  shop: 'From your own shop.',
};

const often: Readonly<Record<HowOften, string>> = {
  always: 'always',
  seam: 'every seam',
  'now-and-then': 'now and then',
  hours: 'once in hours',
};

export const bench = {
  sewingHazard:
    'It sews: fingers and hair clear of the needle, glasses on where a needle may break.',
  often,
  chanceWords,
  hazards,
  standings,
  causes: {
    title: 'What it could be',
    closedTitle: 'What was known when it was closed',
    more: (n: number) => `${n} more`,
    fewer: 'fewer',
    toBlame: 'What is to blame now',
    alsoThere: (n: number) => `Also there, not this complaint (${n})`,
    unknown: 'Something that no table has',
    because: (what: string) => `because: ${what}`,
    against: (what: string) => `against: ${what}`,
    notSeen: (what: string) => `not seen: ${what}`,
    noReason: 'from how often it happens',
    unasked: 'Nothing was asked yet. These are how often each happens.',
    leftOut: (n: number) =>
      `${n} of the oldest readings are not reckoned with: too many at once for the exact sum.`,
    unexplained: 'Seen, and nothing in the tables explains it:',
    ifYes: (cause: string, chance: string) => `if so, ${cause} (${chance})`,
    ifNo: (cause: string, chance: string) => `if not, ${cause} (${chance})`,
    contested:
      'Two people saw different things, so it counts as not asked until a third or the lead looks:',
  },
  step: {
    chosen: 'The check you chose',
    chosenAction: 'What you chose to do',
    because: {
      worth: 'Next check',
      sweep: 'Next in the full sweep',
      duty: 'Owed before closing',
      'before-power': 'Before it is turned or sewn',
    },
    repair: 'Put it right',
    shorterDone: 'Sooner done than looked for',
    treats: (causes: string) => `It puts right at once: ${causes}.`,
    cause: 'The cause you chose',
    minutes: 'min',
    atHand: 'Have at hand',
    saves: (minutes: string) => `stands to save ${minutes} min`,
    opens: (what: string) => `opens: ${what}`,
    tools: (tools: string) => `At hand: ${tools}`,
    reckoning: 'Reckoning which check is worth its minutes',
    failedTitle: 'No proposal this time',
    failed:
      'Reckoning the next check failed. Nothing is lost: choose a check yourself, the causes stand at the side.',
    chooseCheck: 'Choose a check',
    severalSeen: 'Tick all you see, then log.',
    logSeen: (n: number) => (n === 1 ? 'Log 1 seen' : `Log ${n} seen`),
    cannotTell: 'Cannot tell',
    notNow: 'Not now',
    somethingElse: 'I saw something else',
    backToProposal: 'Back to the proposal',
    schools: 'Practitioners differ here',
    schoolHere: (here: string) => `Here: ${here}`,
    whyThis: 'Why this check',
    standsToFind: 'Its answers speak for or against:',
    openFirst: 'Open first',
    unplugFirst: 'Unplug first',
    unplugged: 'It is off and unplugged',
    onlyUnplugged: 'A needle is changed and a screw turned only unplugged:',
    opened: (what: string) => `Done: ${what}`,
    closeFirst: 'Put together first',
    partOff: 'A part that this looks at is off: put together first',
    closed: 'It is back together',
    pluggedIn: 'Plugged in again',
    gate: 'Before this step',
    gateCheck: (title: string) => `Check first: ${title}`,
    didIt: 'Which did you do?',
    lookFurther: 'Look further instead',
    wasChance: (was: string, is: string) => `was present ${was}, is present now ${is}`,
    finds: 'Checks that show it',
    speaks: 'What speaks for and against it',
    weight: (size: WeightBand, forIt: boolean) =>
      `${{ strong: 'strongly', clear: 'clearly', slight: 'a little' }[size]} ${forIt ? 'for' : 'against'}`,
    prove: {
      heading: 'Prove it',
      title: (minutes: string) => `Sew it for ${minutes} minutes`,
      watch: (symptoms: string) => `Watch for: ${symptoms}. Stop as soon as it shows.`,
      enough: (minutes: string, risk: string) =>
        `If nothing shows in ${minutes} minutes, the chance that it comes back is ${risk}.`,
      notEnough: (minutes: string, risk: string) =>
        `Even if nothing shows in ${minutes} minutes, a chance of ${risk} is left: it shows too seldom, or something that can cause it was not put right.`,
      onTheWork: 'Sewn on the customer’s own fabric and thread',
      onAScrap: 'On a scrap, faults of the work and of the way of sewing hardly show.',
      start: 'Start the timer',
      stop: 'Stop the timer',
      sewn: 'Minutes sewn',
      silent: (minutes: string) => `Nothing showed in ${minutes} min`,
      shown: (symptom: string) => `It showed: ${symptom}`,
      howOften: (symptom: string) => `How often: ${symptom}`,
      notSaid: 'not said (taken as every seam)',
      settle: 'It cannot be sewn away',
    },
    settle: {
      heading: 'Owed to the customer',
      title: (symptom: string) => `Not sewn away: ${symptom}`,
      text: 'Say how it ends. Your name and the reason stay on the ticket.',
      ways: {
        explained: 'Explained: way of sewing or material, shown to the customer',
        left: 'The customer leaves it so',
        'put-aside': 'Put aside, for a reason',
      },
      reasons: {
        explained: 'What was shown, and what to do differently?',
        left: 'What did the customer decide?',
        'put-aside': 'Why is it put aside?',
      },
      sew: 'Sew it first',
    },
    ask: {
      heading: 'Not asked yet',
      title: 'What does it do?',
      text: 'The complaint stands in words alone. Tick what fits: without it nothing can be told of the chances, and the ticket does not close.',
      log: 'Log what was ticked',
      none: 'None of these: a service or something else',
    },
    searchOn: {
      heading: 'Search on',
      title: 'Something that no table has',
      text: 'What the tables know was put right or ruled out, and it still shows. Take it apart further, ask a colleague, or send it on. What you find can be written down and is treated like any other cause.',
      chance: (risk: string) => `Chance that it is something no table has: ${risk}.`,
      found: 'Write down what it is',
      settle: 'Leave it',
    },
    readyTitle: 'Ready to tie the knot',
    ready: (risk: string) =>
      `Everything owed is done. Chance that the complaint comes back: ${risk}.`,
    nothingFound: {
      title: 'Nothing found: it was not brought out here',
      sewn: (minutes: string, risk: string) =>
        `Sewn for ${minutes} minutes as it came in, and it did not show. Chance that it comes back: ${risk}.`,
      tell: 'Tell the customer: what was sewn and for how long, that nothing was repaired, and when it shows again to leave all as it stands and bring it with the piece, its thread and its fabric.',
      differs:
        'What is said to show in every seam and does not show here hangs on their thread, fabric or hands: sew with theirs, or watch them sew, before it goes back.',
      charge:
        'Charge the time of looking as it was agreed when the machine was taken in, and no repair.',
    },
    tie: 'Tie the knot: close the ticket',
    closedTitle: 'Closed and tied',
    closedLine: (risk: string) => `Closed with a comeback chance of ${risk}.`,
    settledLine: (symptom: string, how: string) => `${symptom}: ${how}`,
    settled: {
      'sewn-away': 'sewn away',
      'not-brought-out': 'not brought out here',
      explained: 'explained to the customer',
      left: 'left so by the customer',
      'put-aside': 'put aside',
      owed: 'still owed',
    },
    wordsAlone: 'The complaint in words',
    notKnown: 'Nothing was reported that could come back.',
    waivedLine: (duties: string) => `Waived: ${duties}`,
    collected: 'The customer has it back',
    reopen: 'Reopen',
    reopenWhy: 'Why does it come back to the bench?',
    gone: 'The customer has this machine. The ticket stays to be read.',
    toRack: 'Back to the Rack',
    noRights: 'You may read this ticket. Findings are entered by those who work at the bench.',
  },
  machine: {
    title: 'The machine now',
    closed: 'Closed',
    open: 'Open',
    pluggedIn: 'plugged in',
    unplugged: 'unplugged',
    caution: {
      on: 'Keep the fingers out of the needle’s way.',
      off: 'Stays unplugged until it is closed again.',
    },
    inDish: 'In the parts dish',
    whileOpen: 'While it is open, nearly free:',
    unplug: 'Unplug',
    plugIn: 'Plug in',
    closeUp: 'Close up',
    words: 'In the customer’s words',
  },
  plan: {
    title: 'How we search',
    ways: {
      'per-minute': {
        title: 'Most likely per minute',
        means: 'Next is what saves the most minutes for each minute it takes.',
      },
      'one-at-a-time': {
        title: 'One change at a time',
        means: 'The same, but after every change it is sewn again before anything else.',
      },
      'full-sweep': {
        title: 'Full sweep',
        means: 'Everything is looked at in the handbook’s order, likely or not.',
      },
    },
  },
  resume: {
    title: 'Where this ticket stands',
    putAway: 'Put away',
    known: ({
      reported,
      looks,
      likely,
      done,
      byCustomer,
    }: {
      reported: string;
      looks: number;
      likely: string | undefined;
      done: string;
      byCustomer: string;
    }) =>
      `${reported ? `Reported: ${reported}` : 'No complaint was ticked'}; ${
        looks === 0
          ? 'nothing looked at yet'
          : looks === 1
            ? '1 look so far'
            : `${looks} looks so far`
      }${likely ? `, ${likely}` : ''}; ${byCustomer ? `by its owner: ${byCustomer}; ` : ''}${done ? `done: ${done}` : 'nothing done yet'}.`,
    likely: (cause: string, chance: string) => `most likely ${cause} (${chance})`,
    ahead: (owed: string, next: string | undefined) =>
      `${owed ? `Owed before closing: ${owed}` : 'Nothing is owed'}; next: ${next ?? 'being reckoned'}.`,
    next: {
      repair: (cause: string) => `put right ${cause}`,
      prove: 'sew it as it failed',
      searchOn: 'search on',
      ask: 'ask what it does',
      settle: 'say how the complaint ends',
      closeMachine: 'close the machine up',
      closeTicket: 'tie the knot',
    },
  },
  photo: {
    onItsWay: 'The picture is on its way',
    offer: 'Keep a photo with the ticket',
    choose: 'Choose or take a photo',
    another: 'Another photo instead',
    preview: 'The photo as it will be kept',
    unreadable: 'This browser cannot read that file as a picture. Choose another.',
    note: 'What it shows',
    noteHint: 'A few words, or none. Where and when the camera says it was taken is left out.',
    keep: 'Keep it',
    sending: 'The photo is being sent',
    offLine: 'The server cannot be reached, and the photo is not kept yet. Try again.',
  },
  ownCause: {
    offer: (words: string) => `It is a cause of its own: “${words}”`,
    lead: 'It becomes part of this ticket’s reckoning, with a repair of its own, and is proven like any other.',
    name: 'What was wrong',
    remedy: 'What puts it right',
    remedyHint: 'As it would stand in the record once it is done: “Washer put back”.',
    explains: 'It explains',
    submit: 'Found: take it into the reckoning',
  },
  duties: {
    title: 'Owed before closing',
    none: 'Nothing is owed.',
    toKnot: 'Close the ticket',
    left: 'still to do:',
    oneOf: 'one of these:',
    waive: 'Waive',
    waiveTitle: 'Waive with your name',
    waiveWhy: 'Why does this stay undone?',
    waiveNote: 'Your name and the reason stay on the ticket.',
    cancel: 'Leave it owed',
    risk: 'Closed now, it comes back with a chance of',
    riskUnknown: 'Nothing was reported yet: the chance of a comeback is not known.',
    symptoms: 'Reported, not settled',
    lowers: (check: string) => `What lowers it most: ${check}`,
    why: (why: string) => `${why}.`,
  },
  notedHere: 'Noted here before',
  palette: {
    about: (check: string) => `About “${check}”`,
    title: 'I saw or did something else',
    find: 'A few letters: check, finding, cause, action',
    checks: 'Checks and what they show',
    actions: 'Done',
    causes: 'Causes',
    note: (words: string) => `Write it down as it is: “${words}”`,
    nothing: 'Nothing in the tables fits. Write it down as a note.',
    close: 'Close',
  },
  undo: 'Take back',
  tray: {
    title: 'Not accepted',
    sendAgain: 'Send again',
    putAway: 'Put away',
  },
  missing: 'This ticket is not in your shop, or was never taken in.',
  failed: 'The ticket could not be read',
  lastEntry: (name: string, time: string) => `last entry ${time}, ${name}`,
} as const;
