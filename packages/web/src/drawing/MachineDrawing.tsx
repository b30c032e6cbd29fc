import type { Family, Place } from '@nodo/knowledge';
import { later } from '../messages/later.ts';
import { BodyDrawn } from './body/BodyDrawn.tsx';
import { bodyOf } from './body/bodies.ts';
import { type Body, PATH_POINTS, type PathPoint, type Spot, spotsOf } from './body/body.ts';
import { NUMBERS_WIDE, numberedOn, PathNumbers } from './body/PathNumbers.tsx';
import { DrawnText } from './DrawnText.tsx';

const FLOOR = 346;
/** Room above the highest part, for a number or a ring. */
const HEADROOM = 26;

/** What is drawn of a body: left, top, width, height. Numbers of the thread's way stand left of it. */
export function boxOf(body: Body): readonly [number, number, number, number] {
  const top = body.top - HEADROOM;
  return [-NUMBERS_WIDE, top, 348 + NUMBERS_WIDE, FLOOR - top];
}

/** Places that are told by the numbers of the thread's way; which of them, where it is not the whole. */
const NUMBERED: ReadonlyMap<Place, ReadonlySet<PathPoint>> = new Map([
  ['path', new Set(PATH_POINTS)],
  ['check-spring', new Set<PathPoint>(['check-spring'])],
  ['dial', new Set<PathPoint>(['discs'])],
]);

export function isNumbered(place: Place): boolean {
  return NUMBERED.has(place);
}

interface MachineDrawingProps {
  readonly family: Family;
  readonly place: Place;
  readonly presserDown: boolean;
  /** Beside a drawing from near. */
  readonly small?: boolean;
}

/** A machine of the family from the front, with its own thread path, and one place lit or the path numbered. */
export function MachineDrawing({ family, place, presserDown, small = false }: MachineDrawingProps) {
  const body = bodyOf(family.id);
  const lit = NUMBERED.get(place);
  const spot = place === 'talk' || lit ? undefined : spotsOf(body).get(place);
  const account =
    spot || lit
      ? later.drawing.account(family.title, later.places[place])
      : later.drawing.plain(family.title);
  return (
    <svg
      viewBox={boxOf(body).join(' ')}
      role="img"
      aria-label={account}
      className={`shrink-0 self-start ${small ? 'w-36' : 'w-60 sm:w-64 xl:w-72'}`}
      fill="none"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      <BodyDrawn body={body} presserDown={presserDown} />
      <g strokeWidth="2.4">
        {(['above', 'below'] as const).flatMap((side) =>
          body.furtherThreads?.[side].map((path) => (
            <path key={path} d={path} stroke={`var(--${side})`} />
          )),
        )}
        <path d={body.thread} stroke="var(--above)" />
      </g>
      {place === 'discs' && <PullArrow body={body} told={!small} />}
      {lit && <PathNumbers points={numberedOn(body)} lit={lit} radius={small ? 17 : 14} />}
      {spot && <Ring spot={spot} text={small ? undefined : later.places[place]} />}
    </svg>
  );
}

/** Which way the thread is drawn by hand: from the needle to the front. */
function PullArrow({
  body: { needles, plate },
  told,
}: {
  readonly body: Body;
  readonly told: boolean;
}) {
  const [needle = 0] = needles;
  return (
    <g stroke="var(--above)" strokeWidth="2.6">
      <path
        d={`M${needle} ${plate - 14}C${needle - 8} ${plate + 10} ${needle - 22} ${plate + 28} ${needle - 44} ${plate + 44}`}
        strokeDasharray="5 5"
      />
      <path d={`M${needle - 34} ${plate + 34}l-12 11 16 4`} />
      {told && (
        <DrawnText
          x={needle - 40}
          y={plate + 70}
          fill="var(--ink)"
          stroke="var(--paper)"
          strokeWidth="5"
          paintOrder="stroke"
          size={17}
          fontWeight="600"
        >
          {later.drawing.drawHere}
        </DrawnText>
      )}
    </g>
  );
}

/** A place with its name, on the side where there is room for it. */
function Ring({
  spot: { x, y, r },
  text,
}: {
  readonly spot: Spot;
  /** Left out where the machine is too small for words. */
  readonly text: string | undefined;
}) {
  const isLeft = x > 174;
  return (
    <g>
      <circle cx={x} cy={y} r={r} stroke="var(--lit)" strokeWidth="3" strokeDasharray="7 5" />
      {text !== undefined && (
        <DrawnText
          x={isLeft ? x - r - 6 : x + r + 6}
          y={y + 6}
          textAnchor={isLeft ? 'end' : 'start'}
          size={19}
          fontWeight="700"
          fill="var(--ink)"
          stroke="var(--paper)"
          strokeWidth="5"
          paintOrder="stroke"
        >
          {text}
        </DrawnText>
      )}
    </g>
  );
}
