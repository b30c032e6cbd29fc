/** One thing that may be wrong, as far as it matters for the time it takes. */
export interface Suspect {
  /** Chance that it is present now. */
  readonly chance: number;
  /** Chance that it shows as what was complained of, when it is present. */
  readonly heard: number;
  /** Minutes of the check that finds it; 0 when it is found already. */
  readonly look: number;
  /** Minutes of putting it right and proving that. */
  readonly repair: number;
}

export interface WorkLeft {
  readonly mean: number;
  /** Standard deviation. */
  readonly spread: number;
}

/**
 * Minutes of work left on a machine: looking for what is wrong in the order of chance per
 * minute until something is found, putting right what is there, and what is owed in any case.
 * Suspects are taken as independent; each piece of work scatters by {@link PIECE_SCATTER} of
 * its length. A model of our own; `npm run bench -- promise` holds it against walked machines.
 * @param owed minutes that are due whatever is found
 */
export function workLeft(suspects: readonly Suspect[], owed: number): WorkLeft {
  const searched = suspects
    .filter(({ look }) => look > 0)
    .sort((a, b) => b.chance / b.look - a.chance / a.look);
  let until = 0;
  let notYet = 1;
  let mean = 0;
  let square = 0;
  for (const { chance, look } of searched) {
    until += look;
    const found = notYet * chance;
    mean += found * until;
    square += found * until ** 2;
    notYet -= found;
    if (notYet < GIVEN_UP_AT) break;
  }
  mean += notYet * until;
  square += notYet * until ** 2;
  // Known faults are repaired first. Once the machine sews well, the search stops.
  const isTold = suspects.some(({ look }) => look === 0);
  const goesOn = isTold
    ? 1 - searched.reduce((quiet, { chance, heard }) => quiet * (1 - chance * heard), 1)
    : 1;
  mean *= goesOn;
  square *= goesOn;
  let variance = square - mean ** 2 + (PIECE_SCATTER * mean) ** 2;
  let total = mean + owed;
  variance += (PIECE_SCATTER * owed) ** 2;
  for (const { chance, repair } of suspects) {
    total += chance * repair;
    variance += chance * (1 - chance) * repair ** 2 + chance * (PIECE_SCATTER * repair) ** 2;
  }
  return { mean: total, spread: Math.sqrt(Math.max(0, variance)) };
}

/** So much of a piece of work's length is its standard deviation. Ours, no source. */
const PIECE_SCATTER = 0.3;
/** When so little is left unfound, nobody looks on for it. Ours, no source. */
const GIVEN_UP_AT = 0.05;
