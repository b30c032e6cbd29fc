import {
  againstOwn,
  BOBBIN_MEASURES,
  type BobbinClass,
  type BobbinClassId,
  type BobbinMatch,
  bobbinClassOf,
  type FindingId,
  type MeasuredBobbin,
  matchBobbin,
} from '@nodo/knowledge';
import type { MachineProfile } from '@nodo/shop';
import type { Measure } from '@nodo/ticket';
import { readNumber } from '../../../messages/typed.ts';

/** No bobbin measures more, in millimetres. */
const MOST = 100;

/** A bobbin as it lies on the bench: lengths in millimetres as they are typed. */
export interface TypedBobbinMeasures {
  readonly across: string;
  readonly width: string;
  readonly hole: string;
  /** Hole of the machine's own bobbin, where its card does not say. */
  readonly ownHole: string;
  readonly sides: 'flat' | 'curved';
  readonly material: 'plastic' | 'metal';
}

/** The machine that it shall go into. */
interface Takes {
  readonly traits: readonly string[];
  readonly takes: BobbinClassId | undefined;
  readonly service: MachineProfile['service'];
}

export interface BobbinReading {
  /** Undefined until both lengths are known. */
  readonly measured: MeasuredBobbin | undefined;
  readonly hole: number | undefined;
  /** Every class, the likest first. */
  readonly matches: readonly BobbinMatch[];
  /** The class that it is of, if it is of one. */
  readonly is: BobbinMatch | undefined;
  readonly takes: BobbinClass | undefined;
  /** How it fits the class that the machine takes. */
  readonly against: BobbinMatch | undefined;
  /** Held against the machine's own bobbin, measure by measure. */
  readonly own: ReturnType<typeof againstOwn>;
  readonly isLikeOwn: boolean;
  /** Whether there is anything to judge it by. */
  readonly isKnown: boolean;
  /** Of metal, in a case that is held by a magnet. */
  readonly isMetal: boolean;
}

/** What a bobbin is by its measures, and whether this machine takes it. */
export function readBobbin(
  typed: TypedBobbinMeasures,
  { traits, takes: takesId, service }: Takes,
): BobbinReading {
  const [across, width, hole] = [typed.across, typed.width, typed.hole].map(lengthOf);
  const measured =
    across !== undefined && width !== undefined ? { across, width, sides: typed.sides } : undefined;
  const matches = measured ? matchBobbin(measured) : [];
  const takes = takesId && bobbinClassOf(takesId);
  const against = matches.find(({ bobbin }) => bobbin.id === takes?.id);
  const own = againstOwn(
    { ...measured, ...(hole !== undefined && { hole }) },
    ownMeasures(service, lengthOf(typed.ownHole)),
  );
  return {
    measured,
    hole,
    matches,
    is: matches.find(({ fits }) => fits),
    takes,
    against,
    own,
    isLikeOwn: own.every(({ fits }) => fits),
    isKnown: against !== undefined || own.length > 0,
    isMetal: traits.includes('magnet-case') && typed.material === 'metal',
  };
}

/** What is kept of it as measures. */
export function bobbinMeasures({ measured, hole }: BobbinReading): readonly Measure[] {
  return BOBBIN_MEASURES.flatMap((measure): Measure[] => {
    const value = { ...measured, hole }[measure];
    return value === undefined ? [] : [{ quantity: `bobbin-${measure}`, value, when: 'found' }];
  });
}

/** The findings of its check that are seen on it. */
export function bobbinFindings({
  against,
  isLikeOwn,
  isMetal,
}: BobbinReading): readonly (FindingId | undefined)[] {
  const isOther = against?.fits === false || !isLikeOwn;
  return [isOther ? 'bobbin-other-class' : undefined, isMetal ? 'bobbin-metal' : undefined];
}

/** A length that a bobbin can have. */
function lengthOf(typed: string): number | undefined {
  const value = readNumber(typed);
  return value !== undefined && value > 0 && value < MOST ? value : undefined;
}

/** What the machine's own bobbin measures: by its card, and its hole as it was measured beside this one. */
function ownMeasures(service: MachineProfile['service'], hole: number | undefined) {
  const known = BOBBIN_MEASURES.flatMap((measure) => {
    const value = service[`bobbin-${measure}`];
    return value ? [[measure, [value.least, value.most]] as const] : [];
  });
  return {
    ...(hole !== undefined && { hole: [hole, hole] as const }),
    ...Object.fromEntries(known),
  };
}
