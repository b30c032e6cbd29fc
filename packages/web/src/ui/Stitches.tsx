/** Waiting, drawn as a running stitch; says what for to a screen reader. */
export function Sewing({ label }: { readonly label: string }) {
  return (
    <div role="status" className="flex items-center gap-3 text-quiet">
      <svg width="84" height="12" viewBox="0 0 84 12" aria-hidden="true">
        <line
          x1="0"
          y1="6"
          x2="84"
          y2="6"
          stroke="var(--own)"
          strokeWidth="3"
          strokeDasharray="16 12"
          strokeLinecap="round"
          className="sewing"
        />
      </svg>
      <span>{label}</span>
    </div>
  );
}

/** A whole place with nothing in it, or nothing to be had: what it is and what to do. */
export function Blank({
  title,
  text,
  within = false,
  children,
}: {
  readonly title: string;
  readonly text?: string;
  /** It stands in a view that has its own heading. */
  readonly within?: boolean;
  /** What can be done. */
  readonly children?: React.ReactNode;
}) {
  const Heading = within ? 'h2' : 'h1';
  return (
    <div className="mx-auto flex max-w-xl flex-col items-start gap-4 gutter py-10">
      <svg width="150" height="46" viewBox="0 0 150 46" aria-hidden="true" fill="none">
        <path d="M2 40H58" stroke="var(--edge)" strokeWidth="3" strokeDasharray="10 8" />
        <path
          d="M58 40C90 40 84 8 104 8S124 34 108 34 98 12 122 12 132 26 148 22"
          stroke="var(--own)"
          strokeWidth="3"
          strokeLinecap="round"
        />
      </svg>
      <Heading className="text-2xl font-bold">{title}</Heading>
      {text !== undefined && <p>{text}</p>}
      {children}
    </div>
  );
}
