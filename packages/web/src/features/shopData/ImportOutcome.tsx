import type { ImportAnswer } from '@nodo/api';
import { type ImportKind, isOurOwn } from '@nodo/exchange';
import { later } from '../../messages/later.ts';
import { Button } from '../../ui/Button.tsx';
import { columnWords } from './importAsked.ts';

const FAULTS_SHOWN = 30;

/** What the file would change, or has changed. */
export function ImportOutcome({
  kind,
  answer,
  isBusy,
  onTake,
  onAnother,
}: {
  readonly kind: ImportKind;
  readonly answer: ImportAnswer;
  readonly isBusy: boolean;
  readonly onTake: () => void;
  readonly onAnother: () => void;
}) {
  const words = later.data.imports;
  const { counts, faults, sample, applied } = answer;
  const isNothing = counts.new + counts.changed === 0;
  if (applied) {
    return (
      <div role="status" className="flex flex-wrap items-center gap-4">
        <p className="font-semibold">{words.taken(counts.new, counts.changed)}</p>
        <Button onClick={onAnother}>{words.another}</Button>
      </div>
    );
  }
  return (
    <>
      {faults.length > 0 && (
        <div role="alert">
          <p className="font-semibold text-hazard">{words.faulty(counts.faulty)}</p>
          <p>{words.faultyLead}</p>
          <ul className="mt-2">
            {faults.slice(0, FAULTS_SHOWN).map(({ row, column, code, cell }) => (
              <li key={`${row} ${column} ${code}`}>
                {words.fault(row, column && columnWords(kind, column), words.faults[code])}
                {cell && (
                  <>
                    {' '}
                    <bdi className="break-all text-quiet">{cell.slice(0, 60)}</bdi>
                  </>
                )}
              </li>
            ))}
          </ul>
          {faults.length > FAULTS_SHOWN && <p>{words.more(faults.length - FAULTS_SHOWN)}</p>}
        </div>
      )}
      {sample.length > 0 && <Sample kind={kind} answer={answer} />}
      <div className="flex flex-wrap items-center gap-4">
        <p>{words.counts(counts.new, counts.changed, counts.same)}</p>
        <Button
          look="main"
          disabled={isBusy}
          lacks={(faults.length > 0 && words.faulty(counts.faulty)) || (isNothing && words.nothing)}
          onClick={onTake}
        >
          {words.take(counts.new, counts.changed)}
        </Button>
        <Button look="quiet" onClick={onAnother}>
          {words.another}
        </Button>
      </div>
    </>
  );
}

function Sample({
  kind,
  answer: { sample, matching },
}: {
  readonly kind: ImportKind;
  readonly answer: ImportAnswer;
}) {
  const words = later.data.imports;
  const filled = new Set(sample.flatMap(({ cells }) => cells.map(({ column }) => column)));
  // What the file does not say has no place here.
  const columns = [...filled].filter((column) => !isOurOwn(column) || matching[column] != null);
  return (
    <div>
      <h3 className="font-semibold">{words.sample}</h3>
      <div className="overflow-x-auto">
        <table className="mt-1 w-full text-left text-sm">
          <thead>
            <tr className="border-b-2 border-edge">
              <th className="py-1 pr-4">{words.row}</th>
              {columns.map((column) => (
                <th key={column} className="py-1 pr-4">
                  {columnWords(kind, column)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {sample.map(({ row, status, cells }) => (
              <tr key={row} className="border-b border-rule align-top">
                <td className="py-1 pr-4 whitespace-nowrap">
                  {row} <span className="text-quiet">{words.status[status]}</span>
                </td>
                {columns.map((column) => (
                  <td key={column} className="max-w-60 py-1 pr-4 break-words">
                    <bdi>{cells.find((cell) => cell.column === column)?.text}</bdi>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}
