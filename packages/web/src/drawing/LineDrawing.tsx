import type { SVGProps } from 'react';
import type { Box } from './Taps.tsx';

/** A drawing in ink lines with round ends, in a box of its own, told in words to whoever cannot see it. */
export function LineDrawing({
  box,
  account,
  ...rest
}: Omit<SVGProps<SVGSVGElement>, 'viewBox' | 'role' | 'aria-label'> & {
  readonly box: Box;
  readonly account: string;
}) {
  return (
    <svg
      viewBox={box.join(' ')}
      role="img"
      aria-label={account}
      fill="none"
      stroke="var(--ink)"
      strokeWidth="2"
      strokeLinecap="round"
      strokeLinejoin="round"
      {...rest}
    />
  );
}
