import type { ReactNode } from 'react';

/** What can be opened beside a ticket. */
export type Tool = 'needle' | 'bobbin' | 'stitch' | 'tension' | 'sample' | 'knowledge';

/** Things of the bench that a line is about. */
type Thing = 'dish' | 'plugged' | 'unplugged' | 'packet' | 'caliper';

/** A tool in small, drawn as what it works on. */
export function ToolGlyph({ tool }: { readonly tool: Tool }) {
  return <Glyph lines={GLYPHS[tool]} />;
}

/** A thing of the bench in small. */
export function ThingGlyph({
  thing,
  className,
}: {
  readonly thing: Thing;
  readonly className?: string;
}) {
  return <Glyph lines={GLYPHS[thing]} className={className} />;
}

function Glyph({
  lines,
  className,
}: {
  readonly lines: ReactNode;
  readonly className?: string | undefined;
}) {
  return (
    <svg
      className={className}
      width="26"
      height="26"
      viewBox="0 0 26 26"
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden="true"
    >
      {lines}
    </svg>
  );
}

const GLYPHS = {
  // Shank, shoulder, blade, scarf and eye, from the front.
  needle: (
    <>
      <path d="M10 2h6v8l-1.5 2v9L13 24l-1.500-3v-9L10 10z" />
      <path d="M13 18.500v2" />
    </>
  ),
  // A bobbin from the side, its thread running off.
  bobbin: (
    <>
      <path d="M5 5h16M5 21h16M8 5v16M18 5v16" />
      <path d="M8 9h10M8 13h10M8 17h10l5-4" />
    </>
  ),
  // Fabric in section, the two threads locked in it, the loop of the next stitch below.
  stitch: (
    <>
      <path d="M2 9h22M2 15h22" />
      <path d="M5 5v10a3 3 0 0 0 6 0V5M15 3v12q0 8 3.500 8t3.500-8v-6" />
    </>
  ),
  // Two discs from the side, the thread between them, the spring behind.
  tension: (
    <>
      <path d="M10 4v18M15 4v18M15 9l3-2v12l-3-2M18 13h6" />
      <path d="M12.500 2v22" strokeDasharray="3 3" />
    </>
  ),
  // A piece of fabric with a seam on it, and a rule beside.
  sample: (
    <>
      <path d="M3 4h20v12H3z" />
      <path d="M5 10h16" strokeDasharray="4 3" />
      <path d="M3 22h20M5 22v-3M10 22v-2M15 22v-3M20 22v-2" />
    </>
  ),
  // A dish with the screws that came off.
  dish: (
    <>
      <path d="M3 13h20q-1 9-10 9T3 13z" />
      <path d="M8 8.500v-3M6.500 5.500h3M14 10V7M12.500 7h3M19 9V6M17.500 6h3" />
    </>
  ),
  // The lead with its plug in the socket.
  plugged: (
    <>
      <path d="M4 7h9v12H4z" />
      <path d="M13 10h5q4 0 4 3t-4 3h-5M22 13q2 0 2 4v5" />
    </>
  ),
  // The plug drawn out, its pins free.
  unplugged: (
    <>
      <path d="M2 7h6v12H2zM5 11v.01M5 15v.01" />
      <path d="M17 10h2q4 0 4 3t-4 3h-2zM17 11.500h-4M17 14.500h-4M23 13q2 0 2 4v5" />
    </>
  ),
  // A packet of needles, one half drawn.
  packet: (
    <>
      <path d="M5 11h16v12H5z" />
      <path d="M9 11V8M13 11V2l1 2M17 11V8M9 15h8" />
    </>
  ),
  // A caliper's jaws.
  caliper: (
    <>
      <path d="M3 5h20v5H3zM5 10v11l4-4v-7M17 10v7l-4 4V10" />
      <path d="M8 5v2M13 5v2M18 5v2" />
    </>
  ),
  // A handbook, open.
  knowledge: (
    <>
      <path d="M13 6c-2.500-2-6-2-10-1.500v15c4-.5 7.500-.5 10 1.500 2.500-2 6-2 10-1.500v-15C19 4 15.500 4 13 6z" />
      <path d="M13 6v15" />
    </>
  ),
} as const;
