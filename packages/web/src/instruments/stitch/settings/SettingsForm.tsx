import { SOLD_SIZES, sizeName } from '@nodo/core';
import type { Provenance } from '@nodo/knowledge';
import { SLIDERS, type SliderName, type StitchMachine, type StitchSettings } from '@nodo/shop';
import { useId } from 'react';
import { instruments } from '../../../messages/instruments.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { CheckBox } from '../../../ui/CheckBox.tsx';
import { Select } from '../../../ui/Select.tsx';
import { Choices } from '../../frame/bits.tsx';
import { tidy } from './settingsAddress.ts';
import type { Stitch } from './useStitch.ts';

const GROUPS = [
  { id: 'needle', sliders: ['low', 'turned', 'bent'] },
  { id: 'hook', sliders: ['late', 'deep', 'gap'] },
  { id: 'work', sliders: ['rise', 'thread'] },
] as const satisfies readonly { readonly id: string; readonly sliders: readonly SliderName[] }[];

/** Everything that decides whether a loop is taken, in the trade's words, to be slid and seen. */
export function SettingsForm({
  stitch,
  machine,
  settings,
  onChange,
}: {
  readonly stitch: Stitch;
  readonly machine: StitchMachine;
  readonly settings: StitchSettings;
  readonly onChange: (settings: StitchSettings) => void;
}) {
  const words = instruments.stitch.settings;
  const isZigzag = machine.preset.set.former.swing > 0;
  return (
    <div className="flex flex-col gap-6">
      {GROUPS.map(({ id, sliders }) => (
        <section key={id} aria-label={words.groups[id]}>
          <h2 className="text-lg font-semibold">{words.groups[id]}</h2>
          {sliders.map((name) => (
            <Slider
              key={name}
              name={name}
              value={settings[name]}
              right={stitch.right[name]}
              standing={standingOf(name, machine)}
              note={noteOf(name, stitch)}
              onChange={(value) => onChange({ ...settings, [name]: value })}
            />
          ))}
          {id === 'needle' && (
            <div className="mt-1 flex flex-wrap items-end gap-x-6 gap-y-2">
              <CheckBox
                checked={settings.backward}
                onCheck={(backward) => onChange({ ...settings, backward })}
              >
                {words.backward}
              </CheckBox>
              <Select
                label={words.size}
                value={settings.size}
                className="flex-row items-center gap-3 [&>button]:w-32"
                options={SOLD_SIZES.map((size) => [Number(size), sizeName(size)] as const)}
                onChoose={(size) => onChange({ ...settings, size })}
              />
            </div>
          )}
          {id === 'hook' && isZigzag && (
            <Choices
              legend={words.passes}
              value={stitch.passes}
              options={[
                [1, words.toRight],
                [-1, words.toLeft],
              ]}
              onChoose={stitch.onPasses}
            />
          )}
          {id === 'work' && (
            <CheckBox
              checked={settings.spring}
              onCheck={(spring) => onChange({ ...settings, spring })}
            >
              {words.spring}
            </CheckBox>
          )}
        </section>
      ))}
    </div>
  );
}

function Slider({
  name,
  value,
  right,
  standing,
  note,
  onChange,
}: {
  readonly name: SliderName;
  readonly value: number;
  /** What it should be. */
  readonly right: number;
  readonly standing: Provenance;
  readonly note: string | undefined;
  readonly onChange: (value: number) => void;
}) {
  const id = useId();
  const { least, most, step } = SLIDERS[name];
  const words = instruments.stitch.settings.sliders[name];
  const shown = words.says(value);
  return (
    <div className="border-b border-rule py-1">
      <div className="flex items-baseline gap-2">
        <label htmlFor={id} className="flex-1 leading-tight font-semibold">
          {words.name}
        </label>
        <span className="tabular-nums">{shown}</span>
        <span className="-my-1">
          <ProvenanceMark standing={standing} />
        </span>
      </div>
      <input
        id={id}
        type="range"
        min={least}
        max={most}
        step={step}
        value={value}
        aria-valuetext={shown}
        aria-describedby={`${id}-note`}
        className="h-11 w-full accent-own"
        onChange={({ target }) => onChange(tidy(Number(target.value)))}
      />
      <p id={`${id}-note`} className="-mt-1 flex flex-wrap gap-x-3 text-sm text-quiet">
        {'because' in words && <span>{words.because}</span>}
        {note && <span>{note}</span>}
        {Math.abs(value - right) > step / 2 && (
          <button
            type="button"
            aria-label={instruments.stitch.settings.asItShould(words.name, words.says(right))}
            className="min-h-11 underline underline-offset-4 hover:text-ink"
            onClick={() => onChange(right)}
          >
            {instruments.stitch.settings.should(words.says(right))}
          </button>
        )}
      </p>
    </div>
  );
}

/** Where what it should be comes from. */
function standingOf(name: SliderName, { own }: StitchMachine): Provenance {
  if (name === 'gap') return own.has('hook-gap') ? 'shop' : 'typical';
  if (name === 'late') return own.has('loop-lift') ? 'shop' : 'typical';
  if (name === 'deep') return own.has('hook-above-eye') ? 'shop' : 'typical';
  return name === 'rise' || name === 'thread' ? 'typical' : 'common-practice';
}

/** Where the value that it began with comes from, if the ticket told it. */
function noteOf(name: SliderName, { said }: Stitch): string | undefined {
  const words = instruments.stitch.settings;
  const value = said?.found[name];
  if (value === undefined) return undefined;
  return said?.taken.has(name)
    ? words.taken(words.sliders[name].says(value))
    : words.fromTicket(words.sliders[name].says(value));
}
