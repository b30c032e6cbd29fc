import { barAt, type StitchScene, type TimingVerdict } from '@nodo/core';
import {
  hookSettings,
  questionOf,
  rightSettings,
  type StitchMachine,
  type StitchSettings,
  withinSliders,
} from '@nodo/shop';
import { useState } from 'react';
import { instruments } from '../../../messages/instruments.ts';
import { Sewing } from '../../../ui/Stitches.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { keepLook, mayDo, threadOn } from '../../frame/instrumentBench.ts';
import { KeepButton } from '../../frame/KeepButton.tsx';
import { OpenFirst } from '../../frame/OpenFirst.tsx';
import { UnpluggedCaution } from '../../frame/UnpluggedCaution.tsx';
import type { OfMachine } from '../ofMachine.tsx';
import { ScenePane } from '../scene/ScenePane.tsx';
import { useWheel } from '../scene/useWheel.ts';
import { theSolver } from '../solver/solver.ts';
import { useComputed } from '../solver/useComputed.ts';
import type { Scened } from '../why/verdict.ts';
import { OwnValues } from './OwnValues.tsx';
import { ReadingGrid } from './ReadingGrid.tsx';
import { SetIt } from './SetIt.tsx';
import { TimingAnswer } from './TimingAnswer.tsx';
import {
  cellsOf,
  type LiftWay,
  looksOf,
  measuresOf,
  NO_READINGS,
  type TypedReadings,
  timingStanding,
  verdictOf,
} from './timingReading.ts';

/** Timing measured at the bench: lift, height and gap at each swing; what is off; set from a known start; proven by hand. */
export function TimingPart({ machine, size }: OfMachine) {
  const bench = useInstrumentBench();
  const { onTicket } = bench;
  const [typed, setTyped] = useState<TypedReadings>(NO_READINGS);
  const [liftWay, setLiftWay] = useState<LiftWay>('mm');
  const [isKept, setKept] = useState(false);
  const words = instruments.stitch.timing;
  const standing = onTicket && timingStanding(onTicket.ticket);
  const when = standing?.isSet ? 'set' : 'found';
  const cells = cellsOf(machine, typed, liftWay);
  const verdict = verdictOf(machine, cells);
  const keep = () => {
    if (!onTicket || !verdict) return;
    if (mayDo(bench)) {
      for (const measure of measuresOf(machine, cells, when)) onTicket.record('measured', measure);
    }
    const looks = looksOf(verdict);
    setKept(looks.every(({ check, seen }) => keepLook(bench, check, seen)));
  };
  const forget = () => {
    setTyped(NO_READINGS);
    setKept(false);
  };
  return (
    <Frame
      title={when === 'set' ? words.again : words.heading}
      top={
        <>
          <UnpluggedCaution text={words.caution} />
          <OpenFirst check="timing" />
        </>
      }
      drawing={<AsRead machine={machine} size={size} verdict={verdict} />}
      verdict={<TimingAnswer verdict={verdict} />}
      end={
        <>
          <KeepButton
            label={when === 'set' ? words.keepSet : words.keep}
            lacks={!verdict && words.lacks}
            onKeep={keep}
          />
          {standing && (
            <SetIt standing={standing} isInHand={verdict !== undefined && !isKept} onSet={forget} />
          )}
          <OwnValues machine={machine} cells={cells} />
        </>
      }
    >
      <ol className="list-decimal pl-6 leading-snug">
        {words.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <ReadingGrid
        machine={machine}
        typed={typed}
        cells={cells}
        liftWay={liftWay}
        onLiftWay={(way) => {
          setLiftWay(way);
          setTyped(withoutLifts(typed));
        }}
        onType={(next) => {
          setTyped(next);
          setKept(false);
        }}
      />
    </Frame>
  );
}

/** A number that was read in one unit is none in another. */
function withoutLifts({ left, middle, right }: TypedReadings): TypedReadings {
  return {
    left: { ...left, lift: '' },
    middle: { ...middle, lift: '' },
    right: { ...right, lift: '' },
  };
}

/** The machine as it was read so far; as it should be while nothing was. */
function AsRead({
  machine,
  size,
  verdict,
}: OfMachine & { readonly verdict: TimingVerdict | undefined }) {
  const bench = useInstrumentBench();
  const right = rightSettings(machine, { thread: threadOn(bench), size });
  const settings = verdict ? settingsRead(machine, right, verdict) : right;
  const passes = verdict?.found.hook.passes ?? 1;
  const asked = {
    family: bench.model.family.id,
    service: bench.card?.service ?? {},
    settings,
    passes,
  };
  const computed = useComputed(JSON.stringify(asked), () => theSolver().scene(asked));
  if (!computed) return <Sewing label={instruments.stitch.computing} />;
  if ('refused' in computed) {
    return <p role="alert">{instruments.stitch.refused(computed.refused)}</p>;
  }
  return <Turning question={questionOf(machine, settings, passes)} scene={computed.answer} />;
}

function settingsRead(
  machine: StitchMachine,
  right: StitchSettings,
  { found }: TimingVerdict,
): StitchSettings {
  const { lift } = barAt(found.bar, found.meetsAt);
  return withinSliders({
    ...right,
    ...hookSettings(lift, found.meeting.aboveEye, machine),
    gap: found.meeting.gap,
  });
}

function Turning({ question, scene }: Scened) {
  const middle = middleOf(scene);
  const [swing, setSwing] = useState(middle);
  const wheel = useWheel(scene.turn.shaft.length, scene.swings[middle]?.passedAt ?? 0);
  return (
    <ScenePane question={question} scene={scene} wheel={wheel} swing={swing} onSwing={setSwing} />
  );
}

function middleOf({ swings }: StitchScene): number {
  return Math.floor(swings.length / 2);
}
