import type { At, Body } from './body.ts';

/** The spools or cones of a machine on their pins; lines in the colour of the group they stand in. */
export function Spools({ body: { spool } }: { readonly body: Body }) {
  return spool.at.map((at) => (
    <path key={at.join(' ')} d={OUTLINES[spool.kind](at)} fill="var(--sunk)" />
  ));
}

const OUTLINES: Readonly<Record<Body['spool']['kind'], (at: At) => string>> = {
  // Its pin lies along the machine; the cap, wider than the spool, holds it on the left.
  lying: ([x, y]) =>
    `M${x - 20} ${y - 10}H${x + 22}V${y + 10}H${x - 20}ZM${x - 20} ${y - 13}V${y + 13}Q${x - 27} ${y} ${x - 20} ${y - 13}ZM${x + 22} ${y}H${x + 30}`,
  upright: ([x, y]) =>
    `M${x - 12} ${y - 18}H${x + 12}V${y + 18}H${x - 12}ZM${x} ${y - 18}V${y - 26}M${x - 12} ${y - 12}H${x + 12}M${x - 12} ${y + 12}H${x + 12}`,
  cone: ([x, y]) =>
    `M${x - 4} ${y - 18}H${x + 4}L${x + 10} ${y + 20}H${x - 10}ZM${x} ${y - 18}V${y - 24}`,
};
