import { BOBBIN_TURNS, KNOWLEDGE, modelOf } from '@nodo/knowledge';
import { BobbinFill } from '../src/drawing/BobbinFill.tsx';
import { BobbinRims } from '../src/drawing/BobbinRims.tsx';
import { BobbinToMeasure } from '../src/drawing/BobbinToMeasure.tsx';
import { BobbinTurns } from '../src/drawing/BobbinTurns.tsx';
import { bodyOf } from '../src/drawing/body/bodies.ts';
import { spotsOf } from '../src/drawing/body/body.ts';
import { ClockRing } from '../src/drawing/ClockRing.tsx';
import { HangingCase } from '../src/drawing/HangingCase.tsx';
import { MachineDrawing } from '../src/drawing/MachineDrawing.tsx';
import { NeedleComesAndGoes } from '../src/drawing/needle/NeedleComesAndGoes.tsx';
import { NeedleFaults } from '../src/drawing/needle/NeedleFaults.tsx';
import { SizeLadder } from '../src/drawing/needle/SizeLadder.tsx';
import { ThreadInNeedle } from '../src/drawing/needle/ThreadInNeedle.tsx';
import { WearThread } from '../src/drawing/needle/WearThread.tsx';
import { PlaceDrawing } from '../src/drawing/PlaceDrawing.tsx';
import { SeamCovered } from '../src/drawing/SeamCovered.tsx';
import { Silhouette } from '../src/drawing/Silhouette.tsx';
import { TensionDial } from '../src/drawing/TensionDial.tsx';
import { ThingGlyph } from '../src/drawing/ToolGlyph.tsx';
import type { PartStates } from './partStates.ts';

const FAMILIES = [...KNOWLEDGE.families.values()];
/** What a tap does here. */
const nothing = () => undefined;
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
  ThingGlyph: (['dish', 'plugged', 'unplugged', 'packet', 'caliper'] as const).map((thing) => ({
    state: thing,
    shown: <ThingGlyph thing={thing} />,
  })),
  SizeLadder: [undefined, 75, 100].map((found) => ({
    state: found === undefined ? 'nothing in it' : `${found} in it`,
    shown: (
      <SizeLadder
        fabric={[80, 90]}
        thread={[73, 120]}
        found={found}
        chosen={90}
        held={found && 60}
        onHold={nothing}
      />
    ),
  })),
  WearThread: [12_000, 300_000, 520_000].map((sewn) => ({
    state: `${sewn} stitches`,
    shown: (
      <WearThread
        sewn={sewn}
        flags={[
          { name: 'After 3 full bobbins', limit: 26_000 },
          { name: 'After 8 hours of sewing', limit: 480_000 },
        ]}
        rulers={[
          { id: 'stitches', name: 'Stitches', stitches: 1 },
          { id: 'hours', name: 'Hours at the machine', stitches: 19_200 },
        ]}
        account="A needle's stitches"
        label="Tap how far it sewed"
        onTap={nothing}
      />
    ),
  })),
  ThreadInNeedle: [60, 90, 120].map((size) => ({
    state: `${size}`,
    shown: <ThreadInNeedle size={size} thread={0.3} share={String(Math.round(3000 / size))} />,
  })),
  NeedleFaults: (['no', 'yes'] as const).map((said) => ({
    state: said === 'no' ? 'sound' : 'worn and bent',
    shown: (
      <NeedleFaults
        gaps={[0, 0.05, 0.1, 0.2, 0.4].map((gap) => ({ gap, name: gap ? `${gap}` : 'even' }))}
        gap={said === 'no' ? 0 : 0.4}
        seen={{ nail: said, loupe: said, gum: said }}
        asked={['nail', 'loupe', 'gum']}
        onGap={nothing}
        onSpot={nothing}
      />
    ),
  })),
  TensionDial: [12, 25, 90].map((tension) => ({
    state: `${tension} gf`,
    shown: <TensionDial tension={tension} band={[20, 30]} account="A dial of the pull" />,
  })),
  BobbinTurns: [undefined, ...BOBBIN_TURNS].map((turn) => ({
    state: turn ?? 'not known',
    shown: (
      <BobbinTurns
        turn={turn}
        seen={turn && 'clockwise'}
        isUnder={turn !== 'clockwise'}
        onTurn={nothing}
        onSpring={nothing}
      />
    ),
  })),
  BobbinFill: [8, 13, 19.5].map((winding) => ({
    state: `${winding} mm`,
    shown: (
      <BobbinFill
        room={{ full: 19.5, core: 8, width: 8.8, winding }}
        figure={`${winding} mm`}
        onWinding={nothing}
      />
    ),
  })),
  SeamCovered: [3, 30].map((covered) => ({
    state: covered < 10 ? 'too short' : 'enough',
    shown: <SeamCovered wanted={10} covered={covered} words={['10 m', `${covered} m`]} />,
  })),
  HangingCase: [{ state: 'as it is', shown: <HangingCase onMeasure={nothing} /> }],
  BobbinRims: [false, true].map((isBad) => ({
    state: isBad ? 'soft, with rough rims' : 'sound',
    shown: (
      <BobbinRims
        rough={new Set(isBad ? (['above', 'below', 'core'] as const) : [])}
        isSoft={isBad}
        onTap={nothing}
      />
    ),
  })),
  BobbinToMeasure: (['flat', 'curved'] as const).map((sides) => ({
    state: sides,
    shown: <BobbinToMeasure sides={sides} onMeasure={nothing} onSides={nothing} />,
  })),
  NeedleComesAndGoes: (['found', 'new', 'opened'] as const).map((from) => ({
    state: from,
    shown: (
      <NeedleComesAndGoes
        from={from}
        before={from === 'found' ? undefined : 'broken'}
        size={90}
        name="90/14"
        origins={['found', 'new', 'opened']}
        ends={['none', 'used-up', 'put-back', 'broken']}
        onFrom={nothing}
        onBefore={nothing}
      />
    ),
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
