import type { Provenance } from '@nodo/knowledge';
import type { ComponentProps, ReactNode } from 'react';
import { ProvenanceMark } from '../../ticket/ProvenanceMark.tsx';

const PILL =
  'choice min-h-11 min-w-11 cursor-pointer rounded-md px-3 leading-tight has-focus-visible:outline-3 has-focus-visible:outline-own';

/** An answer to be taken with one tap: the whole of it is its box. */
function Pill({ children, ...box }: ComponentProps<'input'>) {
  return (
    <label className={PILL}>
      <input className="sr-only" {...box} />
      {children}
    </label>
  );
}

/** Answers of which any number are true; `none` says that nothing of it is. */
export function Toggles<Value extends string>({
  legend,
  values,
  options,
  none,
  onChange,
}: {
  readonly legend: string;
  /** Undefined as long as nobody looked. */
  readonly values: ReadonlySet<Value> | undefined;
  readonly options: readonly (readonly [Value, string])[];
  readonly none: string;
  readonly onChange: (values: ReadonlySet<Value>) => void;
}) {
  const toggle = (value: Value) => {
    const next = new Set(values);
    if (!next.delete(value)) next.add(value);
    onChange(next);
  };
  return (
    <fieldset className="min-w-0">
      <legend className="font-semibold">{legend}</legend>
      <div className="mt-1 flex flex-wrap gap-1">
        {options.map(([option, text]) => (
          <Pill
            key={option}
            type="checkbox"
            checked={values?.has(option) ?? false}
            onChange={() => toggle(option)}
          >
            {text}
          </Pill>
        ))}
        <Pill type="checkbox" checked={values?.size === 0} onChange={() => onChange(new Set())}>
          {none}
        </Pill>
      </div>
    </fieldset>
  );
}

/** A few answers of which one is taken with one tap. */
export function Choices<Value extends string | number>({
  legend,
  value,
  options,
  onChoose,
  beside,
  children,
}: {
  readonly legend: string;
  readonly value: Value | undefined;
  readonly options: readonly (readonly [Value, string])[];
  readonly onChoose: (value: Value) => void;
  /** In the row of the answers, after them. */
  readonly beside?: ReactNode;
  readonly children?: ReactNode;
}) {
  return (
    <fieldset className="min-w-0">
      <legend className="font-semibold">{legend}</legend>
      <div className="mt-1 flex flex-wrap gap-1">
        {options.map(([option, text]) => (
          <Pill
            key={option}
            type="radio"
            name={legend}
            checked={option === value}
            onChange={() => onChoose(option)}
          >
            {text}
          </Pill>
        ))}
        {beside}
      </div>
      {children}
    </fieldset>
  );
}

/** A number with its name and where it comes from. */
export function Reading({
  name,
  value,
  note,
  standing,
  bad = false,
}: {
  readonly name: string;
  readonly value: string;
  readonly note?: string | undefined;
  readonly standing?: Provenance;
  readonly bad?: boolean;
}) {
  // Figures stand one below the other, units are words.
  const [, figure = '', unit = value] = /^([<>±+−-]?[\s\d.,]+)(.*)$/.exec(value) ?? [];
  return (
    <div className="flex items-baseline gap-x-2 border-b border-rule py-1">
      <dt className="flex-1 leading-tight">
        {name}
        {note && <span className="block text-sm text-quiet">{note}</span>}
      </dt>
      <dd className={`text-right text-lg ${bad ? 'font-semibold' : ''}`}>
        <span className="font-mono">{figure}</span>
        {unit}
      </dd>
      <dd className="-my-1">{standing && <ProvenanceMark standing={standing} />}</dd>
    </div>
  );
}

/** The head of a small table of readings. */
export function Columns({ names }: { readonly names: readonly string[] }) {
  return (
    <thead>
      <tr className="border-b-2 border-ink text-left">
        {names.map((name) => (
          <th key={name} scope="col" className="py-1 font-semibold">
            {name}
          </th>
        ))}
      </tr>
    </thead>
  );
}
