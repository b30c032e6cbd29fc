import type { HowOften } from '@nodo/core';
import type { Finding, OftenTold } from '@nodo/knowledge';
import { HOW_OFTEN } from '@nodo/ticket';
import { later } from '../../messages/later.ts';
import { CheckBoxes } from '../../ui/CheckBox.tsx';
import { Select } from '../../ui/Select.tsx';
import { complaintGroups } from './complaintGroups.ts';

/** What the customer reports: ticked is yes, unticked is not asked. */
export function ComplaintTicks({
  findings,
  ticked,
  onChange,
}: {
  readonly findings: readonly Finding[];
  readonly ticked: readonly string[];
  readonly onChange: (ticked: readonly string[]) => void;
}) {
  return (
    <fieldset className="mt-6">
      <legend className="font-semibold">{later.counter.ticks}</legend>
      <p className="mb-2 text-sm text-quiet">{later.counter.ticksHint}</p>
      <div className="grid gap-x-6 gap-y-3 md:grid-cols-2 xl:grid-cols-4">
        {complaintGroups(findings).map(({ name, findings: inGroup }) => (
          <div key={name}>
            <h2 className="text-sm font-semibold text-quiet">{later.counter.groups[name]}</h2>
            <CheckBoxes
              options={inGroup.map(({ id, answer }) => [id, answer] as const)}
              ticked={ticked}
              onTick={onChange}
              className="rounded px-1 leading-tight hover:bg-sunk"
            />
          </div>
        ))}
      </div>
    </fieldset>
  );
}

/** How often what is ticked shows: it decides how long the machine must sew in silence. */
export function HowOftenFields({
  findings,
  ticked,
  often,
  onChange,
}: {
  readonly findings: readonly Finding[];
  readonly ticked: readonly string[];
  readonly often: OftenTold;
  readonly onChange: (often: OftenTold) => void;
}) {
  const asked = findings.filter(({ id }) => ticked.includes(id));
  if (asked.length === 0) return null;
  return (
    <fieldset className="mt-4">
      <legend className="font-semibold">{later.counter.howOften}</legend>
      <div className="mt-1 grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
        {asked.map(({ id, answer }) => (
          <Select<HowOften | ''>
            key={id}
            label={answer}
            value={often[id] ?? ''}
            options={[
              ['', later.counter.notAsked],
              ...HOW_OFTEN.map((one) => [one, later.bench.often[one]] as const),
            ]}
            onChoose={(chosen) => {
              const { [id]: _before, ...others } = often;
              onChange(chosen === '' ? others : { ...others, [id]: chosen });
            }}
          />
        ))}
      </div>
    </fieldset>
  );
}

type Answers = Readonly<Record<string, 'yes' | 'no'>>;

/** What was asked about the work and the beginning: yes or no, tapped again to take it away; else it was not asked. */
export function ContextAnswers({
  findings,
  answers,
  onChange,
}: {
  readonly findings: readonly Finding[];
  readonly answers: Answers;
  readonly onChange: (answers: Answers) => void;
}) {
  const choose = (id: string, answer: 'yes' | 'no') => {
    const { [id]: before, ...others } = answers;
    onChange(before === answer ? others : { ...others, [id]: answer });
  };
  return (
    <fieldset className="mt-6">
      <legend className="font-semibold">{later.counter.context}</legend>
      <p className="mb-2 text-sm text-quiet">{later.counter.contextHint}</p>
      <ul className="grid gap-x-6 xl:grid-cols-2">
        {findings.map(({ id, answer }) => (
          <li
            key={id}
            className="flex items-center justify-between gap-3 border-b border-rule py-1"
          >
            <span id={`context-${id}`}>{answer}</span>
            <fieldset aria-labelledby={`context-${id}`} className="flex shrink-0 gap-2">
              {(['yes', 'no'] as const).map((choice) => (
                <button
                  key={choice}
                  type="button"
                  aria-pressed={answers[id] === choice}
                  onClick={() => choose(id, choice)}
                  className="choice min-h-11 min-w-14 rounded-md px-3 text-sm"
                >
                  {later.counter[choice]}
                </button>
              ))}
            </fieldset>
          </li>
        ))}
      </ul>
    </fieldset>
  );
}
