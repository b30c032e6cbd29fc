import type { MeasureLimit } from '@nodo/ticket';
import { TensionDial } from '../../../drawing/TensionDial.tsx';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { standOf } from './keepTension.ts';

/** A tension in large figures, and where it lies to its limit. */
export function TensionAnswer({
  tension,
  limit,
  note,
}: {
  /** Undefined while it is not measured: the dial shows its band. */
  readonly tension: number | undefined;
  readonly limit: MeasureLimit;
  readonly note?: string;
}) {
  const stand = tension === undefined ? undefined : standOf(tension, limit);
  return (
    <div>
      {limit.least !== null && limit.most !== null && (
        <TensionDial
          tension={tension}
          band={[limit.least, limit.most]}
          account={instruments.bobbin.tension.dial(
            tension === undefined ? undefined : write.tenths(tension),
            write.figure(limit.least),
            write.figure(limit.most),
          )}
        />
      )}
      {tension !== undefined && stand && (
        <>
          <p className="text-3xl font-bold" data-testid="tension">
            {write.tenths(tension)} gf
          </p>
          {note && <p className="text-quiet">{note}</p>}
          <p className={`text-lg font-semibold ${stand === 'good' ? 'text-below' : ''}`}>
            {instruments.bobbin.tension[stand]}
          </p>
        </>
      )}
    </div>
  );
}
