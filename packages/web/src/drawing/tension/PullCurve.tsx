import type { DialPull } from '@nodo/core';
import { write } from '../../messages/index.ts';
import { instruments } from '../../messages/instruments.ts';
import { DrawnText } from '../DrawnText.tsx';

const WIDE = 360;
const TALL = 260;
const LEFT = 54;
const BOTTOM = 34;
const TOP = 16;
const LETTERS = 12;
/** The least that the axis shows, in gram-force. */
const LEAST_TOP = 100;

/** The pull at each number, up in a full line and down in a dashed one, over the machine's baseline. */
export function PullCurve({
  pulls,
  baseline,
  steps,
}: {
  readonly pulls: readonly DialPull[];
  readonly baseline: readonly DialPull[];
  /** By feel: what each step is called. */
  readonly steps: readonly string[] | undefined;
}) {
  const all = [...pulls, ...baseline].map(({ pull }) => pull);
  const most = steps ? steps.length - 1 : Math.max(LEAST_TOP, ...all) * 1.05;
  const x = (dial: number) => LEFT + ((WIDE - LEFT - 12) * dial) / 9;
  const y = (pull: number) => TALL - BOTTOM - ((TALL - BOTTOM - TOP) * pull) / most;
  const ticks = steps
    ? steps.map((name, place) => [place, name] as const)
    : [0, 0.5, 1].map((share) => {
        const pull = Math.round((share * most) / 10) * 10;
        return [pull, write.figure(pull)] as const;
      });
  const of = (from: readonly DialPull[], going: DialPull['going']) =>
    from.filter((one) => one.going === going).toSorted((one, other) => one.dial - other.dial);
  const line = (points: readonly DialPull[]) =>
    `M${points.map(({ dial, pull }) => `${x(dial).toFixed(1)} ${y(pull).toFixed(1)}`).join('L')}`;
  const lines = [
    { id: 'baseline', points: of(baseline, 'up'), colour: 'var(--quiet)', dashes: '2 5' },
    { id: 'down', points: of(pulls, 'down'), colour: 'var(--lit)', dashes: '8 5' },
    { id: 'up', points: of(pulls, 'up'), colour: 'var(--lit)', dashes: undefined },
  ];
  const words = instruments.tensionPull;
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${TALL}`}
      role="img"
      aria-label={words.heading}
      className="w-full max-w-xl"
      fill="none"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      {ticks.map(([pull, name]) => (
        <g key={name}>
          <path d={`M${LEFT} ${y(pull)}H${WIDE - 12}`} stroke="var(--rule)" strokeWidth="1.500" />
          <DrawnText
            x={LEFT - 8}
            y={y(pull) + 5}
            textAnchor="end"
            size={LETTERS}
            fill="var(--quiet)"
          >
            {name}
          </DrawnText>
        </g>
      ))}
      {[0, 1, 2, 3, 4, 5, 6, 7, 8, 9].map((dial) => (
        <DrawnText
          key={dial}
          x={x(dial)}
          y={TALL - BOTTOM + 22}
          textAnchor="middle"
          size={LETTERS}
          fill="var(--quiet)"
        >
          {dial}
        </DrawnText>
      ))}
      {lines.map(({ id, points, colour, dashes }) => (
        <g key={id} stroke={colour} strokeWidth="3" data-pulls={id}>
          {points.length > 1 && <path d={line(points)} strokeDasharray={dashes} />}
          {points.map(({ dial, pull }) => (
            <circle
              key={dial}
              cx={x(dial)}
              cy={y(pull)}
              r="5"
              fill={id === 'up' ? colour : 'var(--paper)'}
              strokeWidth="2.500"
            />
          ))}
        </g>
      ))}
    </svg>
  );
}
