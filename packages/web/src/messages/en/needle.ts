import type { FitReason, ScarfSide } from '@nodo/knowledge';

const SIDES: Readonly<Record<ScarfSide, string>> = {
  back: 'back',
  left: 'left',
  right: 'right',
  front: 'front',
};

/** The needle instrument. */
export const needle = {
  parts: {
    seat: 'Seat',
    condition: 'Condition',
    fit: 'Fit',
    wear: 'Wear',
    broken: 'Pieces',
    register: 'Register',
  },
  nowIn: 'Needle in it',
  unknown: 'Which needle is in is not known.',
  changed: 'A new one went in.',
  tell: 'Enter needle',
  nowLine: (needle: string, by: string, when: string) => `${needle} (${by}, ${when})`,
  drawing: {
    views: { front: 'front', back: 'back', side: 'right side' },
    sides: SIDES,
    bar: (mm: number) => `${mm} mm`,
    hook: 'hook',
    account: (low: number, faces: string) =>
      `The needle in its clamp from front, back and right side, to scale: ${low > 0 ? `${low} mm below its stop` : 'at its stop'}, scarf to the ${faces}.`,
    below: (faces: string, target: string) =>
      `The needle from below: its scarf faces ${faces}, the hook passes on the ${target}.`,
    loop: (towards: string, at: string) =>
      `Needle, loop and hook from the side: ${towards} mm of loop where the hook passes, ${at} mm above the eye.`,
    pieces: (count: number, laid: string, whole: string) =>
      `${count} pieces end to end: ${laid} of ${whole} mm.`,
  },
  seat: {
    tapSide: 'Tap the side that the scarf faces',
    heading: 'How does the needle sit?',
    again: 'And now, as it is set?',
    needles: 'Needles of this head',
    needle: (at: number) => `Needle ${at}`,
    states: { unlooked: 'not looked at', right: 'sits right', wrong: 'sits wrong' },
    othersRight: (count: number) =>
      count === 1 ? 'The other one sits right' : `The other ${count} sit right`,
    clamp: 'Pull: does it move in its clamp?',
    tight: 'Tight',
    moves: 'It moves',
    height: 'Loosen, push up with tweezers: how far does it go?',
    atStop: 'Not at all',
    mm: (value: string) => `${value} mm`,
    blocked: 'It will not go up to the stop',
    otherMm: 'or measured, mm',
    faces: 'Where does the scarf face?',
    shouldFace: (side: string) =>
      `It should face the ${side}: the thread enters from the other side.`,
    readGuide: 'This kind of machine differs: where should it face by its own guide?',
    guideSays: 'By the guide',
    flatToo:
      'A flat on the shank stands on the same side; it shows the way, it does not prevent a wrong one.',
    feel: 'Run a nail up the blade from the eye. The short hollow just above it is the scarf. A groove that goes on to the shank is the other side.',
    angle: 'Turned off square by',
    angleHow:
      'Thread out. The pointer settles on the two edges of the groove; or push a second needle through the eye and look along it.',
    target: (degrees: string) => `Target ${degrees}°`,
    plus: 'scarf to the operator’s left is plus',
    restRight: 'Else it sits right',
    keep: 'Save as found',
    keepSet: 'Save as set',
    keepAlone: 'Another needle',
    notAll: 'Answer each line first.',
    taps: (count: number) => `${count} taps`,
    todo: 'What to do',
    do: {
      unplug:
        'Off and unplugged, foot off the pedal. Hold the needle with tweezers, not a fingertip.',
      clear: 'Clear lint or a broken stub out of the socket, then push the needle up to its stop.',
      set: (faces: string) =>
        `Loosen, turn the scarf to the ${faces}, push up to the stop, hold it there, tighten past finger-tight.`,
      square: (target: string) =>
        `Nip the screw, turn by a second needle through the eye until the pointer shows ${target}°, tighten, read again.`,
    },
    didClear: 'Socket cleared',
    didSet: 'Needle set again',
    thenCheck: 'Then look again: height, scarf, clamp; turn a few times by hand.',
    turned: 'Turned by hand a few full turns',
    proven: 'It sits right.',
    provenNext: 'A standard sew-out proves the rest.',
    caution: 'Unplugged, needle held with tweezers. The machine’s own manual stands above this.',
  },
  effect: {
    title: 'What the hook finds',
    towards: 'Loop towards the hook',
    needs: 'It needs',
    aside: 'Stands aside',
    meets: 'Hook passes above the eye',
    scarfEnds: 'Scarf ends at',
    gap: 'Room to the needle',
    bentTowards: 'Room, bent towards the hook',
    bentAway: 'Room, bent away',
    skips: 'Stitches it would skip',
    asRight: (value: string) => `right: ${value}`,
    says: {
      right: 'The hook finds the loop.',
      backward:
        'Backward: the loop stands on the other side. The hook finds nothing and rubs the blade.',
      pastScarf:
        'So low that the hook passes above the scarf, where the blade is full: it rubs or strikes.',
      low: 'Low: the loop there is no smaller, but the hook comes nearer to the scarf’s end and the point nearer to the case, and the timing moves.',
      turned: 'Turned: part of the loop stands aside.',
    },
    model:
      'A model of the loop: lift, gap and scatter are typical values unless the machine’s record gives them.',
  },
  seam: {
    found: (needle: string, at: number) =>
      `${at > 1 ? `Needle ${at}: ` : 'Needle found: '}${needle}`,
    fitted: (needle: string, at: number) =>
      `${at > 1 ? `Needle ${at} fitted: ` : 'Needle fitted: '}${needle}`,
    work: (fabric: string, thread: string) => `Sews ${fabric} with ${thread}`,
    pieces: (count: number, missing: number) =>
      missing > 0.5
        ? `${count} pieces of the needle measured, ${missing} mm missing`
        : `${count} pieces of the needle measured, whole`,
  },
  condition: {
    heading: 'What has it been through?',
    roll: 'Roll it on a flat plate: the widest gap that opens and closes',
    even: 'Even all round',
    nail: 'Draw it across a nail or nylon',
    loupe: 'Point and eye under a loupe',
    gum: 'Gum on the blade',
    pop: 'It pops or thumps at each stitch',
    struck: 'It struck, jammed or broke a stitch hard',
    heat: 'Long runs at full speed',
    yes: 'Yes',
    no: 'No',
    keep: 'Save what was seen',
    drawing: {
      account:
        'Needles rolled on a plate, from straight to bent; below, the end of one enlarged: blade, eye under a loupe, point at a nylon thread.',
      rolled: (times: number) => `Rolled on a plate, the gap drawn ${times} times`,
      gap: (name: string) => `It looks like this: ${name}`,
      tap: { nail: 'It catches', loupe: 'Blunt or burred', gum: 'Gum on the blade' },
      said: {
        nail: (said: 'yes' | 'no' | undefined) =>
          said === 'yes' ? 'catches' : said === 'no' ? 'glides' : 'catches?',
        loupe: (said: 'yes' | 'no' | undefined) =>
          said === 'yes' ? 'blunt' : said === 'no' ? 'sharp' : 'sharp?',
        gum: (said: 'yes' | 'no' | undefined) =>
          said === 'yes' ? 'gum' : said === 'no' ? 'clean' : 'clean?',
      },
    },
    means: {
      bent: 'Bent. The gap to the hook changes by the bend. Replace it and find out what bent it: pulling, a strike, heat.',
      catches: 'A burr at point or eye cuts thread and fabric. It is finished.',
      blunt: 'Worn: it pushes yarns aside and pops. Replace it, count from today.',
      gum: 'Adhesive drags the thread. Clean it or take a non-stick one.',
      pop: 'Popping: a worn point, or one that does not suit the fabric. Look at it under the loupe.',
      struck:
        'A strike ends its life, however new it is: a bend too small to see starts the next break.',
      heat: 'Heat bends a needle gradually before it breaks, and softens synthetic thread: a chrome needle, slower runs.',
      sound: 'Nothing speaks against it.',
    },
  },
  thread: {
    known: 'Thread known by',
    by: { label: 'its label', across: 'its width', weight: 'its weight' },
    unit: 'Unit',
    number: 'Number',
    plies: 'Plies',
    across: 'Across, mm (20 turns side by side, divided by 20)',
    grams: 'Weight, g',
    metres: 'of how many metres',
    fibre: 'Fibre',
    kind: 'Kind',
    fibres: {
      polyester: 'Polyester',
      cotton: 'Cotton',
      nylon: 'Nylon',
      rayon: 'Rayon',
      silk: 'Silk',
    },
    kinds: {
      plain: 'Plain',
      metallic: 'Metallic',
      embroidery: 'Embroidery',
      transparent: 'Transparent',
    },
    same: 'The same thread in other units',
    diameter: 'across',
    impossible: 'That is no sewing thread: look at unit and number again.',
  },
  fit: {
    ladder: {
      fabric: 'fabric',
      thread: 'thread',
      chosen: 'take',
      found: 'in it now',
      held: 'this one',
      hold: (size: number) => `Would ${size} do?`,
      account: ({
        fabric,
        thread,
        found,
        chosen,
        held,
      }: {
        readonly fabric: readonly [number, number] | undefined;
        readonly thread: readonly [number, number] | undefined;
        readonly found: number | undefined;
        readonly chosen: number | undefined;
        readonly held: number | undefined;
      }) =>
        [
          'Sizes as a ladder.',
          fabric && `The fabric bears ${fabric[0]} to ${fabric[1]}.`,
          thread && `The thread lies in ${Math.round(thread[0])} to ${Math.round(thread[1])}.`,
          chosen !== undefined && `To take: ${chosen}.`,
          held !== undefined && `Held against it: ${held}.`,
          found !== undefined && `In it now: ${found}.`,
        ]
          .filter(Boolean)
          .join(' '),
    },
    inNeedle: {
      account: (size: number, share: string) =>
        `The blade of a ${size} cut across, and its eye: the thread takes ${share} % of the blade.`,
      groove: 'in its groove',
      eye: 'in its eye',
      share: (size: number, share: string) => `${share} % of a ${size} blade`,
      band: 'a fifth to a third lies well',
    },
    heldAgainst: (size: string) => `Would ${size} do?`,
    heldLay: 'Tap a size in the ladder to hold it against this work.',
    heading: 'Which needle for this work?',
    fabric: 'Fabric',
    layers: 'Layers',
    thickness: 'One layer, pressed, mm',
    crossing: 'Seams cross',
    keep: 'Save on this ticket',
    suits: 'Take',
    or: ' or ',
    point: 'Point',
    coating: 'Coating',
    eye: { usual: 'usual eye', long: 'long eye, wide groove', wide: 'wide eye' },
    why: 'Why',
    found: 'Against the needle found',
    foundNone: 'Tell in the register which needle is in, and it is compared here.',
    good: 'It suits.',
    fair: 'It will do.',
    willDo: {
      'size-too-thin': 'A size thinner than this fabric likes.',
      'eye-too-small': 'The thread just goes through: a size more would carry it better.',
      'point-wrong': 'Not the point made for it, but this fabric takes it.',
      'size-too-thick': 'A size thicker than it needs: the holes show more.',
    },
    wrong: {
      'system-wrong': 'Wrong system: its length and shank differ. It skips, strikes or breaks.',
      'size-too-thin': 'Too thin: it gives way and strikes.',
      'eye-too-small': 'The thread does not lie in its groove: it rubs, shreds and breaks.',
      'point-wrong': 'The point does not suit: it skips, pops or cuts the fabric.',
      'size-too-thick': 'Too thick: holes stay, and thin thread wanders in the groove.',
    },
    wouldDo: 'What a wrong one would do',
    givesWay: (found: string, chosen: string) =>
      `Under a newton at the tip it gives way ${found} mm, the one to take ${chosen} mm.`,
    stiffer: (times: string) => `That is ${times} times as stiff as the one found.`,
    keepVerdict: 'Save as a finding',
    sayThread:
      'Say which thread it is, by label, width or weight: the needle to take stands here then.',
    everyday: 'For everyday work, where either suits',
    everydayWhy:
      'Both schools are common. Fine sharp pierces the yarns and sews straightest on wovens, so Nodo begins with it and proves with a fine sharp 80/12; universal slips between them and suits many fabrics. Some prefer coated needles, most chrome: coated ones shatter, their pieces are counted either way.',
    card: 'Needle card for the customer',
    reasons: (reason: FitReason, figure: (value: number) => string): string => {
      switch (reason.because) {
        case 'groove':
          return `Its thread lies in the groove of blades from ${figure(Math.ceil(reason.least))} to ${figure(Math.floor(reason.most))} (a fifth to a third of the blade).`;
        case 'thickness':
          return `${figure(reason.under)} mm under the needle: ${reason.least} to ${reason.most}.`;
        case 'thread-thicker-than-fabric-bears':
          return `The thread takes ${figure(Math.round(reason.share * 100))} % of that blade: only a long eye and wide groove carry it. A finer thread would be kinder.`;
        case 'thread-finer-than-fabric-bears':
          return `The thread takes only ${figure(Math.round(reason.share * 100))} % of that blade: it may wander in the groove. A thicker thread would lie better.`;
        case 'fabric':
          return 'The point goes by the fabric.';
        case 'thread-kind':
          return reason.kind === 'metallic'
            ? 'Metallic thread wants a long polished eye.'
            : 'Embroidery wants a wide eye and a larger scarf hump.';
        case 'heat':
          return 'Thick or dense work heats the blade: chrome first; a hard coating lasts longer but shatters, count its pieces.';
        case 'adhesive':
          return 'Adhesive clings to bare metal.';
      }
    },
  },
  wear: {
    thread: (sewn: string | undefined, flags: string) =>
      `${sewn === undefined ? '' : `Sewn: ${sewn} stitches. `}Due by ${flags}.`,
    tap: 'Tap how far it sewed',
    flag: (name: string, limit: string) => `${name}: ${limit}`,
    heading: 'How far has it sewn?',
    known: 'Known as',
    amount: 'How much',
    as: {
      stitches: 'Stitches',
      hours: 'Hours at the machine',
      bobbins: 'Full bobbins',
      metres: 'Metres of seam',
    },
    rate: 'Stitches a minute',
    duty: 'Of the time it sews, %',
    length: 'Stitch length, mm',
    width: 'Zigzag width, mm',
    under: 'Fabric, mm',
    bobbin: 'Metres on a bobbin',
    projects: 'Projects with it',
    sayAmount:
      'Say how much it sewed, in whatever is known: it is converted into the others, and each way of counting says when it is due.',
    same: 'That is',
    schools: 'When it is due',
    due: 'due now',
    left: (stitches: string, hours: string, day: string) =>
      `${stitches} stitches or ${hours} hours left, due about ${day}`,
    week: 'Hours at it in a week',
    noCount: 'not counted in stitches',
    struck: 'It struck or jammed: its life ended then, whatever it had sewn.',
    passes: (count: string) =>
      `Each point of the thread passes the eye about ${count} times before it is sewn in.`,
    by: 'Count by',
    keep: 'Save the count',
    overdue: 'Past its limit',
    within: 'Within its limit',
  },
  broken: {
    heading: 'Is the whole needle here?',
    whole: 'A whole one of its kind, mm',
    piece: 'Next piece, mm',
    add: 'Add piece',
    tap: 'Tap where this piece ends',
    takeOff: (index: number, length: string) => `${index}: ${length} mm, take it off`,
    laid: (laid: string, whole: string) => `${laid} of ${whole} mm found`,
    missing: (missing: string) => `${missing} mm are missing`,
    isWhole: 'It is whole (within half a millimetre).',
    tooMuch: 'More than one needle: a piece of another, or measured twice.',
    struck: 'What did it strike?',
    lookIn: 'Look for the rest',
    keep: 'Save the pieces',
    piecesFirst: 'Lay the first piece.',
    accounted: 'All pieces found',
    waive: 'Close without it',
    waiveWhy: 'Why, and where the rest must be',
    caution:
      'Eye protection. Pieces are sharp: tweezers and a magnet, no fingers. Hand wheel only towards you, unplugged.',
    coated: 'Hard-coated needles shatter into three to six pieces; others usually break in two.',
    cannotClose:
      'The ticket stays open until the needle is whole or somebody says, with name, why the rest is missing.',
    impossible: 'No piece is that long.',
    cleared: 'All pieces are accounted for.',
  },
  register: {
    heading: 'Which needle is in it?',
    drawing: {
      account: 'Where the needle comes from, the needle in its clamp, where the one before went.',
      found: 'in it already',
      new: 'new',
      opened: 'opened before',
      none: 'none',
      'used-up': 'thrown away',
      'put-back': 'put back',
      broken: 'broken',
    },
    heads: 'Position',
    system: 'System',
    size: 'Size',
    point: 'Point',
    coating: 'Coating',
    from: 'Comes from',
    froms: { found: 'Found in it', new: 'New from the packet', opened: 'Opened before, put back' },
    opened: 'Which opened one',
    noneOpened: 'No opened needle lies in the shop.',
    sewn: 'Stitches it has sewn',
    sewnUnknown: 'empty: nobody knows',
    before: 'The one before',
    befores: {
      none: 'There was none',
      'used-up': 'Used up, thrown away',
      'put-back': 'Put back, opened',
      broken: 'Broken',
    },
    beforeUnknown: 'Nobody knows which it was: throw it away.',
    keep: 'Save',
    proof: 'Fine sharp 80/12, new',
    history: 'Before',
    line: (needle: string, sewn: string) => `${needle}, ${sewn}`,
    sewnLine: (stitches: string) => `${stitches} stitches`,
    sewnNone: 'stitches not known',
    openedTitle: 'Opened needles in the shop',
    used: (count: number) => `${count} used up on this machine`,
    nothing: 'No needle is saved for this machine yet.',
    noMachine: 'Choose a machine by its page or a ticket to read its register.',
    failed: 'The register could not be read. What this ticket says is shown.',
    kept: 'Saved.',
  },
} as const;
