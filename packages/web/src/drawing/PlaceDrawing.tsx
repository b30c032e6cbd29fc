import type { Family, Place } from '@nodo/knowledge';
import { Detail, hasDetail } from './detail/Detail.tsx';
import { MachineDrawing } from './MachineDrawing.tsx';

/** Where the hand goes: on the machine, and from near where there is more to see. */
export function PlaceDrawing(props: {
  readonly family: Family;
  readonly place: Place;
  readonly presserDown: boolean;
}) {
  return (
    <div className="flex shrink-0 flex-wrap content-start items-start gap-3 xl:w-60">
      <Detail {...props} />
      <MachineDrawing {...props} small={hasDetail(props.place)} />
    </div>
  );
}
