import { pointFromScarf, type SwingScene } from '@nodo/core';
import type { StitchQuestion } from '@nodo/shop';
import { instruments } from '../../messages/instruments.ts';
import { DrawnText } from '../DrawnText.tsx';
import { bladeSection, lineOf } from './needleShape.ts';
import { fixedIn, type Place, strandPlaces } from './stitchPicture.ts';

/** Edges in millimetres round the axis of the blade and the upper edge of its eye. */
const EDGES = { left: -1.3, right: 3.1, below: 1.6, above: 4.2 };

/** The margin is marked so far below the point's tip, clear of loop and point. */
const MARGIN_AT = 1.15;
const LETTERS = 0.42;

/** The moment at which the hook's point passes: blade, loop, point, and what is left of the loop beyond it. */
export function MeetingCloseUp({
  question,
  swing,
  account,
}: {
  readonly question: StitchQuestion;
  readonly swing: SwingScene;
  readonly account: string;
}) {
  const { meeting } = swing;
  const { seat, thread, set } = question;
  const { half, scarf, hookPoint } = fixedIn({ question });
  const away = pointFromScarf(seat, set.former.meeting);
  // A scarf that is turned away is seen less deep: an edge of it stands nearer to the hook.
  const isHollow = !meeting.pastScarf && !seat.backward;
  const depth = isHollow ? Math.max(0, scarf.depth - (away - meeting.gap)) : scarf.depth;
  const facing = seat.backward ? -1 : 1;
  const outline = bladeSection(
    { half, scarf: { ...scarf, depth }, facing, off: () => 0 },
    EDGES.above + 1,
  );
  const strand = strandPlaces({ question }, swing.atMeeting).map(
    ([, back, above]): Place => [back, above],
  );
  const reach = half - scarf.depth + meeting.towards;
  const needs = reach - meeting.margin;
  const face = needs - thread / 2 - hookPoint;
  const up: number = meeting.meetsAt;
  const marginAt = Math.min(-up + MARGIN_AT, EDGES.below - LETTERS - 0.3);
  const isMet = meeting.margin >= 0 && meeting.contact === 'free';
  const words = instruments.stitch.drawing;
  return (
    <svg
      viewBox={`${EDGES.left} ${-EDGES.above} ${EDGES.right - EDGES.left} ${EDGES.above + EDGES.below}`}
      role="img"
      aria-label={account}
      fill="none"
      stroke="var(--ink)"
      strokeWidth="0.05"
      strokeLinejoin="round"
      className="block w-full"
      data-close-up={meeting.swing}
    >
      <path d={`${lineOf(outline)}Z`} fill="var(--paper)" />
      <path d={`M${-half} 0h${2 * half}`} strokeWidth="0.04" strokeDasharray="0.15 0.1" />
      <path d={lineOf(strand)} stroke="var(--above)" strokeWidth={thread} data-thread="back" />
      <path
        d={`M${face} ${-up}l${hookPoint} 0.1l0.3 0.9h${-hookPoint - 0.3}Z`}
        fill="var(--ink)"
        data-point
      />
      <g stroke={isMet ? 'var(--below)' : 'var(--ink)'} strokeWidth="0.08">
        <path
          d={`M${needs} ${-up}V${marginAt + 0.12}M${reach} ${-up}V${marginAt + 0.12}`}
          strokeWidth="0.04"
          strokeDasharray="0.1 0.07"
        />
        <path d={`M${needs} ${marginAt}H${reach}`} data-margin />
      </g>
      <DrawnText
        x={EDGES.right - 0.1}
        y={marginAt + LETTERS + 0.15}
        size={LETTERS}
        textAnchor="end"
        fontWeight={700}
        fill={isMet ? 'var(--below)' : 'var(--ink)'}
        stroke="none"
      >
        {meeting.contact === 'strikes' ? words.strikes : words.margin(meeting.margin)}
      </DrawnText>
    </svg>
  );
}
