import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { hasSerial } from '../../frame/gauge/serialGauge.ts';
import { useGauge } from '../../frame/gauge/useGauge.ts';

/** What the stand-in for a gauge makes up. */
const MADE_UP = { tension: 62, noise: 2, drift: 0, seed: 11 } as const;

/** The thread drawn off by a gauge; what it reads is taken for one row. */
export function DrawnByGauge({
  forWhat,
  onTake,
}: {
  readonly forWhat: string;
  readonly onTake: (pull: number) => void;
}) {
  const { standIn, isRunning, pull, begin, end, connect } = useGauge(MADE_UP);
  const words = instruments.tensionPull.gauge;
  return (
    <section aria-label={words.title} className="flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-3">
        <Button onClick={isRunning ? end : begin}>{isRunning ? words.stop : words.start}</Button>
        {hasSerial() && <Button onClick={() => void connect()}>{words.connect}</Button>}
        <output className="text-lg font-semibold tabular-nums">
          {pull && words.reads(write.tenths(pull.tension), write.tenths(2 * pull.error))}
        </output>
      </div>
      <p className="text-sm text-quiet">{standIn ? words.standIn : words.real}</p>
      {!standIn && pull && !isRunning && (
        <Button className="self-start" onClick={() => onTake(pull.tension)}>
          {words.take(forWhat)}
        </Button>
      )}
    </section>
  );
}
