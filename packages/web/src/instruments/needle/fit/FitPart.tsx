import { pathTo } from '@nodo/api';
import { FINENESS_UNITS, numberIn, tex } from '@nodo/core';
import { EVERYDAY_POINTS, type EverydayPoint, FABRICS, fitNeedle, pointOf } from '@nodo/knowledge';
import { type SewingWork, threadAcross, workOf } from '@nodo/ticket';
import { useState } from 'react';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { CheckBox } from '../../../ui/CheckBox.tsx';
import { NumberField } from '../../../ui/Field.tsx';
import { PaperLink } from '../../../ui/PaperLink.tsx';
import { Choices, Reading } from '../../frame/bits.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { mayKeep } from '../../frame/instrumentBench.ts';
import { useRegister } from '../register/useRegister.ts';
import { FitAnswer } from './FitAnswer.tsx';
import { FoundAgainst } from './FoundAgainst.tsx';
import { ThreadFields, typedThread } from './ThreadFields.tsx';
import { typedWork, workTyped } from './typedWork.ts';

/** Fabric, thread and machine give system, sizes, point, eye and coating, with the reasons. */
export function FitPart() {
  const bench = useInstrumentBench();
  const { onTicket, model, card } = bench;
  const kept = onTicket?.ticket.life.work;
  const [typed, setTyped] = useState(() => typedWork(kept));
  const [thread, setThread] = useState(() => typedThread(kept));
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
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(22rem,1fr)_minmax(22rem,34rem)]">
      <div className="flex flex-col gap-4">
        <h1 className="text-2xl font-bold">{words.heading}</h1>
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
        {mayKeep(bench) && (
          <div className="flex flex-wrap items-center gap-4">
            <Button look="main" disabled={!isWork} onClick={keep}>
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
        )}
      </div>
      <div className="flex flex-col gap-6 self-start lg:sticky lg:top-3" aria-live="polite">
        {fit ? (
          <FitAnswer fit={fit} found={now?.needle.size} />
        ) : (
          <p className="text-lg">{words.sayThread}</p>
        )}
        {fit && isWork && (
          <FoundAgainst fit={fit} thread={threadAcross(work)} found={now?.needle} />
        )}
        <Choices
          legend={words.everyday}
          value={everyday}
          options={EVERYDAY_POINTS.map((id) => [id, pointOf(id)?.title ?? id] as const)}
          onChoose={setEveryday}
        >
          <p className="mt-1 text-sm text-quiet">{words.everydayWhy}</p>
        </Choices>
      </div>
    </div>
  );
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
