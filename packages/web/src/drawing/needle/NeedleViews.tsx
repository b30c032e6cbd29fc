import { OPENING_SHARE } from '@nodo/core';
import type { NeedleSystem } from '@nodo/knowledge';
import { instruments } from '../../messages/instruments.ts';
import { DrawnText } from '../DrawnText.tsx';
import type { Box } from '../Taps.tsx';
import {
  bladeOutline,
  eyeSpan,
  type NeedleShape,
  seenFrom,
  shankEdges,
  VIEWS,
  type View,
} from './shape.ts';

/** Pixels a millimetre: one scale for all views from the side. */
const VIEW_SCALE = 8;

const VIEW_NAMES = Object.keys(VIEWS) as View[];
/** Room above the shank's place for the clamp, and below for a needle that hangs low. */
const ABOVE = 3;
const BELOW = 4.6;
const HALF = 4.6;
const CLAMP_LENGTH = 10;

interface NeedleViewsProps {
  readonly shape: NeedleShape;
  /** How far it hangs below its stop, mm. */
  readonly low: number;
  /** Azimuth to which its scarf faces. */
  readonly scarf: number;
  readonly account: string;
}

/** The needle in its clamp from the front, the back and the side, all to one scale. */
export function NeedleViews({ shape, low, scarf, account }: NeedleViewsProps) {
  const height = ABOVE + shape.system.whole + BELOW;
  const width = HALF * 2 * VIEW_NAMES.length;
  const words = instruments.needle.drawing;
  return (
    <svg
      data-scale={VIEW_SCALE}
      width={width * VIEW_SCALE}
      height={(height + 3.4) * VIEW_SCALE}
      viewBox={`0 ${-ABOVE} ${width} ${height + 3.4}`}
      role="img"
      aria-label={account}
      fill="none"
      stroke="var(--ink)"
      strokeWidth="0.16"
      strokeLinejoin="round"
      strokeLinecap="round"
      className="shrink-0"
    >
      {VIEW_NAMES.map((view, index) => (
        <g key={view} transform={`translate(${HALF * (2 * index + 1)} 0)`} data-view={view}>
          <OneView shape={shape} view={view} low={low} scarf={scarf} />
          <DrawnText
            y={height - ABOVE + 2.8}
            textAnchor="middle"
            size={1.5}
            fill="var(--ink)"
            stroke="none"
          >
            {words.views[view]}
          </DrawnText>
        </g>
      ))}
      <ScaleBar x={0.6} y={shape.system.whole + BELOW} length={10} label={words.bar(10)} />
    </svg>
  );
}

function OneView({
  shape,
  view,
  low,
  scarf,
}: Pick<NeedleViewsProps, 'shape' | 'low' | 'scarf'> & { readonly view: View }) {
  const { system, blade } = shape;
  const [left, right] = shankEdges(shape, view, scarf);
  const back = seenFrom(view, scarf);
  const groove = seenFrom(view, scarf + 180);
  const [eyeTop, eyeEnd] = eyeSpan(shape);
  const open = Math.abs(back.facing);
  const r = blade / 2;
  return (
    <>
      <path
        d={`M-3 ${-1.6}H3V${CLAMP_LENGTH}H-3Z`}
        fill="var(--sunk)"
        stroke="var(--edge)"
        strokeWidth="0.12"
      />
      <path d={`M-2.6 0H2.6`} stroke="var(--lit)" strokeWidth="0.3" />
      <g transform={`translate(0 ${low})`} data-needle>
        <rect
          data-shank
          x={left}
          y={0}
          width={right - left}
          height={system.shankLength}
          fill="var(--paper)"
        />
        {system.flat && back.facing > 0.3 && (
          <rect
            x={back.off * 0.5 - 0.62 * back.facing}
            y={0.4}
            width={1.24 * back.facing}
            height={system.shankLength - 1}
            fill="var(--cloth)"
            stroke="var(--edge)"
            strokeWidth="0.08"
          />
        )}
        <path d={bladeOutline(shape, view, scarf)} fill="var(--paper)" />
        {groove.facing > 0.25 && (
          <path
            d={`M${groove.off * r * 0.6} ${system.shankLength + 1.4}V${eyeTop - 0.2}`}
            stroke="var(--above)"
            strokeWidth={0.26 * groove.facing}
          />
        )}
        {back.facing > 0.25 && (
          <ellipse
            data-scarf
            cx={back.off * r * 0.5}
            cy={eyeTop - system.scarfLength / 2}
            rx={r * 0.72 * back.facing}
            ry={system.scarfLength / 2}
            fill="var(--sunk)"
            stroke="var(--lit)"
            strokeWidth="0.18"
          />
        )}
        {open > 0.2 && (
          <ellipse
            cx={0}
            cy={(eyeTop + eyeEnd) / 2}
            rx={(OPENING_SHARE / 2) * blade * open}
            ry={(eyeEnd - eyeTop) / 2}
            fill="var(--ground)"
            strokeWidth="0.1"
          />
        )}
      </g>
      {low > 0 && (
        <path
          d={`M1.6 0V${low}M1.2 ${Math.min(0.6, low)}L1.6 0L2 ${Math.min(0.6, low)}M1.2 ${Math.max(0, low - 0.6)}L1.6 ${low}L2 ${Math.max(0, low - 0.6)}`}
          stroke="var(--lit)"
          strokeWidth="0.22"
        />
      )}
    </>
  );
}

/** A scale bar beside the drawing. */
export function ScaleBar({
  x,
  y,
  length,
  label,
  letters = length * 0.15,
}: {
  readonly x: number;
  readonly y: number;
  /** In millimetres. */
  readonly length: number;
  readonly label: string;
  /** Height of its letters, in millimetres. */
  readonly letters?: number;
}) {
  const tick = length / 16;
  return (
    <g>
      <path
        data-bar={length}
        d={`M${x} ${y}H${x + length}`}
        stroke="var(--quiet)"
        strokeWidth={length / 50}
        strokeLinecap="butt"
      />
      <path
        d={`M${x} ${y - tick}V${y + tick}M${x + length} ${y - tick}V${y + tick}`}
        stroke="var(--quiet)"
        strokeWidth={length / 50}
      />
      <DrawnText x={x} y={y - tick * 1.6} size={letters} fill="var(--quiet)" stroke="none">
        {label}
      </DrawnText>
    </g>
  );
}

/** Pixels a millimetre of the view from below. */
const BELOW_SCALE = 36;

/** Half of its height and of its width, mm: the sides are named beside it. */
const [HALF_BELOW, ASIDE] = [2.2, 2.55];
export const BELOW_BOX: Box = [-ASIDE, -HALF_BELOW, 2 * ASIDE, 2 * HALF_BELOW];

/** The needle from below, the point towards whoever looks: where scarf, groove and hook are. */
export function NeedleFromBelow({
  system,
  blade,
  scarf,
  target,
  account,
}: {
  readonly system: NeedleSystem;
  readonly blade: number;
  /** Azimuths: where its scarf faces, where it should. */
  readonly scarf: number;
  readonly target: number;
  readonly account: string;
}) {
  const R = system.shank / 2;
  const r = blade / 2;
  // From below, with the back at the top, right and left change places.
  const at = (azimuth: number, radius: number) => {
    const a = (azimuth * Math.PI) / 180;
    return [-Math.sin(a) * radius, -Math.cos(a) * radius] as const;
  };
  const [hx, hy] = at(target, 1.55);
  const [gx, gy] = at(scarf + 180, r * 0.72);
  const words = instruments.needle.drawing;
  return (
    <svg
      data-scale={BELOW_SCALE}
      width={2 * ASIDE * BELOW_SCALE}
      height={2 * HALF_BELOW * BELOW_SCALE}
      viewBox={BELOW_BOX.join(' ')}
      role="img"
      aria-label={account}
      fill="none"
      stroke="var(--ink)"
      strokeWidth="0.04"
      className="shrink-0"
    >
      <circle r={1.3} stroke="var(--rule)" strokeDasharray="0.06 0.08" />
      <g transform={`rotate(${-scarf})`}>
        {system.flat ? (
          <path
            data-shank
            d={`M${-R * 0.8} ${-R * 0.6}A${R} ${R} 0 1 0 ${R * 0.8} ${-R * 0.6}Z`}
            fill="var(--sunk)"
          />
        ) : (
          <circle data-shank r={R} fill="var(--sunk)" />
        )}
        <circle r={r} fill="var(--paper)" />
        <path
          d={`M${-r * 0.82} ${-r * 0.55}Q0 ${-r * 0.1} ${r * 0.82} ${-r * 0.55}`}
          stroke="var(--lit)"
          strokeWidth="0.07"
        />
      </g>
      <circle cx={gx} cy={gy} r={0.1} fill="var(--above)" stroke="none" />
      <g transform={`translate(${hx} ${hy}) rotate(${-target})`}>
        <path
          d="M-0.62 -0.16L0.4 -0.02L0.62 0.1L0.1 0.1L-0.62 0.18Z"
          fill="var(--cloth)"
          stroke="var(--ink)"
        />
      </g>
      {SIDES.map(([side, azimuth]) => {
        const [x, y] = at(azimuth, 1.94);
        return (
          <DrawnText
            key={side}
            x={x * 0.94}
            y={y + 0.07}
            textAnchor="middle"
            size={0.3}
            fill="var(--quiet)"
            stroke="none"
          >
            {azimuth === ((target % 360) + 360) % 360 ? words.hook : words.sides[side]}
          </DrawnText>
        );
      })}
      <ScaleBar
        x={-ASIDE + 0.1}
        y={HALF_BELOW - 0.12}
        length={1}
        label={words.bar(1)}
        letters={0.3}
      />
    </svg>
  );
}

const SIDES = [
  ['back', 0],
  ['right', 90],
  ['front', 180],
  ['left', 270],
] as const;
