import { type ClockPlace, sameAs } from '@nodo/core';
import { MARK_KINDS, type MarkKind } from '@nodo/knowledge';
import type { EarlierMark } from '@nodo/ticket';
import { useState } from 'react';
import { m, write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { Choices } from '../../frame/bits.tsx';

const LENGTHS = [0.5, 1, 2, 4, 8] as const;

/** The details of a mark once its position is known. */
export interface MarkDetails {
  readonly kind: MarkKind;
  readonly length: number;
  readonly was: string | null;
}

/** Kind and length of a mark that was just tapped, and whether an earlier visit knew it. */
export function NewMark({
  place,
  earlier,
  onPut,
  onDrop,
}: {
  readonly place: ClockPlace;
  /** Marks of earlier visits on the same surface. */
  readonly earlier: readonly EarlierMark[];
  readonly onPut: (details: MarkDetails) => void;
  readonly onDrop: () => void;
}) {
  const words = instruments.marks.new;
  const near = sameAs(place, earlier);
  const [kind, setKind] = useState<MarkKind>();
  const [length, setLength] = useState<number>(1);
  const [was, setWas] = useState<string>('new');
  const known = near.find(({ id }) => id === was);
  return (
    <section
      aria-label={words.title(instruments.marks.place(place))}
      className="flex flex-col gap-3 border-l-4 border-own pl-4"
    >
      <h2 className="text-lg font-semibold" aria-live="polite">
        {words.title(instruments.marks.place(place))}
      </h2>
      <Choices
        legend={words.kind}
        value={kind}
        options={MARK_KINDS.map((one) => [one, words.kinds[one]] as const)}
        onChoose={setKind}
      >
        {kind && <p className="mt-1 text-sm text-quiet">{words.means[kind]}</p>}
      </Choices>
      <Choices
        legend={words.length}
        value={length}
        options={LENGTHS.map((one) => [one, write.figure(one)] as const)}
        onChoose={setLength}
      />
      {near.length > 0 && (
        <Choices
          legend={words.isEarlier}
          value={known ? was : 'new'}
          options={[
            ['new', words.isNew],
            ...near.map(
              (mark) =>
                [mark.id, words.isThat(write.day(mark.at), words.kinds[mark.kind])] as const,
            ),
          ]}
          onChoose={setWas}
        />
      )}
      <div className="flex flex-wrap gap-2">
        <Button
          look="main"
          lacks={kind === undefined && m.shell.lacks.choice}
          onClick={() => kind && onPut({ kind, length, was: known?.id ?? null })}
        >
          {words.put}
        </Button>
        <Button look="quiet" onClick={onDrop}>
          {words.drop}
        </Button>
      </div>
    </section>
  );
}
