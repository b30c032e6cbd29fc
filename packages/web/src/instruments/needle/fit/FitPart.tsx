import { pathTo } from '@nodo/api';
import { FINENESS_UNITS, grooveShare, needleSize, numberIn, sizesForThread, tex } from '@nodo/core';
import {
  EVERYDAY_POINTS,
  type EverydayPoint,
  FABRICS,
  fitNeedle,
  pointOf,
  sizesFabricBears,
} from '@nodo/knowledge';
import { type SewingWork, threadAcross, workOf } from '@nodo/ticket';
import { useState } from 'react';
import { SizeLadder } from '../../../drawing/needle/SizeLadder.tsx';
import { ThreadInNeedle } from '../../../drawing/needle/ThreadInNeedle.tsx';
import { m, write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { readNumber } from '../../../messages/typed.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { Button } from '../../../ui/Button.tsx';
import { CheckBox } from '../../../ui/CheckBox.tsx';
import { NumberField } from '../../../ui/Field.tsx';
import { PaperLink } from '../../../ui/PaperLink.tsx';
import { Choices, Reading } from '../../frame/bits.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { mayKeep } from '../../frame/instrumentBench.ts';
import { useRegister } from '../../frame/useRegister.ts';
import { FitAnswer } from './FitAnswer.tsx';
import { FoundAgainst, HeldAgainst } from './FoundAgainst.tsx';
import { ThreadFields, typedThread } from './ThreadFields.tsx';
import { typedWork, workTyped } from './typedWork.ts';

/** Fabric, thread and machine give system, sizes, point, eye and coating, with the reasons. */
export function FitPart() {
  const bench = useInstrumentBench();
  const { onTicket, model, card } = bench;
  const kept = onTicket?.ticket.life.work;
  const [typed, setTyped] = useState(() => typedWork(kept));
  const [thread, setThread] = useState(() => typedThread(kept));
  const [held, setHeld] = useState<number>();
  const [everyday, setEveryday] = useState<EverydayPoint>('fine-sharp');
  const now = useRegister(bench).at.get(1);
  const words = instruments.needle.fit;
  const work = workTyped(typed, thread);
  const isWork = typeof work !== 'string';
  const system = card?.facts.needleSystem ?? model.family.needleSystem;
  const fit = isWork ? fitNeedle(workOf(work), system, everyday) : undefined;
  const keep = () => {
    if (!onTicket || !isWork) return;
    const { tex: fineness, ...command } = work;
    if (!onTicket.record('work-told', command)) return;
    onTicket.record('measured', {
      quantity: 'thread-fineness',
      value: Math.round(fineness * 10) / 10,
      when: 'found',
    });
  };
  const thickness = readNumber(typed.thickness);
  const layers = readNumber(typed.layers);
  const bears =
    fit?.bears ??
    (layers && thickness
      ? sizesFabricBears({ layers, thickness, crossing: typed.crossing })
      : undefined);
  const inHand = held ?? fit?.best;
  return (
    <Frame
      title={words.heading}
      drawing={
        <>
          <SizeLadder
            fabric={spanOf(bears)}
            thread={isWork ? sizesForThread(threadAcross(work)) : undefined}
            found={now?.needle.size}
            chosen={fit?.best}
            held={held === fit?.best ? undefined : held}
            onHold={setHeld}
          />
          {isWork && inHand !== undefined && (
            <ThreadInNeedle
              size={inHand}
              thread={threadAcross(work)}
              share={shareOf(work, inHand)}
            />
          )}
          {isWork && inHand !== undefined && (
            <p className="text-sm text-quiet">
              {words.inNeedle.share(inHand, shareOf(work, inHand))}, {words.inNeedle.band}{' '}
              <ProvenanceMark standing="typical" />
            </p>
          )}
        </>
      }
      verdict={
        fit && isWork ? (
          <>
            <FitAnswer fit={fit} />
            {held !== undefined && held !== fit.best ? (
              <HeldAgainst fit={fit} thread={threadAcross(work)} size={held} />
            ) : (
              <p className="text-sm text-quiet">{words.heldLay}</p>
            )}
            <FoundAgainst fit={fit} thread={threadAcross(work)} found={now?.needle} />
          </>
        ) : (
          <p className="text-lg">{words.sayThread}</p>
        )
      }
      end={
        mayKeep(bench) && (
          <div className="flex flex-wrap items-center gap-4">
            <Button look="main" lacks={!isWork && m.shell.lacks.all} onClick={keep}>
              {words.keep}
            </Button>
            {onTicket && kept && (
              <PaperLink
                href={pathTo('readPaper', {
                  ticket: onTicket.ticket.id,
                  paper: 'needle-card',
                })}
              >
                {words.card}
              </PaperLink>
            )}
          </div>
        )
      }
    >
      <Choices
        legend={words.fabric}
        value={typed.fabric}
        options={FABRICS.map(({ id, title }) => [id, title] as const)}
        onChoose={(fabric) => setTyped({ ...typed, fabric })}
      />
      <div className="flex flex-wrap items-end gap-3">
        <NumberField
          whole
          label={words.layers}
          value={typed.layers}
          className="w-24"
          onChange={({ target }) => setTyped({ ...typed, layers: target.value })}
        />
        <NumberField
          label={words.thickness}
          value={typed.thickness}
          className="w-48"
          onChange={({ target }) => setTyped({ ...typed, thickness: target.value })}
        />
        <CheckBox
          className="gap-2"
          checked={typed.crossing}
          onCheck={(isSo) => setTyped({ ...typed, crossing: isSo })}
        >
          {words.crossing}
        </CheckBox>
      </div>
      <ThreadFields
        typed={thread}
        onChange={setThread}
        error={work === 'impossible' ? instruments.needle.thread.impossible : undefined}
      />
      {isWork && <SameThread work={work} />}
      <Choices
        legend={words.everyday}
        value={everyday}
        options={EVERYDAY_POINTS.map((id) => [id, pointOf(id)?.title ?? id] as const)}
        onChoose={setEveryday}
      >
        <p className="mt-1 text-sm text-quiet">{words.everydayWhy}</p>
      </Choices>
    </Frame>
  );
}

/** The thinnest and the thickest of sizes in their order. */
function spanOf(sizes: readonly number[] | undefined): readonly [number, number] | undefined {
  const [thinnest] = sizes ?? [];
  const thickest = sizes?.at(-1);
  return thinnest === undefined || thickest === undefined ? undefined : [thinnest, thickest];
}

/** What the thread takes of a blade, per cent, as it is written. */
function shareOf(work: SewingWork, size: number): string {
  return write.figure(Math.round(100 * grooveShare(threadAcross(work), needleSize(size))));
}

/** The same thread in every unit. */
function SameThread({ work }: { readonly work: SewingWork }) {
  const words = instruments.needle.thread;
  return (
    <details>
      <summary className="flex min-h-11 cursor-pointer items-center gap-3">
        <span className="font-semibold">
          {`tex ${write.tenths(work.tex)}, ${write.figure(Math.round(threadAcross(work) * 1000) / 1000)} mm ${words.diameter}`}
        </span>
        <span className="underline underline-offset-4">{words.same}</span>
      </summary>
      <dl className="grid grid-cols-2 gap-x-6">
        {FINENESS_UNITS.map((unit) => (
          <Reading
            key={unit}
            name={unit}
            value={write.tenths(numberIn(unit, tex(work.tex)))}
            standing={unit === 'wt' || unit === 'ticket' ? 'typical' : 'published'}
          />
        ))}
      </dl>
    </details>
  );
}
