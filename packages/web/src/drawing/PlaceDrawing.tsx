import type { Family, Place } from '@nodo/knowledge';
import { later } from '../messages/later.ts';
import { bodyOf } from './body/bodies.ts';
import type { Body } from './body/body.ts';
import { pathOf } from './body/PathNumbers.tsx';
import { Detail, hasDetail } from './detail/Detail.tsx';
import { isNumbered, MachineDrawing } from './MachineDrawing.tsx';

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
      {isNumbered(props.place) && <PathNames body={bodyOf(props.family.id)} />}
    </div>
  );
}

/** What the numbers of the thread's way mean. */
function PathNames({ body }: { readonly body: Body }) {
  return (
    <ol aria-label={later.drawing.path.title} className="self-center text-sm">
      {pathOf(body).map(({ point }, index) => (
        <li key={point}>
          <span className="inline-block w-6 font-semibold">{index + 1}</span>
          {later.drawing.path.points[point]}
        </li>
      ))}
    </ol>
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
