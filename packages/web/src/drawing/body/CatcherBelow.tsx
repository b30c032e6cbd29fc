import type { Body } from './body.ts';

/** What catches the loop, seen through the bed as if it were cut open: under the first needle. */
export function CatcherBelow({ body }: { readonly body: Body }) {
  const [needle = 0] = body.needles;
  return (
    <g transform={`translate(${needle} ${body.plate})`} stroke="var(--ink)" strokeWidth="2">
      {CATCHERS[body.catcher]}
    </g>
  );
}

const CATCHERS = {
  // A basket that lies: its rim from the side, the bobbin in it from above.
  horizontal: (
    <>
      <path d="M-22 13V30Q-22 38 0 38T22 30V13" fill="var(--sunk)" />
      <ellipse cy="13" rx="22" ry="6" fill="var(--paper)" />
      <ellipse cy="13" rx="12" ry="3.200" fill="var(--below)" stroke="none" />
      <path d="M-22 13L-31 9" strokeWidth="4" />
      <path d="M11 13C20 11 12 4 4 1" stroke="var(--below)" strokeWidth="2.400" />
    </>
  ),
  // Half a moon in its race, the beak at the needle; it swings there and back.
  oscillating: (
    <>
      <circle cy="25" r="19" fill="var(--paper)" stroke="var(--edge)" strokeWidth="3" />
      <path
        d="M-2 8C14 8 18 18 17 27A17 17 0 0 1 -15 33L-9 29A10 10 0 0 0 8 25C8 18 4 15 -2 8Z"
        fill="var(--sunk)"
      />
      <circle cy="25" r="8" fill="var(--below)" stroke="none" />
      <path d="M7 22C12 14 8 6 4 1" stroke="var(--below)" strokeWidth="2.400" />
    </>
  ),
  // A hook that goes round twice a stitch, its beak at the needle, the basket held within.
  rotary: (
    <>
      <circle cy="25" r="18" fill="var(--sunk)" />
      <path d="M-16 17C-12 8 -4 6 4 7L-6 13C-10 15 -13 18 -16 17Z" fill="var(--ink)" />
      <circle cy="25" r="12" fill="var(--paper)" />
      <circle cy="25" r="8" fill="var(--below)" stroke="none" />
      <circle cy="25" r="2" fill="var(--paper)" stroke="none" />
      <path d="M7 22C12 14 8 6 4 1" stroke="var(--below)" strokeWidth="2.400" />
    </>
  ),
  // Two arms that cross under the needles and carry their own threads.
  loopers: (
    <>
      <path d="M-24 46C-20 22 -6 10 14 12" strokeWidth="4" />
      <path d="M40 50C30 28 14 20 -10 26" strokeWidth="4" />
    </>
  ),
} as const;
