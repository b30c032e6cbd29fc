/** What can be opened beside a ticket. */
export type Tool = 'needle' | 'bobbin' | 'knowledge';

/** A tool in small, drawn as what it works on. */
export function ToolGlyph({ tool }: { readonly tool: Tool }) {
  return (
    <svg
      width="26"
      height="26"
      viewBox="0 0 26 26"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.7"
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden="true"
    >
      {GLYPHS[tool]}
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
  // A handbook, open.
  knowledge: (
    <>
      <path d="M13 6c-2.500-2-6-2-10-1.500v15c4-.5 7.500-.5 10 1.500 2.500-2 6-2 10-1.500v-15C19 4 15.500 4 13 6z" />
      <path d="M13 6v15" />
    </>
  ),
} as const;
