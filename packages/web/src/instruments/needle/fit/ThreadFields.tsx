import { countsPlies, FIBRES, FINENESS_UNITS, type Fibre, type FinenessUnit } from '@nodo/core';
import { THREAD_KINDS, type ThreadKind } from '@nodo/knowledge';
import type { ThreadSpec, WorkCommand } from '@nodo/ticket';
import { instruments } from '../../../messages/instruments.ts';
import { NumberField } from '../../../ui/Field.tsx';
import { Select } from '../../../ui/Select.tsx';
import { Choices } from '../../frame/bits.tsx';

/** What was typed of the thread. */
export interface TypedThread {
  readonly by: ThreadSpec['by'];
  readonly unit: FinenessUnit;
  readonly number: string;
  readonly plies: string;
  readonly across: string;
  readonly grams: string;
  readonly metres: string;
  readonly fibre: Fibre;
  readonly kind: ThreadKind;
}

export function typedThread(work: WorkCommand | undefined): TypedThread {
  const thread = work?.thread;
  const text = (value: number | undefined, otherwise: string) =>
    value === undefined ? otherwise : String(value);
  return {
    by: thread?.by ?? 'label',
    unit: thread?.by === 'label' ? thread.unit : 'tex',
    number: text(thread?.by === 'label' ? thread.number : undefined, ''),
    plies: text(thread?.by === 'label' ? thread.plies : undefined, '1'),
    across: text(thread?.by === 'across' ? thread.millimetres : undefined, ''),
    grams: text(thread?.by === 'weight' ? thread.grams : undefined, ''),
    metres: text(thread?.by === 'weight' ? thread.metres : undefined, '10'),
    fibre: work?.fibre ?? 'polyester',
    kind: work?.threadKind ?? 'plain',
  };
}

const BY = ['label', 'across', 'weight'] as const;

/** Thread by its label in any unit, by its width, or by its weight. */
export function ThreadFields({
  typed,
  onChange,
  error,
}: {
  readonly typed: TypedThread;
  readonly onChange: (typed: TypedThread) => void;
  readonly error: string | undefined;
}) {
  const words = instruments.needle.thread;
  const set = (part: Partial<TypedThread>) => onChange({ ...typed, ...part });
  return (
    <div className="flex flex-col gap-3">
      <Choices
        legend={words.known}
        value={typed.by}
        options={BY.map((one) => [one, words.by[one]] as const)}
        onChoose={(by) => set({ by })}
      />
      <div className="grid grid-cols-2 items-end gap-3 sm:grid-cols-3">
        {typed.by === 'label' && (
          <>
            <Select
              label={words.unit}
              value={typed.unit}
              onChoose={(unit) => set({ unit, plies: countsPlies(unit) ? typed.plies : '1' })}
              options={FINENESS_UNITS.map((unit) => [unit, unit] as const)}
            />
            <NumberField
              label={words.number}
              value={typed.number}
              error={error}
              onText={(number) => set({ number })}
            />
            {countsPlies(typed.unit) && (
              <NumberField
                whole
                label={words.plies}
                value={typed.plies}
                onText={(plies) => set({ plies })}
              />
            )}
          </>
        )}
        {typed.by === 'across' && (
          <NumberField
            label={words.across}
            value={typed.across}
            error={error}
            className="col-span-full max-w-80"
            onText={(across) => set({ across })}
          />
        )}
        {typed.by === 'weight' && (
          <>
            <NumberField
              label={words.grams}
              value={typed.grams}
              error={error}
              onText={(grams) => set({ grams })}
            />
            <NumberField
              label={words.metres}
              value={typed.metres}
              onText={(metres) => set({ metres })}
            />
          </>
        )}
      </div>
      <div className="grid grid-cols-2 gap-3">
        <Select
          label={words.fibre}
          value={typed.fibre}
          onChoose={(fibre) => set({ fibre })}
          options={FIBRES.map((fibre) => [fibre, words.fibres[fibre]] as const)}
        />
        <Select
          label={words.kind}
          value={typed.kind}
          onChoose={(kind) => set({ kind })}
          options={THREAD_KINDS.map((kind) => [kind, words.kinds[kind]] as const)}
        />
      </div>
    </div>
  );
}
