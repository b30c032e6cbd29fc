import type { Family, Place } from '@nodo/knowledge';
import { Detail, hasDetail } from './detail/Detail.tsx';
import { MachineDrawing } from './MachineDrawing.tsx';

interface PlaceDrawingProps {
  readonly family: Family;
  readonly place: Place;
  readonly presserDown: boolean;
}

/** Where the hand goes: on the machine, and from near where there is more to see. */
export function PlaceDrawing(props: PlaceDrawingProps) {
  return (
    <div className="flex shrink-0 flex-wrap content-start items-start gap-3">
      <Detail {...props} />
      <MachineDrawing {...props} small={hasDetail(props.place)} />
    </div>
  );
}

/** The same in one drawing that stands beside a few lines of text: from near where it can be. */
export function PlaceBeside(props: PlaceDrawingProps) {
  return (
    <div className="[&>svg]:h-38 [&>svg]:w-auto">
      {hasDetail(props.place) ? <Detail {...props} /> : <MachineDrawing {...props} small />}
    </div>
  );
}
