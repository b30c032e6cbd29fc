import type { SurfaceId } from '@nodo/knowledge';
import type { EarlierMark } from '@nodo/ticket';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { mayDo } from '../../frame/instrumentBench.ts';

/** What earlier visits left on a surface; one tap says of a mark that it is still there. */
export function EarlierMarks({
  surface,
  marks,
  gone,
}: {
  readonly surface: SurfaceId;
  readonly marks: readonly EarlierMark[];
  /** Those on a part that was replaced since. */
  readonly gone: readonly EarlierMark[];
}) {
  const bench = useInstrumentBench();
  const words = instruments.marks;
  const { visits, onTicket } = bench;
  if (!onTicket) return null;
  const isStill = ({ id, hour, out, kind, length }: EarlierMark) =>
    onTicket.record('mark-found', { surface, hour, out, kind, length, was: id });
  return (
    <section aria-label={words.earlier.title}>
      <h2 className="text-lg font-semibold">{words.earlier.title}</h2>
      {typeof visits === 'string' && <p className="text-quiet">{words.earlier[visits]}</p>}
      {typeof visits !== 'string' && marks.length === 0 && (
        <p className="text-quiet">{words.earlier.none}</p>
      )}
      <ul>
        {marks.map((mark) => (
          <li
            key={mark.id}
            className="flex flex-wrap items-center gap-x-3 border-b border-rule py-1"
          >
            <span className="min-w-40 flex-1 leading-tight">
              <Told mark={mark} />
            </span>
            {mayDo(bench) && <Button onClick={() => isStill(mark)}>{words.earlier.still}</Button>}
          </li>
        ))}
      </ul>
      {gone.length > 0 && (
        <details>
          <summary className="flex min-h-11 cursor-pointer items-center underline underline-offset-4">
            {words.earlier.gone(gone.length)}
          </summary>
          <ul className="text-quiet">
            {gone.map((mark) => (
              <li key={mark.id} className="border-b border-rule py-1 leading-tight">
                <Told mark={mark} />
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

function Told({ mark }: { readonly mark: EarlierMark }) {
  const words = instruments.marks;
  return words.earlier.line(
    write.day(mark.at),
    words.line(mark.kind, words.place(mark), write.figure(mark.length)),
    mark.end ? words.ends(mark.end, mark.gone) : words.earlier.left,
  );
}
