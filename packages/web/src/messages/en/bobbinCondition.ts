/** The bobbin instrument: how the bobbin is, and how its case sits. */
export const bobbinCondition = {
  heading: 'How is the bobbin?',
  how: 'Cheap and closed: look here before anything is opened.',
  wound: {
    question: 'Pressed with a nail, it is wound',
    answers: { firm: 'firm', soft: 'soft', uneven: 'uneven', looped: 'with loops' },
    tap: 'Press the winding',
    again: 'Wind it again',
    steps: {
      empty: 'Wind it off to the bare core: nothing is wound over old thread.',
      guide: 'Set the winder’s guide so that the thread runs to the middle of the bobbin.',
      disc: 'Thread pulled right into the winder’s disc, so that it is held.',
      hold: 'Hold the end until the first layers hold it, then cut it off at the rim.',
      even: 'Wind at an even, middling speed; stop before the rims are full.',
      press: 'Press it again with a nail: it must not sink in.',
    },
  },
  turns: {
    question: 'As its thread is drawn off it turns',
    answers: { anticlockwise: 'anticlockwise', clockwise: 'clockwise' },
    arrow: 'The slot slants',
    arrows: { anticlockwise: 'anticlockwise', clockwise: 'clockwise', none: 'nowhere' },
    should: {
      card: (turn: string) => `By this machine’s record: ${turn}.`,
      usual: (turn: string) =>
        `Mostly so in a drop-in case: ${turn}. The machine’s manual decides.`,
      slot: (turn: string) => `By the slant of the slot: ${turn}.`,
    },
    shouldUnknown:
      'Look at the slot: its slant shows the way. Where it runs straight, the machine’s manual tells.',
    title: 'It should turn',
    wrong: 'It turns the wrong way: turn the bobbin over.',
    right: 'It turns the right way.',
    school: 'Some call the direction decisive, some hardly a matter: Nodo keeps it, at low weight.',
    drawing: (turn: string) =>
      `The bobbin in its case, from the open side: as thread is drawn off it turns ${turn}; the thread leaves through the slot and lies under the spring.`,
    drawingUnknown:
      'The bobbin in its case, from the open side. Which way it should turn is not known yet.',
    tapSpring: 'Not under the spring',
    slot: 'slot',
    spring: 'spring',
  },
  path: {
    question: 'The thread lies',
    answers: {
      under: 'under the spring, with drag',
      off: 'not under the spring',
      empty: 'nowhere: empty or left out',
    },
  },
  tail: {
    question: 'The tail is',
    answers: { long: 'about 10 cm or longer', short: 'shorter' },
    cutter:
      'Cut at a built-in cutter it can be too short to be picked up, slippery thread most of all.',
  },
  rims: {
    question: 'A nail run round it catches at',
    places: { above: 'the upper rim', below: 'the lower rim', core: 'the joint of a screwed core' },
    names: { above: 'upper rim', below: 'lower rim' },
    drawing: 'The bobbin in section: upper rim, lower rim, the joint of the core, the winding.',
    smooth: 'nothing: smooth',
    rough: 'Discard it: a nicked or bent bobbin is not dressed.',
  },
  keep: 'Save what was seen',
  standings: {
    'not-yet': '',
    sound: 'on the ticket: sound',
    found: 'on the ticket: not sound',
    again: 'something was done since: look again',
  },
  todo: 'To do',
  replaced: 'A sound, firmly wound bobbin is in',
  setRight: 'Turned, threaded, tail left long',
  proven: 'The bobbin is sound.',
  trial: {
    title: 'Another sound bobbin',
    how: 'Only the bobbin changes. Sew the customer’s seam again.',
    caution: 'Closed and plugged in for this, hands clear of the needle.',
    openFirst: 'Something is still open: close the machine first.',
    question: 'The fault',
    answers: { stays: 'stays', gone: 'is gone' },
    stays: 'The same with all of them: look at their undersides, then at case and hook.',
    gone: 'It was the bobbin. Leave the sound one in, and say so.',
    keep: 'Save the trial',
  },
} as const;

export const bobbinCase = {
  heading: 'How does the case sit, and where does the thread hang?',
  caution:
    'Off and unplugged, needle out, before hands go to the case. The machine’s own manual stands above this.',
  seat: {
    title: 'Seat and stop',
    how: 'Its stop lies against the machine’s stop or spring; it rocks a little and cannot turn.',
    lintFirst: 'Lint beneath keeps a case from seating: clean the race first.',
    tap: 'Does not lie against its stop',
    question: 'The case',
    answers: { seated: 'lies against its stop', off: 'does not' },
    keep: 'Save the seat',
    done: 'Case seated',
    underPlate:
      'Part of a drop-in case’s stop may sit under the plate. With the plate off this is a look, no proof: look again with the plate on.',
    proveNow: 'The plate is on again since: look once more, then the seat is proven.',
    proven: 'Seated, seen with the plate on.',
  },
  spring: {
    title: 'Under the spring',
    how: 'Draw a card’s corner under it. Backing it off: note where the screw stands, count the turns out and in again.',
    tap: 'Lint under the spring',
    question: 'Under the spring is',
    answers: { clean: 'nothing', lint: 'lint' },
    done: 'Spring cleaned',
    screw: 'To the screw’s clock',
  },
  rim: {
    title: 'Rim and surface',
    how: 'All round with a fingertip, inside and outside: what it finds goes on the map.',
    toMap: 'To the map of marks',
  },
  gap: {
    title: 'Thread gap at the stop',
    how: 'Slide feelers between the case and its stop: the thickest that slips through, and the next that does not.',
    passes: 'Slips through, mm',
    stops: 'Does not, mm',
    wrong: 'What does not pass must be thicker than what does.',
    seatFirst: 'Seat the case first: the gap of a case out of place says nothing.',
    threads: {
      here: 'The thread on this ticket',
      middling: 'A thread of middling width',
      allPurpose: 'All-purpose thread, tex 25',
    },
    fits: { slips: 'slips', drags: 'drags, squeezed', held: 'is held' },
    unsure: 'finer feelers would tell',
    between: (one: string, other: string) => `${one}, or ${other}`,
    tight: 'Not even all-purpose thread slips: the gap is too tight.',
    tooThick:
      'The gap is right, this thread is too thick for it: take a thinner one, leave the stop alone.',
    unsureLong:
      'These feelers are too far apart to tell. Take a finer pair, or try with the thread itself.',
    right: 'Both slip.',
    bracket: 'Setting the bracket is the last resort: a little at a time, marks noted first.',
    keep: 'Save the gap',
  },
  hang: {
    title: 'Where does the thread hang?',
    how: 'Needle back in, power off, hand wheel only towards you, both tails of bright thread held.',
    turns: {
      all: 'With bobbin and case',
      'without-bobbin': 'Without the bobbin',
      'without-case': 'Without bobbin and case',
    },
    answers: { passes: 'it passes', hangs: 'it hangs', missed: 'the hook misses the loop' },
    hour: 'Where it hangs, by the clock',
    hourUnknown: 'not told',
    hourAt: (hour: number) => `${hour} o’clock`,
    noted: (hour: number) => `The thread hangs at ${hour} o’clock.`,
    located: {
      nowhere: 'It does not hang.',
      loop: 'The hook does not take the loop: look at the needle and the timing, not at the case.',
      bobbin: 'The bobbin holds it.',
      case: 'The case or its stop holds it.',
      hook: 'Hook or race hold it.',
    },
    lookAt: 'Look at',
    keep: 'Save the turns',
  },
} as const;
