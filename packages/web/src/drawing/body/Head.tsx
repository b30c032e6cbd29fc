import type { Body } from './body.ts';

/** From head to plate, as all bodies are drawn: what hangs there fits between. */
const HEAD_TO_PLATE = 78;

/** Needle bars with their needles, the presser foot, the plate with its teeth and the fabric on it. */
export function Head({
  body,
  presserDown,
}: {
  readonly body: Body;
  readonly presserDown: boolean;
}) {
  const { plate, needles } = body;
  const [first = 0] = needles;
  return (
    <g stroke="var(--ink)" strokeWidth="2">
      <path d={body.takeUp} strokeWidth="4.5" />
      <path
        d={`M${first - 40} ${plate - 3}H${first + 54}`}
        stroke="var(--cloth)"
        strokeWidth="6"
        strokeLinecap="butt"
      />
      <path d={`M${first - 30} ${plate}H${first + 46}`} strokeWidth="3" />
      {!body.hoop && (
        <path d={`M${first + 8} ${plate - 1}l4-5 4 5 4-5 4 5 4-5 4 5`} strokeWidth="1.6" />
      )}
      {needles.map((x) => (
        <NeedleBar key={x} x={x} plate={plate} />
      ))}
      {body.hoop ? (
        <path
          d={`M${first + 6} ${plate - 60}V${plate - 22}M${first - 7} ${plate - 20}H${first + 7}`}
        />
      ) : (
        <Foot x={first} sole={presserDown ? plate - 7 : plate - 14} plate={plate} />
      )}
    </g>
  );
}

/** Bar, clamp with its screw, and the needle raised over the plate. */
function NeedleBar({ x, plate }: { readonly x: number; readonly plate: number }) {
  return (
    <g transform={`translate(${x} ${plate})`}>
      <path d={`M-4 -${HEAD_TO_PLATE}H4V-64H-4Z`} fill="var(--paper)" />
      <path d="M-6 -64H6V-53H-6Z" fill="var(--sunk)" />
      <path d="M-2.500 -53V-26L0 -12L2.500 -26V-53Z" fill="var(--paper)" strokeWidth="1.6" />
    </g>
  );
}

/** The bar stands behind the needle; the sole runs to the front in two toes. */
function Foot({
  x,
  sole,
  plate,
}: {
  readonly x: number;
  readonly sole: number;
  readonly plate: number;
}) {
  return (
    <g strokeWidth="3.500">
      <path d={`M${x + 18} ${plate - HEAD_TO_PLATE}V${sole - 16}L${x + 8} ${sole - 10}V${sole}`} />
      <path d={`M${x - 12} ${sole}H${x + 22}L${x + 28} ${sole - 7}`} />
    </g>
  );
}
