import { type CheckId, type StruckPart, surfaceOf, verdictOn } from '@nodo/knowledge';
import { type Mark, partOf } from '@nodo/ticket';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { Button } from '../../../ui/Button.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { mayDo, statusOf } from '../../frame/instrumentBench.ts';
import { keepPart, marksNow } from './marksOn.ts';

/** The marks on a part found at this visit, what is to be done about each, and that the part is looked at. */
export function MarkList({
  part,
  check,
  numberOf,
}: {
  readonly part: StruckPart;
  readonly check: CheckId;
  readonly numberOf: (mark: Mark) => string;
}) {
  const bench = useInstrumentBench();
  const words = instruments.marks;
  const marks = marksNow(bench).filter((mark) => partOf(mark) === part);
  const standing = statusOf(bench, check);
  const isEnded = marks.length > 0 && marks.every(({ end, kind }) => end || kind === 'depression');
  return (
    <section aria-label={words.list}>
      <h2 className="text-lg font-semibold">
        {words.list} <ProvenanceMark standing="common-practice" />
      </h2>
      {marks.length === 0 && <p className="text-quiet">{words.none}</p>}
      <ol>
        {marks.map((mark) => (
          <li
            key={mark.id}
            className="flex flex-wrap items-center gap-x-3 border-b border-rule py-1"
          >
            <span className="w-6 font-semibold">{numberOf(mark)}</span>
            <span className="min-w-40 flex-1 leading-tight">
              {surfaceOf(mark.surface).title}:{' '}
              {words.line(mark.kind, words.place(mark), write.figure(mark.length))}
              {mark.was !== null && <span className="text-quiet"> ({words.same})</span>}
            </span>
            <span
              className={
                mark.end || verdictOn(mark.kind) === 'leave' ? 'text-below' : 'font-semibold'
              }
            >
              {mark.end ? words.ends(mark.end, mark.gone) : words.verdicts[verdictOn(mark.kind)]}
            </span>
            {mayDo(bench) && !mark.end && (
              <Button
                look="quiet"
                aria-label={`${words.takeBack} ${numberOf(mark)}`}
                onClick={() => bench.onTicket?.record('entry-corrected', { corrects: mark.id })}
              >
                {words.takeBack}
              </Button>
            )}
          </li>
        ))}
      </ol>
      <div aria-live="polite">
        {standing === 'sound' && (
          <p className="mt-2 font-semibold text-below">{words.again.provenAt(words.parts[part])}</p>
        )}
      </div>
      {mayDo(bench) && standing !== 'sound' && (
        <Button
          look={isEnded || marks.length === 0 ? 'main' : 'plain'}
          className="mt-2"
          onClick={() => keepPart(bench, part, check)}
        >
          {standing === 'again' && isEnded ? words.again.smooth : words.wholeLooked[part]}
        </Button>
      )}
    </section>
  );
}
