import {
  HOLE_WIDTHS,
  type SeamFace,
  type SeamPicture,
  type SeamSet,
  seamPicture,
} from '@nodo/core';
import { twMerge } from 'tailwind-merge';
import { DrawnText } from '../DrawnText.tsx';

/** Units of the drawing for a millimetre along the seam, and for one through the fabric, drawn thicker. */
const ALONG = 12;
const THROUGH = 34;
const MARGIN = 14;
/** Room around a seam on its face, and between the three pictures. */
const AROUND = 12;
const BETWEEN = 16;
const LETTERS = 10;

/** A seam by where its knots lie: from above, from below, and cut along it. The top thread and the bobbin thread in two colours. */
export function SeamDrawing({
  seam,
  account,
  names,
  className,
}: {
  readonly seam: SeamSet;
  readonly account: string;
  /** What each picture is called; left out where it is small. */
  readonly names?: { readonly top: string; readonly bottom: string; readonly section: string };
  readonly className?: string;
}) {
  const picture = seamPicture(seam);
  const wide = seam.stitches * seam.length * ALONG + 2 * MARGIN;
  const face = Math.max(seam.width * ALONG, 6) + 2 * AROUND;
  const word = names ? LETTERS + 6 : 0;
  const cut = seam.fabric * THROUGH + 2 * AROUND;
  const tops = [word, 2 * word + face + BETWEEN, 3 * word + 2 * (face + BETWEEN)] as const;
  const tall = tops[2] + cut;
  return (
    <svg
      viewBox={`0 0 ${wide} ${tall}`}
      role="img"
      aria-label={account}
      className={twMerge('max-w-full', className)}
      fill="none"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      <Face
        holes={picture.holes}
        face={picture.top}
        top={tops[0]}
        wide={wide}
        tall={face}
        own="above"
        other="below"
      />
      <Face
        holes={picture.holes}
        face={picture.bottom}
        top={tops[1]}
        wide={wide}
        tall={face}
        own="below"
        other="above"
      />
      <g transform={`translate(${MARGIN} ${tops[2] + AROUND})`} data-section>
        <rect
          x={-MARGIN}
          width={wide}
          height={seam.fabric * THROUGH}
          fill="var(--cloth)"
          stroke="var(--rule)"
        />
        {(['bobbin', 'top'] as const).map((thread) => (
          <path
            key={thread}
            d={lineOf(picture.section[thread].map(({ x, y }) => [x * ALONG, y * THROUGH]))}
            stroke={`var(--${thread === 'top' ? 'above' : 'below'})`}
            strokeWidth="5"
            data-thread={thread}
          />
        ))}
      </g>
      {names &&
        ([names.top, names.bottom, names.section] as const).map((name, place) => (
          <DrawnText
            key={name}
            x={2}
            y={(tops[place] ?? 0) - 7}
            size={LETTERS}
            fontWeight="600"
            fill="var(--ink)"
          >
            {name}
          </DrawnText>
        ))}
    </svg>
  );
}

/** Across a thread. */
const THREAD = 4.5;
/** Radius of the needle's hole; the other thread comes up in it. */
const HOLE = HOLE_WIDTHS * THREAD;

function Face({
  holes,
  face,
  top,
  wide,
  tall,
  own,
  other,
}: {
  readonly holes: SeamPicture['holes'];
  readonly face: SeamFace;
  readonly top: number;
  readonly wide: number;
  readonly tall: number;
  readonly own: 'above' | 'below';
  readonly other: 'above' | 'below';
}) {
  const at = ({ x, y }: { readonly x: number; readonly y: number }) =>
    [x * ALONG, y * ALONG] as const;
  const line = (points: SeamFace['own'][number]) => lineOf(points.map(at));
  return (
    <g>
      <rect y={top} width={wide} height={tall} fill="var(--cloth)" stroke="var(--rule)" />
      <g transform={`translate(${MARGIN} ${top + tall / 2})`}>
        {face.own.map((points) => (
          <path key={line(points)} d={line(points)} stroke={`var(--${own})`} strokeWidth={THREAD} />
        ))}
        {face.other.map((points, place) => {
          const hole = holes[place];
          if (!hole) return null;
          const [x, y] = at(hole);
          return (
            <g key={line(points)}>
              <circle cx={x} cy={y} r={HOLE} fill="var(--ink)" />
              {face.dot > 0.02 && (
                <circle cx={x} cy={y} r={HOLE * Math.sqrt(face.dot)} fill={`var(--${other})`} />
              )}
              <path d={line(points)} stroke={`var(--${other})`} strokeWidth={THREAD} />
            </g>
          );
        })}
      </g>
    </g>
  );
}

function lineOf(points: readonly (readonly [number, number])[]): string {
  return `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}`;
}
