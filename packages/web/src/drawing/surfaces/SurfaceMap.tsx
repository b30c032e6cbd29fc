import { type ClockPlace, pointOn } from '@nodo/core';
import { type Family, type SurfaceId, surfaceOf } from '@nodo/knowledge';
import type { Mark } from '@nodo/ticket';
import { instruments } from '../../messages/instruments.ts';
import { MarkGlyph } from './MarkGlyph.tsx';
import { MAP_R, Outline } from './outlines.tsx';

/** Half the sheet: the map and the hours round it. */
export const SHEET_HALF = 60;

/** A map's places as lengths on its sheet. */
function onSheet(place: ClockPlace): readonly [x: number, y: number] {
  const { x, y } = pointOn(place);
  return [x * MAP_R, y * MAP_R];
}

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
      <circle r={MAP_R} fill="var(--sunk)" stroke="var(--edge)" strokeWidth="0.6" />
      <Hours />
      <Outline surface={id} family={family} />
      {surface.needle && <NeedleHere place={surface.needle} word={words.needle} />}
      {earlier.map((mark) => (
        <MarkGlyph key={mark.id} mark={mark} at={onSheet(mark)} scale={scale} isEarlier />
      ))}
      {marks.map((mark) => (
        <MarkGlyph
          key={mark.id}
          mark={mark}
          at={onSheet(mark)}
          scale={scale}
          label={numberOf(mark)}
        />
      ))}
      {pending && <Pending at={onSheet(pending)} />}
    </svg>
  );
}

function Hours() {
  const hours = Array.from({ length: 12 }, (_, place) => place + 1);
  return (
    <g stroke="var(--edge)" strokeWidth="0.8">
      {hours.map((hour) => {
        const at = (out: number) => {
          const angle = (hour / 6) * Math.PI;
          return [out * Math.sin(angle), -out * Math.cos(angle)] as const;
        };
        const [[x1, y1], [x2, y2], [tx, ty]] = [at(MAP_R), at(MAP_R + 3), at(MAP_R + 8)];
        return (
          <g key={hour}>
            <path d={`M${x1.toFixed(2)} ${y1.toFixed(2)}L${x2.toFixed(2)} ${y2.toFixed(2)}`} />
            <text
              x={tx}
              y={ty + 2}
              textAnchor="middle"
              fontSize={hour % 3 === 0 ? 6.4 : 5}
              fontWeight={hour % 3 === 0 ? 700 : 400}
              fill="var(--quiet)"
              stroke="none"
            >
              {hour}
            </text>
          </g>
        );
      })}
    </g>
  );
}

function NeedleHere({ place, word }: { readonly place: ClockPlace; readonly word: string }) {
  const [x, y] = onSheet(place);
  return (
    <g>
      <path d={`M${x - 2.4} ${y}H${x + 2.4}M${x} ${y - 2.4}V${y + 2.4}`} stroke="var(--quiet)" />
      <text
        x={x}
        y={y + 7}
        textAnchor="middle"
        fontSize="4"
        fill="var(--quiet)"
        stroke="var(--paper)"
        strokeWidth="1.4"
        paintOrder="stroke"
      >
        {word}
      </text>
    </g>
  );
}

function Pending({ at: [x, y] }: { readonly at: readonly [number, number] }) {
  return (
    <g data-pending stroke="var(--own)" strokeWidth="1.4">
      <circle cx={x} cy={y} r="5" />
      <path
        d={`M${x - 9} ${y}H${x - 5}M${x + 5} ${y}H${x + 9}M${x} ${y - 9}V${y - 5}M${x} ${y + 5}V${y + 9}`}
      />
    </g>
  );
}
