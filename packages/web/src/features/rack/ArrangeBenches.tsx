import {
  closestCorners,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import type { Person } from '@nodo/api';
import type { Planned, ShopPlan } from '@nodo/shop';
import type { RackEntry } from '@nodo/ticket';
import { GripVertical, Pin } from 'lucide-react';
import { useState } from 'react';
import { m, write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { useRecordElsewhere } from '../../ticket/useRecordElsewhere.ts';
import { Button } from '../../ui/Button.tsx';
import { PersonMark } from '../../ui/PersonMark.tsx';
import { columnsOf, type Move, moveTo } from './arrange.ts';

/**
 * The benches as columns in which jobs are put somewhere else, by hand or by keys. What was moved is pinned
 * there until it is released.
 */
export default function ArrangeBenches({
  workable,
  benches,
  rack,
  people,
}: {
  readonly workable: ShopPlan['planned'];
  /** Who works at the benches. */
  readonly benches: readonly string[];
  readonly rack: readonly RackEntry[];
  readonly people: ReadonlyMap<string, Person>;
}) {
  const record = useRecordElsewhere();
  // Shown at once; the plan follows when the entry has come back.
  const [moves, setMoves] = useState<readonly Move[]>([]);
  const [last, setLast] = useState<{ readonly text: string; readonly entry: Entry }>();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const words = m.rack.arrange;
  const lineOf = new Map(rack.map((line) => [line.ticket, line]));
  const columns = columnsOf(workable, benches, moves);
  const said = (ticket: string) => {
    const line = lineOf.get(ticket);
    return line ? `${line.tag ?? ''} ${line.label}` : '';
  };
  const benchAt = (over: string): string => {
    const at = benches.find(
      (one) => one === over || columns.get(one)?.some(({ ticket }) => ticket === over),
    );
    return at === undefined ? '' : nameOf(people, at);
  };
  const note = (ticket: string, to: string | null, after?: string | null) => {
    const id = record(ticket, 'job-pinned', { to, ...(after === undefined ? {} : { after }) });
    const text =
      to === null ? words.released(said(ticket)) : words.pinned(said(ticket), nameOf(people, to));
    setLast({ text, entry: { ticket, id } });
  };
  const drop = ({ active, over }: DragEndEvent) => {
    const move = over && moveTo(columns, String(active.id), String(over.id));
    if (!move) return;
    setMoves([...moves.filter(({ ticket }) => ticket !== move.ticket), move]);
    note(move.ticket, move.to, move.after);
  };
  const release = (ticket: string) => {
    setMoves(moves.filter((move) => move.ticket !== ticket));
    note(ticket, null);
  };
  const undo = ({ ticket, id }: Entry) => {
    record(ticket, 'entry-corrected', { corrects: id });
    setMoves(moves.filter((move) => move.ticket !== ticket));
    setLast(undefined);
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCorners}
      onDragEnd={drop}
      accessibility={{
        screenReaderInstructions: { draggable: words.how },
        announcements: {
          onDragStart: ({ active }) => words.taken(said(String(active.id))),
          onDragOver: ({ active, over }) =>
            over && over.id !== active.id
              ? words.over(said(String(active.id)), benchAt(String(over.id)))
              : undefined,
          onDragEnd: ({ active }) => words.put(said(String(active.id))),
          onDragCancel: ({ active }) => words.left(said(String(active.id))),
        },
      }}
    >
      <p className="mt-1 text-sm text-quiet">{words.how}</p>
      {last && (
        <p role="status" className="flex min-h-11 items-center gap-3">
          {last.text}
          <Button look="quiet" onClick={() => undo(last.entry)}>
            {later.bench.undo}
          </Button>
        </p>
      )}
      <div className="mt-2 grid grid-cols-[repeat(auto-fit,minmax(15rem,1fr))] gap-4">
        {benches.map((bench) => (
          <Column key={bench} bench={bench} people={people} jobs={columns.get(bench) ?? []}>
            {(planned) => (
              <Job
                key={planned.ticket}
                planned={planned}
                name={said(planned.ticket)}
                isPinned={
                  planned.reason === 'pinned' ||
                  moves.some(({ ticket }) => ticket === planned.ticket)
                }
                onRelease={() => release(planned.ticket)}
              />
            )}
          </Column>
        ))}
      </div>
    </DndContext>
  );
}

interface Entry {
  readonly ticket: string;
  readonly id: string;
}

function nameOf(people: ReadonlyMap<string, Person>, id: string): string {
  return people.get(id)?.name ?? '';
}

function Column({
  bench,
  people,
  jobs,
  children,
}: {
  readonly bench: string;
  readonly people: ReadonlyMap<string, Person>;
  readonly jobs: readonly Planned[];
  readonly children: (planned: Planned) => React.ReactNode;
}) {
  const { setNodeRef } = useDroppable({ id: bench });
  const person = people.get(bench);
  return (
    <SortableContext
      items={jobs.map(({ ticket }) => ticket)}
      strategy={verticalListSortingStrategy}
    >
      <div>
        <h3 className="mb-1 flex items-center gap-2 font-semibold">
          {person && <PersonMark person={person} />}
          <bdi>{person?.name}</bdi>
        </h3>
        <ol
          ref={setNodeRef}
          aria-label={m.rack.threads.of(person?.name ?? '')}
          className="min-h-13 rounded-md border-2 border-dashed border-edge p-1"
        >
          {jobs.map(children)}
        </ol>
      </div>
    </SortableContext>
  );
}

function Job({
  planned: { ticket, minutes, promised },
  name,
  isPinned,
  onRelease,
}: {
  readonly planned: Planned;
  readonly name: string;
  readonly isPinned: boolean;
  readonly onRelease: () => void;
}) {
  const {
    attributes,
    listeners,
    setNodeRef,
    setActivatorNodeRef,
    transform,
    transition,
    isDragging,
  } = useSortable({ id: ticket });
  const words = m.rack.arrange;
  return (
    <li
      ref={setNodeRef}
      style={{
        transform: transform ? `translate3d(${transform.x}px, ${transform.y}px, 0)` : undefined,
        transition,
      }}
      className={`flex items-center gap-1 rounded-md bg-ground ${
        isDragging ? 'relative z-10 border-2 border-ink bg-paper' : 'border-2 border-transparent'
      }`}
    >
      <button
        type="button"
        ref={setActivatorNodeRef}
        aria-label={words.move(name)}
        className="inline-flex min-h-11 min-w-11 shrink-0 cursor-grab touch-none items-center justify-center text-quiet"
        {...attributes}
        {...listeners}
      >
        <GripVertical aria-hidden size={18} />
      </button>
      <span className="min-w-0 flex-1 py-1 leading-tight">
        <span className="block break-words">
          <bdi>{name}</bdi>
        </span>
        <span className="block text-sm text-quiet">
          {write.duration(Math.round(minutes))}
          {promised !== null && `, ${words.for(write.plainDay(promised))}`}
        </span>
      </span>
      {isPinned && (
        <Button
          look="quiet"
          className="shrink-0 text-sm"
          aria-label={words.releaseOf(name)}
          onClick={onRelease}
        >
          <Pin aria-hidden size={16} /> {words.release}
        </Button>
      )}
    </li>
  );
}
