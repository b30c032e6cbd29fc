import { DIAL } from '@nodo/core';
import { pointNearest, pullsAlong, type ThreadPath, UNKNOWN_TENSION, withMoved } from '@nodo/shop';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { bodyOf } from '../../../drawing/body/bodies.ts';
import { boxOf } from '../../../drawing/MachineDrawing.tsx';
import { DragPlace, TapPlace } from '../../../drawing/Taps.tsx';
import { PathDrawing } from '../../../drawing/tension/PathDrawing.tsx';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { Button } from '../../../ui/Button.tsx';
import { Toggles } from '../../frame/bits.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { keepLook } from '../../frame/instrumentBench.ts';
import { KeepButton } from '../../frame/KeepButton.tsx';
import { useOwnCard } from '../../frame/useOwnCard.ts';
import { OwnPath } from './OwnPath.tsx';
import { familyPath, looksOfPath, numbered } from './pathReading.ts';

/** How near to a point a finger means it, in the units of the drawing. */
const REACH = 26;

/** This machine's thread path: followed point by point, corrected by dragging, printed for the customer. */
export function PathPart() {
  const bench = useInstrumentBench();
  const { onTicket, model, card } = bench;
  const own = useOwnCard();
  const tension = own?.card?.tension ?? card?.tension ?? UNKNOWN_TENSION;
  const body = bodyOf(model.family.id);
  const drawn = familyPath(body);
  const [draft, setDraft] = useState<ThreadPath>();
  const [taken, setTaken] = useState<number>();
  const [left, setLeft] = useState<ReadonlySet<string>>();
  const [dial, setDial] = useState<number>(DIAL.middle);
  const words = instruments.tensionPath;
  const path = draft ?? tension.path ?? drawn;
  const places = new Set([...(left ?? [])].map(Number));
  const box = boxOf(body);
  const nameOf = (place: number) => `${place + 1} ${path[place]?.name ?? ''}`;
  const toggle = (place: number) => {
    const next = new Set(left);
    if (!next.delete(String(place))) next.add(String(place));
    setLeft(next);
  };
  const keep = () => {
    for (const { check, seen } of looksOfPath(path, places, model)) keepLook(bench, check, seen);
  };
  const picture = (
    <PathDrawing
      body={body}
      path={path}
      lit={draft ? new Set(taken === undefined ? [] : [taken]) : places}
      account={words.account(path.map(({ name }) => name).join(', '))}
    />
  );
  return (
    <Frame
      title={words.heading}
      drawing={
        draft ? (
          <DragPlace
            box={box}
            label={words.drag}
            className="w-full max-w-xl"
            onTake={(x, y) => setTaken(pointNearest(path, { x, y }, REACH))}
            onMove={(x, y) => {
              if (taken !== undefined) setDraft(withMoved(path, taken, rounded(x, y)));
            }}
          >
            {picture}
          </DragPlace>
        ) : (
          <TapPlace
            box={box}
            label={words.tap}
            className="w-full max-w-xl"
            onTap={(x, y) => {
              const place = pointNearest(path, { x, y }, REACH);
              if (place !== undefined) toggle(place);
            }}
          >
            {picture}
          </TapPlace>
        )
      }
      verdict={
        !draft && (
          <p className="text-lg leading-snug font-semibold print:hidden" data-path-reading>
            {readingWords(left, nameOf)}
          </p>
        )
      }
      end={
        <div className="flex flex-col gap-4 print:hidden">
          {onTicket && !draft && (
            <KeepButton label={words.keep} lacks={!left && words.lacks} onKeep={keep} />
          )}
          <Pulls path={path} dial={dial} onDial={setDial} />
        </div>
      }
    >
      <p className="hidden text-xl font-bold print:block">
        {words.forCustomer(card?.label ?? model.family.title)}
      </p>
      <p className="hidden print:block">{words.customerHow}</p>
      <ol className="hidden list-decimal pl-6 print:block">
        {numbered(path).map(({ number, name }) => (
          <li key={number}>{name}</li>
        ))}
      </ol>
      <div className="flex flex-col gap-4 print:hidden">
        <p className="max-w-prose leading-snug">{words.how}</p>
        {!draft && (
          <Toggles
            legend={words.left}
            values={left}
            options={path.map((_, place) => [String(place), nameOf(place)] as const)}
            none={words.nowhere}
            onChange={setLeft}
          />
        )}
        <OwnPath
          own={own}
          tension={tension}
          path={path}
          family={drawn}
          isEdited={draft !== undefined}
          taken={taken}
          onTake={setTaken}
          onEdit={(next) => {
            setDraft(next);
            // Points that were tapped may be others now.
            setLeft(undefined);
          }}
        />
        <Button className="self-start" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> {words.print}
        </Button>
      </div>
    </Frame>
  );
}

function readingWords(
  left: ReadonlySet<string> | undefined,
  nameOf: (place: number) => string,
): string {
  const words = instruments.tensionPath.reads;
  if (!left) return words.none;
  if (left.size === 0) return words.well;
  return words.off(
    [...left]
      .map(Number)
      .sort((one, other) => one - other)
      .map(nameOf)
      .join(', '),
  );
}

/** The pull behind each point at a number of the dial. */
function Pulls({
  path,
  dial,
  onDial,
}: {
  readonly path: ThreadPath;
  readonly dial: number;
  readonly onDial: (dial: number) => void;
}) {
  const words = instruments.tensionPath.pull;
  const pulls = pullsAlong(path, dial);
  return (
    <section aria-label={words.title} className="flex flex-col gap-1">
      <h2 className="text-lg font-semibold">
        {words.title} <ProvenanceMark standing="derived" />
      </h2>
      <label className="flex flex-col">
        {words.dial(String(dial))}
        <input
          type="range"
          min={DIAL.least}
          max={DIAL.most}
          step={1}
          value={dial}
          aria-label={words.slider}
          className="h-11 w-full accent-own"
          onChange={({ target }) => onDial(target.valueAsNumber)}
        />
      </label>
      <dl>
        {numbered(path).map(({ number, name }) => (
          <div key={number} className="flex justify-between gap-2 border-b border-rule py-1">
            <dt className="min-w-0 leading-tight">
              {number} <bdi>{name}</bdi>
            </dt>
            <dd className="tabular-nums">{write.tenths(pulls[number - 1] ?? 0)} gf</dd>
          </div>
        ))}
      </dl>
      <p className="text-sm text-quiet">{words.why}</p>
    </section>
  );
}

function rounded(x: number, y: number) {
  return { x: Math.round(x), y: Math.round(y) };
}
