import {
  type MachineTension,
  MOST_PATH_POINTS,
  MOST_POINT_NAME,
  type ThreadPath,
  withGuideAfter,
  withMoved,
} from '@nodo/shop';
import { ListPlus, X } from 'lucide-react';
import type { KeyboardEvent } from 'react';
import { toast } from 'sonner';
import { instruments } from '../../../messages/instruments.ts';
import { FormError } from '../../../session/FormError.tsx';
import { Button } from '../../../ui/Button.tsx';
import { TextField } from '../../../ui/Field.tsx';
import type { OwnCard } from '../../frame/useOwnCard.ts';
import { numbered } from './pathReading.ts';

/** By so much an arrow key moves a point, in the units of the drawing. */
const STEP = 2;
const ARROWS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};

/** The machine's own path: where its guides lie otherwise than drawn for its kind. */
export function OwnPath({
  own,
  tension,
  path,
  family,
  isEdited,
  taken,
  onTake,
  onEdit,
}: {
  readonly own: OwnCard | undefined;
  readonly tension: MachineTension;
  readonly path: ThreadPath;
  /** As it is drawn for its kind. */
  readonly family: ThreadPath;
  readonly isEdited: boolean;
  readonly taken: number | undefined;
  readonly onTake: (place: number) => void;
  /** Undefined leaves the editing. */
  readonly onEdit: (path: ThreadPath | undefined) => void;
}) {
  const words = instruments.tensionPath.edit;
  const save = async (kept: ThreadPath | null) => {
    if (!own?.card) return;
    const path = kept && [...kept];
    if (await own.keep({ tension: { ...own.card.tension, path } })) {
      toast.success(words.kept);
      onEdit(undefined);
    }
  };
  const moveBy = (place: number, { key }: KeyboardEvent) => {
    const [x, y] = ARROWS[key] ?? [];
    const point = path[place];
    if (x === undefined || y === undefined || !point) return false;
    onEdit(withMoved(path, place, { x: point.x + x, y: point.y + y }));
    return true;
  };
  return (
    <section aria-label={words.title} className="flex flex-col gap-2">
      <h2 className="text-lg font-semibold">{words.title}</h2>
      <p className="leading-snug text-quiet">
        {!own ? words.noRight : tension.path ? words.own : words.family}
      </p>
      {!isEdited && own && (
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => onEdit(path)}>{words.begin}</Button>
          {tension.path && (
            <Button look="quiet" disabled={own.isBusy} onClick={() => void save(null)}>
              {words.toFamily}
            </Button>
          )}
        </div>
      )}
      {isEdited && own && (
        <>
          <p className="max-w-prose leading-snug">{words.text}</p>
          <ol className="flex flex-col gap-2">
            {numbered(path).map(({ kind, name, number }) => {
              const place = number - 1;
              return (
                <li key={number} className="flex items-center gap-2">
                  <button
                    type="button"
                    aria-label={words.move(name)}
                    aria-pressed={place === taken}
                    className="choice min-h-11 min-w-11 rounded-md px-2 font-semibold"
                    onClick={() => onTake(place)}
                    onKeyDown={(event) => {
                      if (moveBy(place, event)) {
                        event.preventDefault();
                        onTake(place);
                      }
                    }}
                  >
                    {number}
                  </button>
                  <TextField
                    label={words.name(number)}
                    value={name}
                    maxLength={MOST_POINT_NAME}
                    className="min-w-0 flex-1 [&>label]:sr-only"
                    onText={(text) =>
                      onEdit(
                        path.map((one, index) => (index === place ? { ...one, name: text } : one)),
                      )
                    }
                  />
                  {place < path.length - 1 && (
                    <Button
                      look="quiet"
                      aria-label={words.add(name)}
                      title={words.add(name)}
                      disabled={path.length >= MOST_PATH_POINTS}
                      onClick={() => onEdit(withGuideAfter(path, place, words.guide))}
                    >
                      <ListPlus aria-hidden size={20} />
                    </Button>
                  )}
                  <Button
                    look="quiet"
                    aria-label={words.remove(name)}
                    title={words.remove(name)}
                    className={kind === 'guide' ? '' : 'invisible'}
                    onClick={() => onEdit(path.toSpliced(place, 1))}
                  >
                    <X aria-hidden size={18} />
                  </Button>
                </li>
              );
            })}
          </ol>
          <div className="flex flex-wrap gap-2">
            <Button
              look="main"
              disabled={own.isBusy || path.some(({ name }) => name.trim() === '')}
              onClick={() => void save(path)}
            >
              {words.save}
            </Button>
            <Button onClick={() => onEdit(undefined)}>{words.leave}</Button>
            <Button look="quiet" onClick={() => onEdit(family)}>
              {words.toFamily}
            </Button>
          </div>
          <FormError fault={own.fault} />
        </>
      )}
    </section>
  );
}
