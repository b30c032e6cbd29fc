import type { ImportAnswer } from '@nodo/api';
import { columnsOf, isOurOwn, SEPARATORS } from '@nodo/exchange';
import { SHIPPED } from '@nodo/knowledge';
import { later } from '../../messages/later.ts';
import { Select } from '../../ui/Select.tsx';
import { ENCODINGS } from './decode.ts';
import { type Asked, columnWords } from './importAsked.ts';

/** How the file is read, and which of its columns is what; each change is looked at anew. */
export function ImportMatching({
  asked,
  answer,
  onAsk,
}: {
  readonly asked: Asked;
  readonly answer: ImportAnswer;
  readonly onAsk: (next: Asked) => void;
}) {
  const words = later.data.imports;
  const { header, matching, separator } = answer;
  const columns = header.map((name, index) => [index, name || words.unnamed(index + 1)] as const);
  const options = [[null, words.notThere] as const, ...columns];
  const families = [...SHIPPED.knowledge.families.values()];
  // Another way to read the file has other columns.
  const { matching: _matching, ...anew } = asked;
  return (
    <>
      <div className="flex flex-wrap gap-4">
        <Select
          label={words.encoding}
          value={asked.encoding}
          options={ENCODINGS.map((one) => [one, words.encodings[one]] as const)}
          onChoose={(encoding) => onAsk({ ...anew, encoding })}
        />
        <Select
          label={words.separator}
          value={separator}
          options={SEPARATORS.map((one) => [one, words.separators[one]] as const)}
          onChoose={(chosen) => onAsk({ ...anew, separator: chosen })}
        />
        {asked.kind === 'machines' && (
          <Select
            label={words.usual}
            value={asked.usual ?? null}
            options={[
              [null, words.noUsual] as const,
              ...families.map(({ id, title }) => [id, title] as const),
            ]}
            onChoose={(usual) => {
              const { usual: _usual, ...rest } = asked;
              onAsk({ ...rest, matching, ...(usual !== null && { usual }) });
            }}
          />
        )}
      </div>
      <fieldset>
        <legend className="mb-2 font-semibold">{words.matching}</legend>
        <div className="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
          {columnsOf(asked.kind)
            .filter((column) => !isOurOwn(column))
            .map((column) => (
              <Select
                key={column}
                label={columnWords(asked.kind, column)}
                value={matching[column] ?? null}
                options={options}
                onChoose={(at) => onAsk({ ...asked, matching: { ...matching, [column]: at } })}
              />
            ))}
        </div>
      </fieldset>
    </>
  );
}
