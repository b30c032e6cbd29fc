import type { ClockPlace } from '@nodo/core';
import type { Surface, SurfaceId } from '@nodo/knowledge';
import type { Mark } from '@nodo/ticket';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { SurfaceMap } from '../../../drawing/surfaces/SurfaceMap.tsx';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { mayDo, statusOf } from '../../frame/instrumentBench.ts';
import { OpenFirst } from '../../frame/OpenFirst.tsx';
import { UnpluggedCaution } from '../../frame/UnpluggedCaution.tsx';
import { DressingGuide } from './DressingGuide.tsx';
import { EarlierMarks } from './EarlierMarks.tsx';
import { MarkList } from './MarkList.tsx';
import { MarkPad } from './MarkPad.tsx';
import { marksBefore, marksNow, surfacesOf } from './marksOn.ts';
import { type MarkDetails, NewMark } from './NewMark.tsx';
import { StrikeNote } from './StrikeNote.tsx';

/** The map of marks: surface by surface, with those of earlier visits, and what is done about them. */
export function MarksPart() {
  const bench = useInstrumentBench();
  const [query, setQuery] = useSearchParams();
  const [pending, setPending] = useState<ClockPlace>();
  const surfaces = surfacesOf(bench);
  const on = surfaces.find(({ id }) => id === query.get('on')) ?? surfaces[0];
  if (!on) return null;
  const surface = on.id;
  const now = marksNow(bench);
  const isHere = (mark: Mark) => mark.surface === surface;
  const here = now.filter((mark) => isHere(mark) && !mark.gone);
  const { left, gone } = marksBefore(bench);
  const before = left.filter(isHere);
  const numberOf = (mark: Mark) => String(now.indexOf(mark) + 1);
  const mayLay = mayDo(bench);
  const words = instruments.marks;
  const choose = (id: string) => {
    setPending(undefined);
    const next = new URLSearchParams(query);
    next.set('on', id);
    setQuery(next, { replace: true });
  };
  const put = (details: MarkDetails) => {
    if (!pending) return;
    if (bench.onTicket?.record('mark-found', { surface, ...pending, ...details }))
      setPending(undefined);
  };
  return (
    <Frame
      title={words.heading}
      top={
        <>
          <UnpluggedCaution text={words.caution} />
          <OpenFirst check={on.check} />
        </>
      }
      drawing={
        <>
          <MarkPad place={pending} onPlace={mayLay ? setPending : undefined}>
            <SurfaceMap
              surface={surface}
              family={bench.model.family}
              marks={here}
              earlier={before}
              pending={pending}
              numberOf={numberOf}
            />
          </MarkPad>
          <p className="text-sm leading-snug text-quiet">
            {orientation(on)} {words.across(write.figure(on.across))}{' '}
            <ProvenanceMark standing="typical" />
            {before.length > 0 && <span className="block">{words.earlier.legend}</span>}
          </p>
        </>
      }
      end={
        <>
          <DressingGuide key={`dress ${on.part}`} part={on.part} numberOf={numberOf} />
          <StrikeNote />
          <EarlierMarks surface={surface} marks={before} gone={gone.filter(isHere)} />
        </>
      }
    >
      <Surfaces surfaces={surfaces} on={surface} onChoose={choose} />
      {!bench.onTicket && <p>{words.alone}</p>}
      {bench.onTicket && !mayLay && <p>{words.atTheBench}</p>}
      {mayLay && !pending && <p className="text-quiet">{words.tapFirst}</p>}
      {pending && mayLay && (
        <NewMark
          key={`new on ${surface}`}
          place={pending}
          earlier={before}
          onPut={put}
          onDrop={() => setPending(undefined)}
        />
      )}
      <MarkList part={on.part} check={on.check} numberOf={numberOf} />
    </Frame>
  );
}

function orientation({ isTurnedOver, showsAlong, needle }: Surface): string {
  const words = instruments.marks;
  if (isTurnedOver) return words.turnedOver;
  if (showsAlong) return words.asItSits;
  return needle ? words.upright : words.turning;
}

/** Every surface with how far it is looked at, in the order in which the needle comes down to them. */
function Surfaces({
  surfaces,
  on,
  onChoose,
}: {
  readonly surfaces: readonly Surface[];
  readonly on: SurfaceId;
  readonly onChoose: (id: string) => void;
}) {
  const bench = useInstrumentBench();
  const words = instruments.marks;
  const now = marksNow(bench);
  return (
    <ol aria-label={words.surfaces} className="flex flex-wrap gap-2">
      {surfaces.map(({ id, check, title }) => {
        const count = now.filter((mark) => mark.surface === id).length;
        const standing = statusOf(bench, check);
        return (
          <li key={id}>
            <button
              type="button"
              aria-current={id === on ? 'step' : undefined}
              onClick={() => onChoose(id)}
              className="flex min-h-12 flex-col items-start justify-center rounded-md border-2 border-edge bg-paper px-3 py-1 text-left leading-tight hover:border-ink aria-[current=step]:border-ink aria-[current=step]:bg-sunk"
            >
              <span className="font-semibold">{title}</span>
              <span
                className={`text-sm ${standing === 'found' || standing === 'again' ? 'font-semibold' : standing === 'sound' ? 'text-below' : 'text-quiet'}`}
              >
                {words.states[standing]}
                {count > 0 && ` · ${words.onIt(count)}`}
              </span>
            </button>
          </li>
        );
      })}
    </ol>
  );
}
