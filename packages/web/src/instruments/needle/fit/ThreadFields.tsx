import { countsPlies, FIBRES, FINENESS_UNITS, type Fibre, type FinenessUnit } from '@nodo/core';
import { THREAD_KINDS, type ThreadKind } from '@nodo/knowledge';
import type { ThreadSpec, WorkCommand } from '@nodo/ticket';
import { instruments } from '../../../messages/instruments.ts';
import { Select, TextField } from '../../../ui/Field.tsx';
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
              onChange={({ target }) => {
                const unit = FINENESS_UNITS.find((one) => one === target.value) ?? 'tex';
                set({ unit, plies: countsPlies(unit) ? typed.plies : '1' });
              }}
            >
              {FINENESS_UNITS.map((unit) => (
                <option key={unit}>{unit}</option>
              ))}
            </Select>
            <TextField
              label={words.number}
              inputMode="decimal"
              value={typed.number}
              error={error}
              onChange={({ target }) => set({ number: target.value })}
            />
            {countsPlies(typed.unit) && (
              <TextField
                label={words.plies}
                inputMode="numeric"
                value={typed.plies}
                onChange={({ target }) => set({ plies: target.value })}
              />
            )}
          </>
        )}
        {typed.by === 'across' && (
          <TextField
            label={words.across}
            inputMode="decimal"
            value={typed.across}
            error={error}
            className="col-span-full max-w-80"
            onChange={({ target }) => set({ across: target.value })}
          />
        )}
        {typed.by === 'weight' && (
          <>
            <TextField
              label={words.grams}
              inputMode="decimal"
              value={typed.grams}
              error={error}
              onChange={({ target }) => set({ grams: target.value })}
            />
            <TextField
              label={words.metres}
              inputMode="decimal"
              value={typed.metres}
              onChange={({ target }) => set({ metres: target.value })}
            />
          </>
        )}
      </div>
      <div className="grid grid-cols-2 gap-3">
        <Select
          label={words.fibre}
          value={typed.fibre}
          onChange={({ target }) =>
            set({ fibre: FIBRES.find((one) => one === target.value) ?? 'polyester' })
          }
        >
          {FIBRES.map((fibre) => (
            <option key={fibre} value={fibre}>
              {words.fibres[fibre]}
            </option>
          ))}
        </Select>
        <Select
          label={words.kind}
          value={typed.kind}
          onChange={({ target }) =>
            set({ kind: THREAD_KINDS.find((one) => one === target.value) ?? 'plain' })
          }
        >
          {THREAD_KINDS.map((kind) => (
            <option key={kind} value={kind}>
              {words.kinds[kind]}
            </option>
          ))}
        </Select>
      </div>
    </div>
  );
}
