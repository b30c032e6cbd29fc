import { useState } from 'react';
import { instruments } from '../../../messages/instruments.ts';
import { Sewing } from '../../../ui/Stitches.tsx';
import { Choices } from '../../frame/bits.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import type { OfMachine } from '../ofMachine.tsx';
import { ScenePane } from '../scene/ScenePane.tsx';
import { useWheel, type Wheel } from '../scene/useWheel.ts';
import { SettingsForm } from '../settings/SettingsForm.tsx';
import { settingsWords } from '../settings/settingsWords.ts';
import {
  STATES,
  type StateScene,
  type Stitch,
  type StitchState,
  useStitch,
} from '../settings/useStitch.ts';
import { KeepStitch } from './KeepStitch.tsx';
import { LeastChanges } from './LeastChanges.tsx';
import { Verdict } from './Verdict.tsx';
import { worstSwing } from './verdict.ts';

/** Why a stitch is skipped: what was found beside what is set, seen, computed, and the least that helps. */
export function WhyPart({ machine, size }: OfMachine) {
  const stitch = useStitch(machine, size);
  const [state, setState] = useState<StitchState>('found');
  const words = instruments.stitch;
  const shown = stitch.states[state];
  return (
    <Frame
      title={words.why.heading}
      top={<p className="max-w-prose text-sm text-quiet">{words.why.how}</p>}
      drawing={<Looked key={shown.scene ? 'there' : 'awaited'} shown={shown} />}
      verdict={<Verdict stitch={stitch} machine={machine} />}
      end={
        <>
          <LeastChanges
            stitch={stitch}
            machine={machine}
            onSet={(settings) => {
              stitch.change('set', settings);
              setState('set');
            }}
          />
          <KeepStitch stitch={stitch} />
        </>
      }
    >
      <Printed stitch={stitch} />
      <div className="flex flex-col gap-4 print:hidden">
        <Choices
          legend={words.why.state}
          value={state}
          options={STATES.map((one) => [one, words.why.states[one]] as const)}
          onChoose={setState}
        />
        <SettingsForm
          stitch={stitch}
          machine={machine}
          settings={shown.settings}
          onChange={(settings) => stitch.change(state, settings)}
        />
      </div>
    </Frame>
  );
}

/** The scene with a wheel of its own, so that turning it draws nothing else anew. */
function Looked({ shown }: { readonly shown: StateScene }) {
  const { question, scene, refused } = shown;
  const [swing, setSwing] = useState(() => (scene ? worstSwing(scene) : 0));
  const steps = scene?.turn.shaft.length ?? 720;
  const wheel: Wheel = useWheel(steps, scene?.swings[swing]?.passedAt ?? 0);
  if (refused !== undefined || !question) {
    return <p role="alert">{instruments.stitch.refused(refused ?? '')}</p>;
  }
  if (!scene) return <Sewing label={instruments.stitch.computing} />;
  return (
    <ScenePane
      question={question}
      scene={scene}
      wheel={wheel}
      swing={Math.min(swing, scene.swings.length - 1)}
      onSwing={(to) => {
        setSwing(to);
        wheel.turnTo(scene.swings[to]?.passedAt ?? 0);
      }}
    />
  );
}

/** On paper, in place of what can be slid: which machine, and what is otherwise than it should be. */
function Printed({ stitch }: { readonly stitch: Stitch }) {
  const { onTicket, card } = useInstrumentBench();
  const words = instruments.stitch;
  const label = onTicket?.ticket.intake?.label ?? card?.label;
  return (
    <div className="hidden print:block">
      {label !== undefined && <p className="text-lg font-semibold">{label}</p>}
      {STATES.filter((state) => state === 'found' || stitch.isSet).map((state) => {
        const off = settingsWords(stitch.states[state].settings, stitch.right);
        return (
          <p key={state}>
            <strong>{words.why.states[state]}:</strong> {off === '' ? words.why.nothingOff : off}
          </p>
        );
      })}
    </div>
  );
}
