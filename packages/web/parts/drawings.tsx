import { BOBBIN_TURNS, KNOWLEDGE, modelOf } from '@nodo/knowledge';
import { BobbinTurns } from '../src/drawing/BobbinTurns.tsx';
import { bodyOf } from '../src/drawing/body/bodies.ts';
import { spotsOf } from '../src/drawing/body/body.ts';
import { ClockRing } from '../src/drawing/ClockRing.tsx';
import { MachineDrawing } from '../src/drawing/MachineDrawing.tsx';
import { PlaceDrawing } from '../src/drawing/PlaceDrawing.tsx';
import { Silhouette } from '../src/drawing/Silhouette.tsx';
import type { PartStates } from './partStates.ts';

const FAMILIES = [...KNOWLEDGE.families.values()];
/** Wherever a check of the first family takes the hand. */
const PLACES = [
  ...new Set(
    [...(modelOf(FAMILIES[0]?.id ?? '')?.checks.values() ?? [])].map(({ place }) => place),
  ),
];

/** The drawings, each where it differs. */
export const DRAWINGS: PartStates = {
  Silhouette: FAMILIES.map(({ id, title }) => ({
    state: title,
    shown: <Silhouette family={id} />,
  })),
  MachineDrawing: FAMILIES.flatMap((family) =>
    (['talk', 'path'] as const).map((place) => ({
      state: `${family.title}${place === 'path' ? ', way of the thread' : ''}`,
      shown: <MachineDrawing family={family} place={place} presserDown={false} />,
    })),
  ),
  PlaceDrawing: [
    ...PLACES.map((place) => ({ state: place, family: FAMILIES[0], place })),
    ...(['needle', 'hook', 'case', 'bobbin'] as const).flatMap((place) =>
      FAMILIES.slice(1)
        .filter((family) => spotsOf(bodyOf(family.id)).has(place))
        .map((family) => ({ state: `${place}, ${family.title}`, family, place })),
    ),
  ].flatMap(({ state, family, place }) =>
    family
      ? [{ state, shown: <PlaceDrawing family={family} place={place} presserDown={false} /> }]
      : [],
  ),
  BobbinTurns: [undefined, ...BOBBIN_TURNS].map((turn) => ({
    state: turn ?? 'not known',
    shown: <BobbinTurns turn={turn} />,
  })),
  ClockRing: [false, true].map((numbers) => ({
    state: numbers ? 'with its hours' : 'bare',
    shown: (
      <svg viewBox="-60 -60 120 120" className="w-48" role="img" aria-label="A clock’s face">
        <ClockRing radius={40} tick={4} numbers={numbers} />
      </svg>
    ),
  })),
};
