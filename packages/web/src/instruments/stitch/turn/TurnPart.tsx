import { gaugedKnot, leftBelow, showsOn, TOP_THREADS, type TopThread } from '@nodo/core';
import type { Quantity } from '@nodo/ticket';
import { lazy, Suspense, useState } from 'react';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { Sewing } from '../../../ui/Stitches.tsx';
import { Choices } from '../../frame/bits.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import type { OfMachine } from '../ofMachine.tsx';
import { ScenePane } from '../scene/ScenePane.tsx';
import { useWheel } from '../scene/useWheel.ts';
import { type StateScene, useStitch } from '../settings/useStitch.ts';
import type { Scened } from '../why/verdict.ts';
import { TurnTable } from './TurnTable.tsx';

/** The chart brings a library of its own, which nothing else waits for. */
const TimingChart = lazy(() => import('./TimingChart.tsx'));

/** One turn of the wheel: the drawing, and beside it what each part does and what thread it wants. */
export function TurnPart({ machine, size }: OfMachine) {
  const { states } = useStitch(machine, size);
  const { question, scene, refused }: StateScene = states.set;
  const words = instruments.stitch;
  if (refused !== undefined || !question || !scene) {
    return (
      <>
        <h1 className="text-2xl leading-tight font-bold">{words.turn.heading}</h1>
        {refused === undefined ? (
          <Sewing label={words.computing} />
        ) : (
          <p role="alert">{words.refused(refused)}</p>
        )}
      </>
    );
  }
  return <Turned question={question} scene={scene} />;
}

function Turned({ question, scene }: Scened) {
  const middle = Math.floor(scene.swings.length / 2);
  const [swing, setSwing] = useState(middle);
  const [top, setTop] = useState<TopThread>('held');
  const steps = scene.turn.shaft.length;
  const wheel = useWheel(steps, scene.swings[middle]?.passedAt ?? 0);
  const words = instruments.stitch.turn;
  const left = leftBelow(question.set, scene.turn, top);
  const least = Math.min(...scene.turn.slack);
  return (
    <Frame
      title={words.heading}
      wide
      drawing={
        <ScenePane
          question={question}
          scene={scene}
          wheel={wheel}
          swing={swing}
          onSwing={setSwing}
        />
      }
    >
      <p className="max-w-prose leading-snug text-quiet">{words.how}</p>
      <Suspense fallback={<Sewing label={instruments.stitch.computing} />}>
        <TimingChart scene={scene} step={wheel.step} onStep={wheel.turnTo} />
      </Suspense>
      <p className="leading-snug" data-slack>
        {least < -0.1 ? words.pulled(write.tenths(-least)) : words.enough}
      </p>
      <Choices
        legend={words.top}
        value={top}
        options={TOP_THREADS.map((one) => [one, words.tops[one]] as const)}
        onChoose={setTop}
      />
      <p role="status" className="leading-snug font-semibold">
        {words.left[top](write.tenths(left))}
      </p>
      <WhereKnotLies fabric={question.set.fabric} thread={question.thread} />
      <TurnTable scene={scene} />
    </Frame>
  );
}

/** Where both pulls that were measured on the ticket last lock the threads; nothing while one of them was not. */
function WhereKnotLies({ fabric, thread }: { readonly fabric: number; readonly thread: number }) {
  const { onTicket } = useInstrumentBench();
  const words = instruments.stitch.turn.knot;
  const last = (quantity: Quantity) =>
    onTicket?.ticket.life.measures.findLast((one) => one.quantity === quantity)?.value ?? 0;
  const [top, bobbin] = [last('top-tension'), last('bobbin-tension')];
  if (!(top > 0 && bobbin > 0)) return <p className="text-sm text-quiet">{words.unknown}</p>;
  const knot = gaugedKnot(top, bobbin);
  return (
    <p className="leading-snug">
      {words.lies(Math.round(knot.depth * 100))} {words.shows(showsOn(knot, fabric, thread))}
    </p>
  );
}
