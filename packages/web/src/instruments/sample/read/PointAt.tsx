import type { Point, PointedAt, SampleSide } from '@nodo/core';
import { type KeyboardEvent, useState } from 'react';
import { DragPlace } from '../../../drawing/Taps.tsx';
import { instruments } from '../../../messages/instruments.ts';
import { readNumber } from '../../../messages/typed.ts';
import { Button } from '../../../ui/Button.tsx';
import { NumberField } from '../../../ui/Field.tsx';
import { useBlobAddress } from '../../../ui/useBlobAddress.ts';
import { PointMarks, PointSeenNear } from './PointMarks.tsx';
import {
  BETWEEN,
  nearest,
  type PointedWhat,
  type PointId,
  pointedOf,
  pointsIn,
  type SetPoint,
  type Size,
  within,
} from './points.ts';

const ARROWS: Readonly<Record<string, Point>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

/** Points at places in a picture: the marks of a ruler and the ends of the seam, or the thread. */
export function PointAt({
  what,
  picture,
  side,
  before,
  onPointed,
  onLeave,
}: {
  readonly what: PointedWhat;
  readonly picture: Blob;
  readonly side: SampleSide;
  readonly before: PointedAt;
  readonly onPointed: (pointed: PointedAt) => void;
  readonly onLeave: () => void;
}) {
  const address = useBlobAddress(picture);
  const [size, setSize] = useState<Size>();
  const [points, setPoints] = useState<readonly SetPoint[]>([]);
  const [chosen, setChosen] = useState<PointId>();
  const [typed, setTyped] = useState(String(before.ruler?.millimetres ?? BETWEEN.usual));
  const words = instruments.sample.pointing;

  const millimetres = readNumber(typed);
  const isLength =
    millimetres !== undefined && millimetres >= BETWEEN.least && millimetres <= BETWEEN.most;
  const pointed = isLength ? pointedOf(points, millimetres) : undefined;

  const move = (id: PointId, to: (from: SetPoint) => Point) => {
    if (!size) return;
    setPoints((all) => all.map((one) => (one.id === id ? { id, ...within(size, to(one)) } : one)));
  };
  const onKey = (id: PointId, event: KeyboardEvent) => {
    const way = ARROWS[event.key];
    if (!way) return;
    event.preventDefault();
    const far = event.shiftKey ? 10 : 1;
    setChosen(id);
    move(id, ({ x, y }) => ({ x: x + far * way.x, y: y + far * way.y }));
  };
  const shown = points.find(({ id }) => id === chosen);
  return (
    <div className="flex flex-col gap-3">
      <p className="max-w-prose leading-snug">{words[what].how}</p>
      <DragPlace
        box={[0, 0, size?.width ?? 1, size?.height ?? 1]}
        label={words.picture(side)}
        className="w-full"
        onTake={(x, y) => {
          const id = nearest(points, { x, y });
          setChosen(id);
          if (id) move(id, () => ({ x, y }));
        }}
        onMove={(x, y) => chosen && move(chosen, () => ({ x, y }))}
      >
        <img
          src={address}
          alt={instruments.sample.picture.whole(side)}
          className="w-full rounded-md border border-rule"
          onLoad={({ currentTarget: { naturalWidth: width, naturalHeight: height } }) => {
            const all = pointsIn({ width, height }, what, before);
            setSize({ width, height });
            setPoints(all);
            setChosen(all[0]?.id);
          }}
        />
        {size && <PointMarks size={size} points={points} chosen={chosen} />}
      </DragPlace>
      <p className="text-sm text-quiet">{words.keys}</p>
      <div className="flex flex-wrap items-start gap-3">
        <fieldset aria-label={words.picture(side)} className="flex flex-col gap-1">
          {points.map(({ id, x, y }) => (
            <Button
              key={id}
              aria-pressed={id === chosen}
              className="justify-start aria-pressed:border-ink aria-pressed:font-semibold"
              onClick={() => setChosen(id)}
              onKeyDown={(event) => onKey(id, event)}
            >
              {words.place(words.points[id], Math.round(x), Math.round(y))}
            </Button>
          ))}
        </fieldset>
        {size && shown && (
          <PointSeenNear
            size={size}
            point={shown}
            address={address}
            account={words.near(words.points[shown.id])}
          />
        )}
      </div>
      {what === 'ruler' && (
        <NumberField
          label={words.millimetres}
          unit="mm"
          value={typed}
          className="w-40"
          error={isLength ? undefined : words.notALength}
          onText={setTyped}
        />
      )}
      <div className="flex flex-wrap items-center gap-2">
        <Button
          look="main"
          lacks={(!isLength && words.notALength) || (!pointed && words.together)}
          onClick={() => pointed && onPointed(pointed)}
        >
          {words.measure}
        </Button>
        <Button look="quiet" onClick={onLeave}>
          {words.leave}
        </Button>
      </div>
    </div>
  );
}
