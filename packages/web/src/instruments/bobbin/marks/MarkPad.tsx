import { type ClockPlace, hourOf, placeOn } from '@nodo/core';
import type { MouseEvent, ReactNode } from 'react';
import { MAP_R } from '../../../drawing/surfaces/outlines.tsx';
import { SHEET_HALF } from '../../../drawing/surfaces/SurfaceMap.tsx';
import { instruments } from '../../../messages/instruments.ts';

/** One step of an arrow key: half an hour round, a tenth outwards. */
const HOUR_STEP = 0.5;
const OUT_STEP = 0.1;

/** Where the arrow keys begin. */
const START: ClockPlace = { hour: hourOf(0), out: 0.8 };

/** A map that marks are put on, by tapping it or by the arrow keys. */
export function MarkPad({
  place,
  onPlace,
  children,
}: {
  readonly place: ClockPlace | undefined;
  /** Undefined where nothing may be put on it. */
  readonly onPlace: ((place: ClockPlace) => void) | undefined;
  /** The map, a square sheet. */
  readonly children: ReactNode;
}) {
  return (
    <div className="relative w-full max-w-md">
      {children}
      {onPlace && (
        <button
          type="button"
          aria-label={instruments.marks.tap}
          className="absolute inset-0 cursor-crosshair touch-manipulation rounded-md"
          onClick={(event) => onPlace(tapped(event) ?? place ?? START)}
          onKeyDown={(event) => {
            const step = STEPS[event.key];
            if (!step) return;
            event.preventDefault();
            onPlace(place ? step(place) : START);
          }}
        />
      )}
    </div>
  );
}

/** Where on the map a finger or a mouse came down; undefined for a key press, which has no position. */
function tapped({ currentTarget, clientX, clientY, detail }: MouseEvent): ClockPlace | undefined {
  if (detail === 0) return undefined;
  const { left, top, width, height } = currentTarget.getBoundingClientRect();
  const along = (at: number, from: number, size: number) =>
    (((at - from) / size) * 2 - 1) * (SHEET_HALF / MAP_R);
  return placeOn({ x: along(clientX, left, width), y: along(clientY, top, height) });
}

const STEPS: Readonly<Record<string, (place: ClockPlace) => ClockPlace>> = {
  ArrowRight: (place) => ({ ...place, hour: turned(place.hour + HOUR_STEP) }),
  ArrowLeft: (place) => ({ ...place, hour: turned(place.hour - HOUR_STEP) }),
  ArrowUp: ({ hour, out }) => ({ hour, out: Math.min(1, out + OUT_STEP) }),
  ArrowDown: ({ hour, out }) => ({ hour, out: Math.max(0, out - OUT_STEP) }),
};

function turned(hour: number) {
  return hourOf((hour + 12) % 12);
}
