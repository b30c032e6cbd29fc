import { BOBBIN_TURNS, KNOWLEDGE, modelOf } from '@nodo/knowledge';
import { BobbinTurns } from '../src/drawing/BobbinTurns.tsx';
import { ClockRing } from '../src/drawing/ClockRing.tsx';
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
  PlaceDrawing: [
    ...PLACES.map((place) => ({ state: place, family: FAMILIES[0], place })),
    ...FAMILIES.map((family) => ({ state: family.title, family, place: 'needle' as const })),
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
