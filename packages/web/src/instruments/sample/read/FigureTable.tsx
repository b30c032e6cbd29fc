import type { LooseThread, SampleSide } from '@nodo/core';
import { SAMPLE_FIGURES, type SampleValue } from '@nodo/ticket';
import { instruments } from '../../../messages/instruments.ts';
import { NumberField } from '../../../ui/Field.tsx';
import type { BothRead, FaceRead } from '../../../workers/sample.worker.ts';
import { Columns } from '../../frame/bits.tsx';
import {
  figureOf,
  figureRead,
  longerToTheLeft,
  type Reads,
  skipsBySwing,
  type TypedFigures,
  usualThrough,
} from './reading.ts';

export type TypedSides = Readonly<Record<SampleSide, TypedFigures>>;

/** What each side measures; every figure can be set right by hand. */
export function FigureTable({
  reads,
  loose,
  typed,
  onTyped,
}: {
  readonly reads: Reads;
  /** Of the other side's thread, once both sides are read. */
  readonly loose: BothRead['loose'] | undefined;
  readonly typed: TypedSides;
  readonly onTyped: (side: SampleSide, figures: TypedFigures) => void;
}) {
  const words = instruments.sample.figures;
  const { signed } = instruments.tension;
  const isZigzag = reads.some(([, { seam }]) => seam.kind === 'zigzag');
  const rows: readonly SampleValue[] = [
    'stitches',
    'skips',
    ...SAMPLE_FIGURES.filter((figure) => figure !== 'width' || isZigzag),
    ...(loose ? (['loose'] as const) : []),
  ];
  return (
    <section aria-label={words.title} className="flex flex-col gap-2">
      <h2 className="text-lg font-semibold">{words.title}</h2>
      <table className="w-full">
        <Columns names={[words.by, ...reads.map(([side]) => instruments.sample.sides[side])]} />
        <tbody>
          {rows.map((row) => (
            <tr key={row} className="border-b border-rule align-top">
              <th scope="row" className="py-3 pr-3 text-left font-normal">
                {words[row]}
              </th>
              {reads.map(([side, read]) => (
                <td key={side} className="py-1 pr-2">
                  <FigureCell
                    label={`${words[row]}, ${instruments.sample.sides[side]}`}
                    row={row}
                    read={read}
                    loose={loose?.[side]}
                    typed={typed[side]}
                    onTyped={(figures) => onTyped(side, figures)}
                  />
                </td>
              ))}
            </tr>
          ))}
          {isZigzag && (
            <ReadRow
              name={words.toTheLeft}
              values={reads.map(([side, read]) => [side, signed(longerToTheLeft(read, side))])}
            />
          )}
          {loose && (
            <ReadRow
              name={words.through}
              values={reads.map(([side]) => [
                side,
                usualThrough(loose[side])?.toFixed(2) ?? words.notTold,
              ])}
            />
          )}
        </tbody>
      </table>
    </section>
  );
}

/** What is only read. */
function ReadRow({
  name,
  values,
}: {
  readonly name: string;
  readonly values: readonly (readonly [SampleSide, string])[];
}) {
  return (
    <tr className="border-b border-rule">
      <th scope="row" className="py-2 pr-3 text-left font-normal">
        {name}
      </th>
      {values.map(([side, value]) => (
        <td key={side} className="font-mono">
          {value}
        </td>
      ))}
    </tr>
  );
}

function FigureCell({
  label,
  row,
  read,
  loose,
  typed,
  onTyped,
}: {
  readonly label: string;
  readonly row: SampleValue;
  readonly read: FaceRead;
  readonly loose: LooseThread | undefined;
  readonly typed: TypedFigures;
  readonly onTyped: (figures: TypedFigures) => void;
}) {
  const words = instruments.sample.figures;
  const asRead = String(figureRead(read, row, loose));
  const isTyped = typed[row] !== undefined;
  const isFigure = figureOf(read, typed, row, loose) !== undefined;
  const onText = (text: string) => {
    // What was read stands again once nothing else is typed.
    const { [row]: _, ...others } = typed;
    onTyped(text === '' || text === asRead ? others : { ...others, [row]: text });
  };
  return (
    <NumberField
      label={label}
      shown=""
      value={typed[row] ?? asRead}
      className="gap-0 [&>label]:hidden"
      hint={isTyped ? `${words.byHand}, ${words.asRead(asRead)}` : seenIn(row, read, loose)}
      error={isFigure ? undefined : notAFigure(row)}
      onText={onText}
    />
  );
}

/** Where what was counted lies. */
function seenIn(
  row: SampleValue,
  read: FaceRead,
  loose: LooseThread | undefined,
): string | undefined {
  const words = instruments.sample.figures;
  if (row === 'loose' && loose && loose.loops.length > 0) return words.loops(loose.loops.length);
  const { left, right } = skipsBySwing(read);
  return row === 'skips' && left + right > 0 ? words.symmetry(left, right) : undefined;
}

function notAFigure(row: SampleValue): string {
  const words = instruments.sample.figures;
  if (row === 'stitches') return words.notStitches;
  if (row === 'skips') return words.notSkips;
  return row === 'loose' ? words.notAnArea : words.notANumber;
}
