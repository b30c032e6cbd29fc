import { write } from '../../messages/index.ts';

/** A seam of ten stitches is certain. */
const STITCHES = 10;
const PITCH = 9;

/** How surely a cause shows something, as stitches sewn out of ten; what is less than half a stitch is a dot. */
export function StrengthBar({ chance }: { readonly chance: number }) {
  const sewn = Math.round(chance * STITCHES);
  return (
    <svg
      width={STITCHES * PITCH}
      height="8"
      viewBox={`0 0 ${STITCHES * PITCH} 8`}
      className="my-1 block"
      aria-hidden="true"
      strokeLinecap="round"
    >
      <title>{write.percent(chance)}</title>
      {Array.from({ length: STITCHES }, (_, at) => at).map((at) => (
        <path
          key={at}
          d={at < sewn ? `M${at * PITCH + 2} 4h${PITCH - 4}` : `M${at * PITCH + PITCH / 2} 4h.01`}
          stroke={at < sewn ? 'var(--above)' : 'var(--edge)'}
          strokeWidth={at < sewn ? 3 : 2}
        />
      ))}
    </svg>
  );
}
