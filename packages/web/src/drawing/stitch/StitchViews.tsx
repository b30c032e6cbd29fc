import { OPENING_SHARE } from '@nodo/core';
import { memo, useId } from 'react';
import { instruments } from '../../messages/instruments.ts';
import { DrawnText } from '../DrawnText.tsx';
import { ScaleBar } from '../needle/NeedleViews.tsx';
import { bladeSection, eyeLength, lineOf, TIP } from './needleShape.ts';
import {
  bentOff,
  type Fixed,
  fixedIn,
  type Picture,
  type PictureSet,
  type Place,
  pictureAt,
} from './stitchPicture.ts';

/** The section's edges, and what is seen above the plate and beside the hook; millimetres. */
const SECTION = { left: -8, right: 7 };
const ABOVE = 7;
const BESIDE_HOOK = 1.5;
const EDGE_ON = 13;
/** How deep hook and case reach over an upright axis. */
const BASKET = 8;
const BETWEEN = 1.5;
/** The case stands so far before the needle, and so far within the hook; drawn so, no machine's. */
const CASE = { before: 1.7, within: 3.2, below: 0.8 };
const PLATE = { thick: 1, hole: 1.2 };
const FOOT = { thick: 1, slot: 2.4 };

/** Needle, thread, loop, hook, case and fabric at one moment, in section and from behind, to one scale. */
export function StitchViews({
  set,
  step,
  account,
}: {
  readonly set: PictureSet;
  readonly step: number;
  readonly account: string;
}) {
  const id = useId();
  const fixed = fixedIn(set);
  const bottom = bottomOf(fixed);
  const half = halfOf(fixed);
  const wide = SECTION.right - SECTION.left + BETWEEN + 2 * half;
  const words = instruments.stitch.drawing;
  const section = pictureAt(set, step, 'section');
  const behind = pictureAt(set, step, 'behind');
  const middle = SECTION.right + BETWEEN + half;
  return (
    <svg
      viewBox={`${SECTION.left} ${-ABOVE} ${wide} ${ABOVE + bottom}`}
      role="img"
      aria-label={account}
      fill="none"
      stroke="var(--ink)"
      strokeWidth="0.14"
      strokeLinejoin="round"
      preserveAspectRatio="xMinYMin"
      className="block max-h-80 w-full"
      data-stitch-views
    >
      <clipPath id={`${id}-section`}>
        <path d={`M${SECTION.left} ${-ABOVE}H${SECTION.right}V${bottom}H${SECTION.left}Z`} />
      </clipPath>
      <clipPath id={`${id}-behind`}>
        <path d={`M${-half} ${-ABOVE}H${half}V${bottom}H${-half}Z`} />
      </clipPath>
      <g clipPath={`url(#${id}-section)`} data-view="section">
        <FixedSection fixed={fixed} bottom={bottom} />
        <MovingSection set={set} fixed={fixed} picture={section} />
      </g>
      <g transform={`translate(${middle} 0)`} clipPath={`url(#${id}-behind)`} data-view="behind">
        <FixedBehind fixed={fixed} half={half} />
        <MovingBehind set={set} fixed={fixed} picture={behind} />
      </g>
      <DrawnText x={SECTION.left} y={-ABOVE + 1.4} size={1.3} fill="var(--quiet)" stroke="none">
        {words.section}
      </DrawnText>
      <DrawnText x={middle - half} y={-ABOVE + 1.4} size={1.3} fill="var(--quiet)" stroke="none">
        {words.behind}
      </DrawnText>
      <ScaleBar
        x={middle + half - 6}
        y={bottom - 0.5}
        length={5}
        label={words.bar(5)}
        letters={1.2}
      />
    </svg>
  );
}

/** What is seen of the hook from behind to either side: all of a disc, the middle of a rim that is seen edge on. */
function halfOf({ axis, radius }: Fixed): number {
  return axis === 'level' ? radius + BESIDE_HOOK : EDGE_ON;
}

function bottomOf({ axis, pointUp, radius }: Fixed): number {
  return -pointUp + (axis === 'level' ? 2 * radius : BASKET) + 2;
}

const FixedSection = memo(function FixedSection({
  fixed,
  bottom,
}: {
  readonly fixed: Fixed;
  readonly bottom: number;
}) {
  const words = instruments.stitch.drawing;
  const top = -fixed.pointUp + CASE.below;
  const left = SECTION.left - 1;
  return (
    <g>
      <path
        d={`M${left} 0H${-PLATE.hole}V${PLATE.thick}H${left}ZM${SECTION.right + 1} 0H${PLATE.hole}V${PLATE.thick}H${SECTION.right + 1}Z`}
        fill="var(--sunk)"
        stroke="var(--edge)"
      />
      <path
        d={`M${left} ${top}H${-CASE.before}V${bottom - 1}H${left}Z`}
        fill="var(--paper)"
        stroke="var(--edge)"
        strokeDasharray="0.6 0.4"
      />
      <DrawnText x={SECTION.left + 0.5} y={top + 2.2} size={1.2} fill="var(--quiet)" stroke="none">
        {words.case}
      </DrawnText>
    </g>
  );
});

function MovingSection({
  set,
  fixed,
  picture,
}: {
  readonly set: PictureSet;
  readonly fixed: Fixed;
  readonly picture: Picture;
}) {
  const { eye, point, rise } = picture;
  const [pointRight, pointUp] = point;
  const shape = {
    half: fixed.half,
    scarf: fixed.scarf,
    facing: set.question.seat.backward ? (-1 as const) : (1 as const),
    off: (above: number) => bentOff(set, above),
  };
  const outline = bladeSection(shape, 40).map(([right, up]): Place => [right, up + eye[1]]);
  const thick = fixed.hookPoint;
  const body = fixed.axis === 'level' ? 2 * fixed.radius : BASKET;
  return (
    <g>
      {/* The hook's rim, behind its point; it goes round, so that it is there at every moment. */}
      <path
        d={`M${fixed.hookFace + 0.1} ${-fixed.pointUp + 1.3}h1.8V${-fixed.pointUp + body}h-1.8Z`}
        fill="var(--sunk)"
        stroke="var(--edge)"
      />
      <Fabric rise={rise} thick={fixed.fabric} left={SECTION.left - 1} right={SECTION.right + 1} />
      <path
        d={lineOf(picture.front)}
        stroke="var(--above)"
        strokeWidth={set.question.thread}
        data-thread="front"
      />
      <path d={`${lineOf(outline)}Z`} fill="var(--paper)" data-needle />
      <path
        d={`M${eye[0] - fixed.half} ${-eye[1]}h${2 * fixed.half}m0 ${eyeLength(fixed.half)}h${-2 * fixed.half}`}
        strokeWidth="0.08"
        data-eye
      />
      <path
        d={lineOf(picture.back)}
        stroke="var(--above)"
        strokeWidth={set.question.thread}
        data-thread="back"
      />
      <path
        d={`M${pointRight} ${-pointUp}l${thick} 0.15l0.5 1.2h${-thick - 0.5}Z`}
        fill={picture.isPointAway ? 'none' : 'var(--ink)'}
        strokeDasharray={picture.isPointAway ? '0.25 0.2' : undefined}
        data-point
      />
    </g>
  );
}

function Fabric({
  rise,
  thick,
  left,
  right,
}: {
  readonly rise: number;
  readonly thick: number;
  readonly left: number;
  readonly right: number;
}) {
  const sole = -rise - thick;
  return (
    <g>
      <path
        d={`M${left} ${-rise}H${right}V${sole}H${left}Z`}
        fill="var(--cloth)"
        stroke="var(--edge)"
      />
      <path
        d={`M${left} ${sole}H${-FOOT.slot}v${-FOOT.thick}H${left}ZM${right} ${sole}H${FOOT.slot}v${-FOOT.thick}H${right}Z`}
        fill="var(--sunk)"
        stroke="var(--edge)"
      />
    </g>
  );
}

const FixedBehind = memo(function FixedBehind({
  fixed,
  half,
}: {
  readonly fixed: Fixed;
  readonly half: number;
}) {
  const { radius, pointUp, axis } = fixed;
  const within = radius - CASE.within;
  const top = -pointUp;
  return (
    <g>
      <path d={`M${-half} 0H${half}V${PLATE.thick}H${-half}Z`} fill="var(--sunk)" stroke="none" />
      {axis === 'level' ? (
        <circle
          cx={0}
          cy={top + radius}
          r={within}
          stroke="var(--edge)"
          strokeDasharray="0.6 0.4"
        />
      ) : (
        <path
          d={`M${-within} ${top + CASE.below}H${within}V${top + BASKET - 1}H${-within}Z`}
          stroke="var(--edge)"
          strokeDasharray="0.6 0.4"
        />
      )}
    </g>
  );
});

function MovingBehind({
  set,
  fixed,
  picture,
}: {
  readonly set: PictureSet;
  readonly fixed: Fixed;
  readonly picture: Picture;
}) {
  const { eye, rise } = picture;
  const [across, eyeUp] = eye;
  const { half, scarf } = fixed;
  const isBackward = set.question.seat.backward;
  const blade = `M${across - half} -40V${-eyeUp + eyeLength(half)}L${across} ${-eyeUp + TIP}L${across + half} ${-eyeUp + eyeLength(half)}V-40Z`;
  const edge = halfOf(fixed);
  return (
    <g>
      <path d={blade} fill="var(--paper)" data-needle />
      {!isBackward && (
        <path
          d={`M${across} ${-eyeUp - 0.1}v${-scarf.length}`}
          stroke="var(--edge)"
          strokeWidth={half}
        />
      )}
      <ellipse
        cx={across}
        cy={-eyeUp + eyeLength(half) / 2}
        rx={OPENING_SHARE * half}
        ry={eyeLength(half) / 2}
        fill="var(--sunk)"
        strokeWidth="0.08"
        data-eye
      />
      <Fabric rise={rise} thick={fixed.fabric} left={-edge} right={edge} />
      <HookBehind fixed={fixed} picture={picture} passes={set.question.set.former.hook.passes} />
      <path
        d={lineOf(picture.back)}
        stroke="var(--above)"
        strokeWidth={set.question.thread}
        data-thread="back"
      />
    </g>
  );
}

/** The hook from behind: its disc over a level axis, its rim over an upright one. */
function HookBehind({
  fixed,
  picture,
  passes,
}: {
  readonly fixed: Fixed;
  readonly picture: Picture;
  readonly passes: 1 | -1;
}) {
  const { radius, pointUp, axis } = fixed;
  const words = instruments.stitch.drawing;
  const [right, up] = picture.point;
  // From behind, what passes to the right goes to the left.
  const ahead = -passes;
  const look = picture.isPointAway
    ? ({ fill: 'none', strokeDasharray: '0.25 0.2' } as const)
    : ({ fill: 'var(--ink)' } as const);
  if (axis === 'upright') {
    return (
      <g>
        <path
          d={`M${-radius} ${-pointUp + 1.3}H${radius}V${-pointUp + BASKET}H${-radius}Z`}
          fill="var(--sunk)"
          fillOpacity="0.75"
          stroke="var(--edge)"
        />
        <path d={`M${right} ${-up}l${-ahead * 5} 1.3h${ahead * 4.6}Z`} {...look} data-point />
        <DrawnText
          x={-EDGE_ON + 0.6}
          y={-pointUp + 3.6}
          size={1.2}
          fill="var(--quiet)"
          stroke="none"
        >
          {words.hook}
        </DrawnText>
      </g>
    );
  }
  const centre = pointUp - radius;
  const turned = Math.atan2(right, up - centre);
  const on = (angle: number, r: number): Place => [
    r * Math.sin(turned - ahead * angle),
    centre + r * Math.cos(turned - ahead * angle),
  ];
  const rim = Array.from({ length: 61 }, (_, part) => on(0.3 + (part / 60) * 4.9, radius - 0.8));
  return (
    <g>
      <path d={lineOf(rim)} stroke="var(--edge)" strokeWidth="1.6" />
      <path
        d={`${lineOf([[right, up], on(0.32, radius), on(0.32, radius - 1.6), on(0.1, radius - 0.7)])}Z`}
        {...look}
        data-point
      />
      <DrawnText x={-radius / 2} y={-centre} size={1.2} fill="var(--quiet)" stroke="none">
        {words.hook}
      </DrawnText>
    </g>
  );
}
