import type { ClockPlace } from '@nodo/core';
import { type Family, type SurfaceId, surfaceOf } from '@nodo/knowledge';
import type { Mark } from '@nodo/ticket';
import { instruments } from '../../messages/instruments.ts';
import { ClockRing, onRing } from '../ClockRing.tsx';
import { DrawnText } from '../DrawnText.tsx';
import { MarkGlyph } from './MarkGlyph.tsx';
import { MAP_R, Outline } from './outlines.tsx';

/** Half the sheet: the map and the hours round it. */
export const SHEET_HALF = 60;

/** A surface with the hours round it, the marks on it now, and those of earlier visits dashed. */
export function SurfaceMap({
  surface: id,
  family,
  marks,
  earlier,
  pending,
  numberOf,
}: {
  readonly surface: SurfaceId;
  readonly family: Family;
  readonly marks: readonly Mark[];
  readonly earlier: readonly Mark[];
  readonly pending: ClockPlace | undefined;
  readonly numberOf: (mark: Mark) => string;
}) {
  const surface = surfaceOf(id);
  const words = instruments.marks;
  /** Lengths on the sheet a millimetre is. */
  const scale = (2 * MAP_R) / surface.across;
  return (
    <svg
      viewBox={`${-SHEET_HALF} ${-SHEET_HALF} ${2 * SHEET_HALF} ${2 * SHEET_HALF}`}
      role="img"
      aria-label={words.map(surface.title, marks.length + earlier.length)}
      data-surface={id}
      className="block w-full"
      fill="none"
      stroke="var(--ink)"
      strokeWidth="1"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      <ClockRing radius={MAP_R} tick={3} numbers />
      <Outline surface={id} family={family} />
      {surface.needle && <NeedleHere place={surface.needle} word={words.needle} />}
      {earlier.map((mark) => (
        <MarkGlyph key={mark.id} mark={mark} at={onRing(mark, MAP_R)} scale={scale} isEarlier />
      ))}
      {marks.map((mark) => (
        <MarkGlyph
          key={mark.id}
          mark={mark}
          at={onRing(mark, MAP_R)}
          scale={scale}
          label={numberOf(mark)}
        />
      ))}
      {pending && <Pending at={onRing(pending, MAP_R)} />}
    </svg>
  );
}

function NeedleHere({ place, word }: { readonly place: ClockPlace; readonly word: string }) {
  const [x, y] = onRing(place, MAP_R);
  return (
    <g>
      <path d={`M${x - 2.4} ${y}H${x + 2.4}M${x} ${y - 2.4}V${y + 2.4}`} stroke="var(--quiet)" />
      <DrawnText
        x={x}
        y={y + 7}
        textAnchor="middle"
        size={4}
        fill="var(--quiet)"
        stroke="var(--paper)"
        strokeWidth="1.4"
        paintOrder="stroke"
      >
        {word}
      </DrawnText>
    </g>
  );
}

function Pending({ at: [x, y] }: { readonly at: readonly [number, number] }) {
  return (
    <g data-pending stroke="var(--lit)" strokeWidth="1.4">
      <circle cx={x} cy={y} r="5" />
      <path
        d={`M${x - 9} ${y}H${x - 5}M${x + 5} ${y}H${x + 9}M${x} ${y - 9}V${y - 5}M${x} ${y + 5}V${y + 9}`}
      />
    </g>
  );
}
