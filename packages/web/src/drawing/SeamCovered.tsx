import { instruments } from '../messages/instruments.ts';
import { DrawnText } from './DrawnText.tsx';

const WIDE = 440;
const LEFT = 6;

/** The seam that is still to sew as a line, and how much of it the thread sews, to one scale. */
export function SeamCovered({
  wanted,
  covered,
  words: [wantedWords, coveredWords],
}: {
  /** Metres of seam. */
  readonly wanted: number;
  readonly covered: number;
  /** Both as they are written. */
  readonly words: readonly [wanted: string, covered: string];
}) {
  // Far more than is wanted says no more than twice as much does.
  const most = Math.max(wanted, Math.min(covered, 2 * wanted));
  const x = (metres: number) => LEFT + (Math.min(metres, most) / most) * (WIDE - 2 * LEFT);
  const words = instruments.bobbin.left;
  return (
    <svg
      viewBox={`0 0 ${WIDE} 92`}
      role="img"
      aria-label={words.seamDrawing(wantedWords, coveredWords)}
      className="w-full max-w-120"
      fill="none"
    >
      <DrawnText x={LEFT} y={16} size={14} fill="var(--ink)">
        {words.toSew(wantedWords)}
      </DrawnText>
      <path d={`M${LEFT} 28H${x(wanted)}`} stroke="var(--edge)" strokeWidth="4" />
      <path d={`M${x(wanted)} 20V60`} stroke="var(--ink)" strokeWidth="2" />
      <path
        data-covered
        d={`M${LEFT} 52H${x(covered)}`}
        stroke="var(--below)"
        strokeWidth="7"
        strokeDasharray="12 6"
      />
      <DrawnText x={LEFT} y={82} size={14} fill="var(--ink)">
        {words.thatSews(coveredWords)}
      </DrawnText>
    </svg>
  );
}
