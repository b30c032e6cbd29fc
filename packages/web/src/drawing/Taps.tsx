import type { MouseEvent, ReactNode } from 'react';

/** A part of a drawing that answers: where it lies, in the units of the drawing's box, and what a tap on it says. */
export interface TapSpot<Id extends string> {
  readonly id: Id;
  readonly label: string;
  readonly at: readonly [x: number, y: number, wide: number, tall: number];
}

/** The box of a drawing, as its `viewBox` says it. */
export type Box = readonly [x: number, y: number, wide: number, tall: number];

interface Tapped {
  readonly box: Box;
  /** How wide it may be; as wide as the drawing where that has a width of its own. */
  readonly className?: string;
  readonly children: ReactNode;
}

/**
 * Parts of a drawing to tap. The questions beside it take the same answers by name and by key, so that the parts are
 * no stop for the keyboard.
 */
export function TapSpots<Id extends string>({
  box: [left, top, wide, tall],
  spots,
  onTap,
  className = '',
  children,
}: Tapped & {
  readonly spots: readonly TapSpot<Id>[];
  readonly onTap: (id: Id) => void;
}) {
  const share = (part: number, whole: number) => `${((part / whole) * 100).toFixed(2)}%`;
  return (
    <div className={`relative max-w-full ${className || 'w-fit'}`}>
      {children}
      {spots.map(({ id, label, at: [x, y, w, h] }) => (
        <button
          key={id}
          type="button"
          aria-label={label}
          title={label}
          tabIndex={-1}
          data-tap={id}
          className="absolute cursor-pointer touch-manipulation rounded-md border-2 border-transparent hover:border-edge"
          style={{
            left: share(x - left, wide),
            top: share(y - top, tall),
            width: share(w, wide),
            height: share(h, tall),
          }}
          onClick={() => onTap(id)}
        />
      ))}
    </div>
  );
}

/** Where a drawing was touched, in the units of its box. */
function placeOn(
  [left, top, wide, tall]: Tapped['box'],
  { currentTarget, clientX, clientY }: MouseEvent<HTMLButtonElement>,
): readonly [x: number, y: number] {
  const shown = currentTarget.getBoundingClientRect();
  return [
    left + ((clientX - shown.left) / shown.width) * wide,
    top + ((clientY - shown.top) / shown.height) * tall,
  ];
}

/** A drawing on which something is taken with a finger or the mouse and moved, in the units of its box. */
export function DragPlace({
  box,
  label,
  onTake,
  onMove,
  className = '',
  children,
}: Tapped & {
  readonly label: string;
  readonly onTake: (x: number, y: number) => void;
  readonly onMove: (x: number, y: number) => void;
}) {
  return (
    <div className={`relative max-w-full ${className || 'w-fit'}`}>
      {children}
      <button
        type="button"
        aria-label={label}
        title={label}
        tabIndex={-1}
        data-tap="drag"
        className="absolute inset-0 cursor-grab touch-none rounded-md border-2 border-transparent hover:border-edge"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          onTake(...placeOn(box, event));
        }}
        onPointerMove={(event) => {
          if (event.currentTarget.hasPointerCapture(event.pointerId))
            onMove(...placeOn(box, event));
        }}
      />
    </div>
  );
}

/** A drawing that takes a place by a tap anywhere on it, in the units of its box. */
export function TapPlace({
  box,
  label,
  onTap,
  className = '',
  children,
}: Tapped & {
  readonly label: string;
  readonly onTap: (x: number, y: number) => void;
}) {
  return (
    <div className={`relative max-w-full ${className || 'w-fit'}`}>
      {children}
      <button
        type="button"
        aria-label={label}
        title={label}
        tabIndex={-1}
        data-tap="place"
        className="absolute inset-0 cursor-crosshair touch-manipulation rounded-md border-2 border-transparent hover:border-edge"
        onClick={(event) => onTap(...placeOn(box, event))}
      />
    </div>
  );
}
