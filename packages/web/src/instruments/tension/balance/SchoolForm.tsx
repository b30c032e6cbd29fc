import type { TensionSchool } from '@nodo/core';
import { instruments } from '../../../messages/instruments.ts';
import { CheckBox } from '../../../ui/CheckBox.tsx';
import { Choices } from '../../frame/bits.tsx';

const options = <Value extends string>(words: Readonly<Record<Value, string>>) =>
  (Object.keys(words) as Value[]).map((value) => [value, words[value]] as const);

/** On what practitioners disagree, and what this machine allows. */
export function SchoolForm({
  school,
  onSchool,
  differ,
  onDiffer,
  mayTurnScrew,
  onMayTurnScrew,
}: {
  readonly school: TensionSchool;
  readonly onSchool: (changed: Partial<TensionSchool>) => void;
  readonly differ: boolean;
  readonly onDiffer: (differ: boolean) => void;
  readonly mayTurnScrew: boolean;
  readonly onMayTurnScrew: (may: boolean) => void;
}) {
  const words = instruments.tension.school;
  return (
    <details>
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold underline underline-offset-4">
        {words.title}
      </summary>
      <div className="flex flex-col gap-3">
        <Choices
          legend={words.steps}
          value={school.steps}
          options={options(words.stepsAre)}
          onChoose={(steps) => onSchool({ steps })}
        />
        <Choices
          legend={words.first}
          value={school.first}
          options={options(words.firstIs)}
          onChoose={(first) => onSchool({ first })}
        />
        <Choices
          legend={words.ends}
          value={school.ends}
          options={options(words.endsAre)}
          onChoose={(ends) => onSchool({ ends })}
        />
        <CheckBox checked={differ} onCheck={onDiffer}>
          {words.differ}
        </CheckBox>
        <CheckBox checked={mayTurnScrew} onCheck={onMayTurnScrew}>
          <span>
            {words.screw} <span className="text-sm text-quiet">{words.screwWhy}</span>
          </span>
        </CheckBox>
      </div>
    </details>
  );
}
