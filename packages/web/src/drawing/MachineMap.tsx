import type { Family, Place } from '@nodo/knowledge';
import type { MouseEvent } from 'react';
import { later } from '../messages/later.ts';
import { bodyOf } from './body/bodies.ts';
import { placeNearest, spotsOf } from './body/body.ts';
import { boxOf, MachineDrawing } from './MachineDrawing.tsx';

/**
 * A machine to be tapped where it hurts: a tap takes the place next to it, the list beside it takes
 * each by name and by key.
 */
export function MachineMap({
  family,
  place,
  onPlace,
}: {
  readonly family: Family;
  readonly place: Place | undefined;
  readonly onPlace: (place: Place) => void;
}) {
  const body = bodyOf(family.id);
  const tapped = ({ currentTarget, clientX, clientY }: MouseEvent<HTMLButtonElement>) => {
    const box = currentTarget.querySelector('svg')?.getBoundingClientRect();
    // A key press has no place: the list is for it.
    if (!box || (clientX === 0 && clientY === 0)) return;
    const [left, top, width, height] = boxOf(body);
    const nearest = placeNearest(
      body,
      left + ((clientX - box.left) / box.width) * width,
      top + ((clientY - box.top) / box.height) * height,
    );
    if (nearest) onPlace(nearest);
  };
  return (
    <div className="flex flex-wrap items-start gap-6">
      <button
        type="button"
        aria-label={later.drawing.tap}
        tabIndex={-1}
        onClick={tapped}
        className="rounded-lg hover:bg-sunk [&>svg]:w-[min(26rem,80vw)]"
      >
        <MachineDrawing family={family} place={place ?? 'talk'} presserDown={false} />
      </button>
      <ul className="flex min-w-64 flex-1 flex-wrap gap-2" aria-label={later.drawing.places}>
        {[...spotsOf(body).keys()].map((one) => (
          <li key={one}>
            <button
              type="button"
              aria-pressed={place === one}
              onClick={() => onPlace(one)}
              className="choice min-h-11 rounded-md px-3"
            >
              {later.places[one]}
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
